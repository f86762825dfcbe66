/**
 * Where a supply or a ground can be had: the pads of all parts that give one, with their volts and the rail behind
 * them.
 */
import type { Element, PartModel, Terminal } from '../../facts/catalogue/partModel';
import { giving } from '../../physics/loads/supplyTree';
import type { Range, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { spreadOf } from '../../judgement/rules/sources';
import { bringsVolts, drivesMotors, isVideoUnit } from '../../facts/catalogue/kinds';
import { hasRole, isSupply } from '../../facts/catalogue/roles';
import type { Assembly } from '../../facts/assembly/assembly';

export interface Feed {
  ref: TerminalRef;
  slot: Slot;
  terminal: Terminal;
  /** Lowest at the empty pack to highest at the full pack, with the regulator's spread. */
  volts: Range;
  /** Lowest volts without the spread. */
  nominalV: number;
  /** `battery`, or slot and regulator. */
  rail: string;
  /** True when it gives nothing until the controller's software has switched it on. */
  switched: boolean;
}

type Regulator = Extract<Element, { is: 'regulator' }>;

/**
 * Every pad that gives a supply; the pads that the battery lead itself lands on give battery too. What wants a wire on
 * its enable pad first gives nothing to a plan.
 */
export function feedsOf(assembly: Assembly, packV: Range): Feed[] {
  return Object.keys(assembly.build.slots).flatMap((slot) => {
    const model = assembly.model(slot)!;
    if (bringsVolts(model)) return [];
    return model.terminals.flatMap((terminal): Feed[] => {
      const role = terminal.roles.find(({ is }) => is === 'supply');
      if (role?.is !== 'supply' || terminal.holds === 0) return [];
      const regulator = regulatorOn(model, terminal.node);
      if (role.dir === 'takes' && !carriesBattery(model)) return [];
      const feed = { ref: terminalRef(slot, terminal.id), slot, terminal };
      if (!regulator) return [{ ...feed, volts: packV, nominalV: packV[0], rail: 'battery', switched: false }];
      const enables = enablesOf(model, regulator);
      if (enables.some((enable) => enable !== 'software')) return [];
      const volts = outputOf(model, regulator, packV);
      const rail = `${slot}/${regulator.id}`;
      const switched = enables.length > 0;
      return [{ ...feed, volts: spreadOf(volts, regulator.outV), nominalV: volts[0], rail, switched }];
    });
  });
}

/** Pads that take this or thicker carry motor current. */
export const thickPadAwg = 16;

/** Other wires may be landed beside the battery lead's: the current of motors comes in or goes on there. */
export function carriesBattery(model: PartModel): boolean {
  const thick = model.terminals.filter(({ thickestAwg }) => thickestAwg <= thickPadAwg);
  const into = new Set(thick.filter((one) => isSupply(one, 'takes')).map(({ node }) => node));
  return drivesMotors(model) || thick.some((one) => isSupply(one, 'gives') && into.has(one.node));
}

/** Something else hangs on it: it gives a supply, or takes the picture of a camera. */
export function isHost(model: PartModel): boolean {
  const gives = model.terminals.some((one) => isSupply(one, 'gives') && one.holds > 0);
  return !bringsVolts(model) && (gives || carriesBattery(model) || isVideoUnit(model.kind));
}

export function regulatorOn(model: PartModel, node: string): Regulator | undefined {
  return model.elements.find((element): element is Regulator => element.is === 'regulator' && element.output === node);
}

/** What must switch on a regulator, and those before it in its part. */
function enablesOf(model: PartModel, regulator: Regulator): Regulator['enable'][] {
  const above = regulatorOn(model, regulator.input);
  return [
    ...(regulator.enable === 'always' ? [] : [regulator.enable]),
    ...(above && above !== regulator ? enablesOf(model, above) : []),
  ];
}

/** Volts of a regulator's output when its part hangs on the battery, or on what it takes if that is less. */
function outputOf(model: PartModel, regulator: Regulator, packV: Range): Range {
  const above = regulatorOn(model, regulator.input);
  if (above && above !== regulator) return giving(regulator, outputOf(model, above, packV));
  const takes = model.terminals
    .flatMap(({ node, roles }) => (node === regulator.input ? roles : []))
    .find((role) => role.is === 'supply' && role.dir === 'takes');
  const fits = takes?.is !== 'supply' || (takes.volts[0] <= packV[0] && takes.volts[1] >= packV[1]);
  return giving(regulator, fits ? packV : takes.volts);
}

/** Ground pads on which a wire can land. */
export function groundsOf(assembly: Assembly, slot: Slot): { ref: TerminalRef; terminal: Terminal }[] {
  return assembly
    .model(slot)!
    .terminals.filter(
      (terminal) =>
        hasRole(terminal, 'ground') && terminal.holds > 0 && terminal.form !== 'metal' && terminal.form !== 'shell',
    )
    .map((terminal) => ({ ref: terminalRef(slot, terminal.id), terminal }));
}

/** What a part draws on its supply at so many volts, idle to peak, by its own loads and regulators. */
export function drawOf(model: PartModel, volts: number): { typical: number; peak: number } {
  const onNode = (node: string, seen: readonly string[]): { typical: number; peak: number } =>
    model.elements.reduce(
      (sum, element) => {
        if (element.is === 'load' && element.plus === node)
          return { typical: sum.typical + element.typicalA, peak: sum.peak + element.peakA };
        if (element.is !== 'regulator' || element.input !== node || seen.includes(element.output)) return sum;
        const out = onNode(element.output, [...seen, node]);
        const factor =
          element.kindOf === 'linear'
            ? 1
            : element.outV / (element.efficiency * Math.max(1, seen.length === 0 ? volts : element.outV));
        return {
          typical: sum.typical + out.typical * factor + element.idleA,
          peak: sum.peak + out.peak * factor + element.idleA,
        };
      },
      { typical: 0, peak: 0 },
    );
  const own = model.terminals.find((terminal) => isSupply(terminal, 'takes'));
  return own ? onNode(own.node, []) : { typical: 0, peak: 0 };
}
