/**
 * What a part model contradicts in itself, beyond its schema: places, names, rails, elements, connectors.
 * The physical ground: nothing is fed from nowhere, no current into a node that is not there, no two pads in one place.
 */
import { checkCable } from './checkCable';
import { checkElements } from './checkElements';
import { checkFrame } from './checkFrame';
import { checkNumbers } from './checkNumbers';
import { checkPorts } from './checkPorts';
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { PartModel, Terminal } from './partModel';
import { twice } from './twice';
import { lookUp } from '../terms/lookUp';

/** Kinds whose terminals are wired, so that they must have some. */
const mechanical: ReadonlySet<string> = new Set(['frame', 'propeller']);

/** Everything that is wrong, in the order of the model; empty for a model that can be. */
export function checkModel(model: PartModel): ModelMistake[] {
  const ports = new Set(model.ports.map(({ id }) => id));
  return [
    ...(model.terminals.length === 0 && !mechanical.has(model.kind)
      ? [mistake('terminals', 'none', 'a part of this kind has terminals')]
      : []),
    ...twice(model.terminals, 'terminals'),
    ...twice(model.connectors, 'connectors'),
    ...twice(model.elements, 'elements'),
    ...twice(model.ports, 'ports'),
    ...model.terminals.flatMap((terminal, index) => checkTerminal(model, ports, terminal, `terminals.${index}`)),
    ...overlaps(model),
    ...overHoles(model),
    ...checkConnectors(model),
    ...checkNames(model),
    ...checkElements(model),
    ...checkNumbers(model),
    ...checkPorts(model),
    ...checkFrame(model),
    ...checkCable(model),
    ...checkKnownFrom(model),
  ];
}

function checkTerminal(
  model: PartModel,
  ports: ReadonlySet<string>,
  { id, form, atMm, sizeMm, withstandV, withstandOffV, roles }: Terminal,
  path: string,
): ModelMistake[] {
  return [
    ...(sizeMm.some((size) => size <= 0) ? [mistake(`${path}.sizeMm`, 'size', `${id} has no size`)] : []),
    ...(form !== 'tail' && !insideOutline(atMm, model.body.outlineMm)
      ? [mistake(`${path}.atMm`, 'outside', `${id} lies off the part`)]
      : []),
    ...(
      [
        ['withstandV', withstandV],
        ['withstandOffV', withstandOffV],
      ] as const
    ).flatMap(([name, [low, high]]) =>
      low >= high ? [mistake(`${path}.${name}`, 'limits', `${id} has no voltage limits`)] : [],
    ),
    ...roles.flatMap((role, index) => {
      if (role.is === 'port' && !ports.has(role.port))
        return [mistake(`${path}.roles.${index}.port`, 'port', `${id} names port ${role.port}, which is not there`)];
      if (role.is === 'supply' && role.volts[0] > role.volts[1])
        return [mistake(`${path}.roles.${index}.volts`, 'volts', `${id} has its volts the wrong way round`)];
      return [];
    }),
  ];
}

/** True inside the polygon or within 0.05 mm of its edge (castellations and pads at the rim). */
export function insideOutline(
  [x, y]: readonly [number, number],
  outline: readonly (readonly [number, number])[],
): boolean {
  let inside = false;
  for (let index = 0, before = outline.length - 1; index < outline.length; before = index++) {
    const [ax, ay] = outline[index]!;
    const [bx, by] = outline[before]!;
    const length = Math.hypot(bx - ax, by - ay) || 1;
    const along = ((x - ax) * (bx - ax) + (y - ay) * (by - ay)) / length ** 2;
    const nearest = Math.max(0, Math.min(1, along));
    if (Math.hypot(x - ax - nearest * (bx - ax), y - ay - nearest * (by - ay)) <= 0.05) return true;
    if (ay > y !== by > y && x < ((bx - ax) * (y - ay)) / (by - ay) + ax) inside = !inside;
  }
  return inside;
}

/** Two pads on one place, on one side. Leads hang off the part; shells and metal may reach under others. */
function overlaps({ terminals }: PartModel): ModelMistake[] {
  const pads = terminals
    .map((terminal, index) => ({ terminal, index }))
    .filter(({ terminal: { form } }) => form !== 'tail' && form !== 'shell' && form !== 'metal');
  const sorted = [...pads].sort((a, b) => left(a.terminal) - left(b.terminal));
  const slackMm = 0.01;
  return sorted.flatMap(({ terminal: a, index: at }, place) => {
    const found: ModelMistake[] = [];
    for (let next = place + 1; next < sorted.length && left(sorted[next]!.terminal) < right(a) - slackMm; next++) {
      const { terminal: b, index } = sorted[next]!;
      const apart = Math.abs(a.atMm[1] - b.atMm[1]) >= (a.sizeMm[1] + b.sizeMm[1]) / 2 - slackMm;
      if (!apart && a.sides.some((side) => b.sides.includes(side)))
        found.push(
          at < index
            ? mistake(`terminals.${index}.atMm`, 'overlap', `${b.id} lies on ${a.id}`)
            : mistake(`terminals.${at}.atMm`, 'overlap', `${a.id} lies on ${b.id}`),
        );
    }
    return found;
  });
}

/** A pad that reaches into a mounting hole. */
function overHoles({ terminals, body }: PartModel): ModelMistake[] {
  return terminals.flatMap(({ id, form, atMm, sizeMm }, index) => {
    if (form === 'tail' || form === 'metal' || form === 'shell') return [];
    const hole = body.holes.find((hole) => {
      const [dx, dy] = [0, 1].map((axis) => Math.max(0, Math.abs(hole.atMm[axis]! - atMm[axis]!) - sizeMm[axis]! / 2));
      return Math.hypot(dx!, dy!) < hole.drillMm / 2 - 0.05;
    });
    return hole ? [mistake(`terminals.${index}.atMm`, 'hole', `${id} reaches into a mounting hole`)] : [];
  });
}

const left = ({ atMm, sizeMm }: Terminal) => atMm[0] - sizeMm[0] / 2;
const right = ({ atMm, sizeMm }: Terminal) => atMm[0] + sizeMm[0] / 2;

/** Pins stand one pitch apart. */
function checkConnectors({ connectors, terminals }: PartModel): ModelMistake[] {
  const byId = new Map(terminals.map((terminal) => [terminal.id, terminal]));
  return connectors.flatMap(({ id, pins, pitchMm }, at) =>
    pins.flatMap((pin, index): ModelMistake[] => {
      const path = `connectors.${at}.pins.${index}`;
      const [own, next] = [byId.get(pin), byId.get(pins[index + 1] ?? '')];
      if (!own) return [mistake(path, 'pin', `connector ${id} names pin ${pin}, which is not there`)];
      if (!next) return [];
      const gap = Math.hypot(own.atMm[0] - next.atMm[0], own.atMm[1] - next.atMm[1]);
      return Math.abs(gap - pitchMm) > 0.06
        ? [
            mistake(
              path,
              'pitch',
              `connector ${id}: ${pin} and ${next.id} stand ${gap.toFixed(2)} mm apart, its pitch is ${pitchMm} mm`,
            ),
          ]
        : [];
    }),
  );
}

/** Leads, covers and signs name terminals that are there; ports have a terminal and name ports that are there. */
function checkNames({ terminals, tails, covers, signs, ports }: PartModel): ModelMistake[] {
  const ids = new Map(terminals.map((terminal) => [terminal.id, terminal]));
  const portIds = new Set(ports.map(({ id }) => id));
  const used = new Set(
    terminals.flatMap(({ roles }) => roles.flatMap((role) => (role.is === 'port' ? [role.port] : []))),
  );
  const missing = (path: string, names: readonly string[]) =>
    names.flatMap((name, index) =>
      ids.has(name) ? [] : [mistake(`${path}.${index}`, 'name', `there is no terminal ${name}`)],
    );
  return [
    ...tails.flatMap(({ terminal }, index) => {
      const own = ids.get(terminal);
      if (!own) return [mistake(`tails.${index}.terminal`, 'name', `there is no terminal ${terminal}`)];
      return own.form === 'tail' || own.form === 'pin'
        ? []
        : [mistake(`tails.${index}.terminal`, 'tail', `${terminal} is no lead`)];
    }),
    ...covers.flatMap(({ hides }, index) => missing(`covers.${index}.hides`, hides)),
    ...signs.flatMap(({ needs }, index) => missing(`signs.${index}.needs`, needs)),
    ...ports.flatMap((port, index) => [
      ...(used.has(port.id) ? [] : [mistake(`ports.${index}.id`, 'unused', `port ${port.id} has no terminal`)]),
      ...[...port.excludes, ...port.needs]
        .filter((name) => !portIds.has(name))
        .map((name) => mistake(`ports.${index}`, 'port', `port ${port.id} names port ${name}, which is not there`)),
    ]),
  ];
}

/** Pointers lead to something, and something is said of the whole. */
function checkKnownFrom(model: PartModel): ModelMistake[] {
  const whole = Object.hasOwn(model.knownFrom, '')
    ? []
    : [mistake('knownFrom', 'whole', 'nothing is said about how sure the whole is')];
  return [
    ...whole,
    ...Object.keys(model.knownFrom)
      .filter((pointer) => atPointer(model, pointer) === undefined)
      .map((pointer) => mistake(`knownFrom.${pointer}`, 'pointer', `${pointer} leads to nothing`)),
  ];
}

/** What a JSON pointer leads to; undefined when nothing is there. */
function atPointer(value: unknown, pointer: string): unknown {
  return pointer
    .split('/')
    .slice(1)
    .reduce<unknown>(
      (at, name) =>
        typeof at === 'object' && at !== null && Object.hasOwn(at, name)
          ? lookUp(at as Record<string, unknown>, name)
          : undefined,
      value,
    );
}
