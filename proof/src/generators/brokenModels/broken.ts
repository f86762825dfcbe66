/** How a copy of a part model is broken: the first row that fits is changed. */
export type Row = Record<string, unknown>;
export interface Mutable extends Row {
  terminals: Row[];
  elements: Row[];
  connectors: Row[];
  ports: Row[];
  tails: Row[];
  signs: Row[];
  covers: Row[];
}
export type Break = (model: Mutable) => boolean;

export const roles = (terminal: Row) => terminal.roles as Row[];
export const is = (terminal: Row, role: string, dir?: string) =>
  roles(terminal).some((one) => one.is === role && (!dir || one.dir === dir));
export const solid = (terminal: Row) => !['tail', 'shell', 'metal'].includes(terminal.form as string);
export const element = (model: Mutable, kind: string) => model.elements.find((one) => one.is === kind);

/** Changes the first row that fits. */
export function on(list: (model: Mutable) => Row[], fits: (row: Row) => boolean, change: (row: Row) => void): Break {
  return (model) => {
    const row = list(model).find(fits);
    if (row) change(row);
    return row !== undefined;
  };
}
export const terminals = (model: Mutable) => model.terminals;
export const elements = (model: Mutable) => model.elements;
export const connectors = (model: Mutable) => model.connectors;
export const ports = (model: Mutable) => model.ports;
export const any = () => true;
export const ofKind = (kind: string) => (row: Row) => row.is === kind;
export const set = (name: string, value: unknown) => (row: Row) => void (row[name] = value);
export const supplyOf = (terminal: Row) => roles(terminal).find((role) => role.is === 'supply')!;
export const volts = (terminal: Row) => supplyOf(terminal).volts as number[];
export const twice =
  (list: (model: Mutable) => Row[]): Break =>
  (model) => {
    const [first] = list(model);
    if (first) list(model).push(structuredClone(first));
    return Boolean(first);
  };
/** A row that names something that is not there. */
export const lost = (list: (model: Mutable) => Row[], name: string): Break =>
  on(
    list,
    (row) => ((row[name] as unknown[] | undefined)?.length ?? 0) > 0,
    (row) => void (row[name] = ['NO-SUCH']),
  );
export const whole =
  (name: string, value: unknown): Break =>
  (model) => {
    model[name] = value;
    return true;
  };
export const present =
  (name: string, value: unknown): Break =>
  (model) => {
    if (model[name] === undefined) return false;
    model[name] = value;
    return true;
  };
export const givesBy = (model: Mutable) => (terminal: Row) =>
  is(terminal, 'supply', 'gives') &&
  model.elements.some((one) => one.is === 'regulator' && one.output === terminal.node);
