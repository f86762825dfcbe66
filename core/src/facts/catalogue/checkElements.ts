/**
 * Physical checks of a part's inside: nodes that are there, rails that are fed, capacitors that stand their rail, no
 * regulator loop.
 */
import { endsOf } from './elementEnds';
import { isSupply } from './roles';
import { checkOwnSupply } from './checkOwnSupply';
import { shortBelowOhms } from './conductors';
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { Element, PartModel } from './partModel';

export function checkElements(model: PartModel): ModelMistake[] {
  return [
    ...missingNodes(model),
    ...railsWithoutSource(model),
    ...capacitorRatings(model),
    ...regulators(model),
    ...groundOf(model),
    ...shorts(model),
    ...checkOwnSupply(model),
  ];
}

/** The nodes an element stands between. */
function nodesOf(element: Element): readonly string[] {
  return element.is === 'regulator' ? [...endsOf(element), element.ground] : endsOf(element);
}

/** A node is there when a terminal is on it, or when two elements meet in it. */
function missingNodes({ terminals, elements }: PartModel): ModelMistake[] {
  const outside = new Set(terminals.map(({ node }) => node));
  const meeting = new Map<string, number>();
  for (const element of elements)
    for (const node of new Set(nodesOf(element))) meeting.set(node, (meeting.get(node) ?? 0) + 1);
  return elements.flatMap((element, index) => {
    const nodes = nodesOf(element);
    const missing = nodes.filter((node) => !outside.has(node) && meeting.get(node)! < 2);
    return [
      ...missing.map((node) =>
        mistake(`elements.${index}`, 'node', `${element.id} hangs on node ${node}, which nothing else is on`),
      ),
      ...(new Set(nodes).size < nodes.length
        ? [mistake(`elements.${index}`, 'loop', `${element.id} has both ends on one node`)]
        : []),
    ];
  });
}

/** A rail that a terminal gives, or that a load stands on, comes from outside or from a regulator inside. */
function railsWithoutSource({ kind, terminals, elements }: PartModel): ModelMistake[] {
  if (kind === 'battery lead' || kind === 'pack') return [];
  const fed = new Set(
    terminals
      .filter(({ roles }) => roles.some((role) => (role.is === 'supply' && role.dir === 'takes') || role.is === 'port'))
      .map(({ node }) => node),
  );
  for (let before = -1; before !== fed.size;) {
    before = fed.size;
    for (const element of elements) {
      if (element.is === 'regulator' && fed.has(element.input)) fed.add(element.output);
      if (element.is === 'diode' && fed.has(element.anode)) fed.add(element.cathode);
      if (element.is !== 'resistor' && element.is !== 'winding' && element.is !== 'switch') continue;
      if (fed.has(element.a)) fed.add(element.b);
      else if (fed.has(element.b)) fed.add(element.a);
    }
  }
  const given = terminals.flatMap((terminal, index) =>
    isSupply(terminal, 'gives') && !fed.has(terminal.node)
      ? [mistake(`terminals.${index}.node`, 'source', `${terminal.id} gives a supply that nothing feeds`)]
      : [],
  );
  const loads = elements.flatMap((element, index) =>
    element.is === 'load' && !fed.has(element.plus)
      ? [mistake(`elements.${index}.plus`, 'source', `${element.id} stands on ${element.plus}, which nothing feeds`)]
      : [],
  );
  return [...given, ...loads];
}

function capacitorRatings({ kind, terminals, elements }: PartModel): ModelMistake[] {
  const top = new Map<string, number>();
  const raise = (node: string, volts: number) => top.set(node, Math.max(top.get(node) ?? 0, volts));
  for (const { node, roles } of terminals)
    for (const role of roles) if (role.is === 'supply') raise(node, role.volts[1]);
  for (const element of elements) if (element.is === 'regulator') raise(element.output, element.outV);
  return elements.flatMap((element, index) => {
    if (element.is !== 'capacitor') return [];
    const volts = top.get(element.plus) ?? 0;
    const enough = kind === 'capacitor' ? element.ratedV >= volts : element.ratedV > volts;
    return enough
      ? []
      : [
          mistake(
            `elements.${index}.ratedV`,
            'rating',
            `${element.id} is rated ${element.ratedV} V on a rail of up to ${volts} V`,
          ),
        ];
  });
}

function regulators({ elements }: PartModel): ModelMistake[] {
  const all = elements.flatMap((element, index) => (element.is === 'regulator' ? [{ element, index }] : []));
  const reaches = (from: string, to: string, seen: ReadonlySet<string>): boolean =>
    all.some(
      ({ element: { input, output } }) =>
        input === from && (output === to || (!seen.has(output) && reaches(output, to, new Set([...seen, output])))),
    );
  return all.flatMap(({ element: { id, input, output, kindOf, outV, minInV, limitA, stillAirA }, index }) => [
    ...(reaches(output, input, new Set([output]))
      ? [mistake(`elements.${index}`, 'regulator loop', `${id} feeds itself round a loop of regulators`)]
      : []),
    ...(kindOf !== 'step-up' && minInV < outV
      ? [mistake(`elements.${index}.minInV`, 'regulator', `${id} cannot give ${outV} V from ${minInV} V`)]
      : []),
    ...(stillAirA > limitA
      ? [mistake(`elements.${index}.stillAirA`, 'regulator', `${id} gives more without air than with it`)]
      : []),
    ...(input === output ? [mistake(`elements.${index}.output`, 'regulator loop', `${id} feeds its own input`)] : []),
  ]);
}

/** A supply that reads as a short against ground on the loose part: what lies straight across it, taken together. */
function shorts({ terminals, elements }: PartModel): ModelMistake[] {
  const grounds = new Set(
    terminals.filter(({ roles }) => roles.some((role) => role.is === 'ground')).map(({ node }) => node),
  );
  const rails = new Set(
    terminals.filter(({ roles }) => roles.some((role) => role.is === 'supply')).map(({ node }) => node),
  );
  return [...rails].flatMap((rail) => {
    const siemens = elements.reduce((sum, element) => sum + across(element, rail, grounds), 0);
    return siemens > 1 / shortBelowOhms
      ? [
          mistake(
            'elements',
            'short',
            `${rail} reads ${(1 / siemens).toFixed(1)} ohm against ground on the loose part: a short`,
          ),
        ]
      : [];
  });
}

/** Siemens of an element from a rail straight to ground, unpowered. */
function across(element: Element, rail: string, grounds: ReadonlySet<string>): number {
  const lies = (a: string, b: string) => (a === rail && grounds.has(b)) || (b === rail && grounds.has(a));
  if ((element.is === 'resistor' || element.is === 'winding') && lies(element.a, element.b)) return 1 / element.ohms;
  if (element.is === 'load' && lies(element.plus, element.minus)) return 1 / element.offOhms;
  if (element.is === 'capacitor' && lies(element.plus, element.minus)) return 1 / element.leakOhms;
  return element.is === 'regulator' && lies(element.output, element.ground) ? 1 / element.offOhms : 0;
}

/** What takes a supply has a ground to return it. */
function groundOf({ terminals }: PartModel): ModelMistake[] {
  const takes = terminals.findIndex((terminal) => isSupply(terminal, 'takes'));
  const ground = terminals.some(({ roles }) => roles.some((role) => role.is === 'ground'));
  return takes >= 0 && !ground
    ? [mistake(`terminals.${takes}`, 'ground', 'a part that takes a supply has a ground')]
    : [];
}
