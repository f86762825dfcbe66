/**
 * The circuit of a Build with everything switched off: what a meter sees. Joints, wires and mated contacts are
 * branches with a site, so that every defect is an edit of branches and every explanation points at a place.
 * Units: ohm, F, V, A. Source of the wire formula: American wire gauge (ASTM B 258) and annealed copper,
 * d = 0.127 * 92^((36 - AWG) / 39) mm and rho = 1.724e-8 ohm m at 20 C.
 */
import type { Element, PartModel } from '../../facts/catalogue/partModel';
import type { TerminalRef } from '../../facts/terms/names';
import { jointName } from '../../facts/terms/names';
import { sound } from '../../facts/wiring/sound';
import { matedPoints, pointOf } from '../../facts/wiring/netlist';
import { areaMm2 } from '../../facts/wiring/wireAmps';
import type { Site } from '../../facts/terms/site';
import type { Assembly } from '../../facts/assembly/assembly';
import { remembered } from '../../facts/assembly/assembly';
import { junctionV, shareOf, usualShare } from './spread';
import { unshownIn } from './unshown';
import { lengthMmOf } from '../layout/wireLength';
import { lookUp } from '../../facts/terms/lookUp';

/** Spreads are relative, a junction's in volts; what has none is known: copper. */
export type BranchElement =
  | { is: 'resistor'; ohms: number; spread?: number }
  | { is: 'capacitor'; farads: number; esrOhms: number; spread?: number }
  | { is: 'diode'; forwardV: number; atA: number; seriesOhms: number; spreadV?: number }
  | { is: 'unknown switch'; onOhms: number };

/** From a to b; a is plus of a capacitor and anode of a diode. */
export interface Branch {
  id: string;
  a: string;
  b: string;
  element: BranchElement;
  site: Site;
}

export interface Circuit {
  nodes: readonly string[];
  branches: readonly Branch[];
  /** What good parts may have besides: see `unshown`. */
  unshown: readonly Branch[];
  /** The node under each terminal. */
  at: Readonly<Record<TerminalRef, string>>;
}

/** Typical soldered, crimped and mated contacts; experience values. */
export const jointOhms = 0.001;
export const contactOhms = 0.01;
/** A regulator's pass element seen backwards: current and inner resistance of its body diode. */
const backDiode = { atA: 0.001, seriesOhms: 1 };

/** @throws {RangeError} If a fitted part's model is not in the catalogue. */
export const compile = remembered(compiled);

/** What a good one reads follows from this: the circuit without what was found touching. */
export const compileSound = (assembly: Assembly): Circuit => compile(sound(assembly));

function compiled(assembly: Assembly): Circuit {
  const [branches, unshown]: [Branch[], Branch[]] = [[], []];
  const at: Record<TerminalRef, string> = {};
  for (const slot of Object.keys(assembly.build.slots)) {
    const model = assembly.model(slot)!;
    for (const terminal of model.terminals) at[`${slot}.${terminal.id}`] = `${slot}:${terminal.node}`;
    for (const element of model.elements) branches.push(...partBranches(slot, model, element));
    unshown.push(...unshownIn(slot, model));
  }
  for (const wire of Object.values(assembly.build.wires)) {
    const ohms = wireOhms(wire.awg, lengthMmOf(assembly, wire));
    branches.push({
      id: wire.id,
      a: `~${wire.id}.a`,
      b: `~${wire.id}.b`,
      element: { is: 'resistor', ohms },
      site: { wire: wire.id },
    });
    wire.ends.forEach((end, index) => {
      const point = pointOf(assembly, end.at);
      if (!point) return;
      const name = jointName(wire.id, index as 0 | 1);
      const ohms = end.by === 'crimp' ? contactOhms : jointOhms;
      branches.push({
        id: name,
        a: `~${name}`,
        b: point,
        element: { is: 'resistor', ohms },
        site: { wire: wire.id, end: index as 0 | 1 },
      });
    });
  }
  for (const [id, mate] of Object.entries(assembly.build.mates)) {
    for (const { a, b, position } of matedPoints(assembly, mate)) {
      branches.push({
        id: `${id}/${position}`,
        a,
        b,
        element: { is: 'resistor', ohms: contactOhms },
        site: { mate: id, position },
      });
    }
  }
  for (const { a, b, ohms } of assembly.build.contacts) {
    if (!lookUp(at, a) || !lookUp(at, b)) continue;
    branches.push({
      id: `${a}=${b}`,
      a: lookUp(at, a)!,
      b: lookUp(at, b)!,
      element: { is: 'resistor', ohms },
      site: { between: [a, b] },
    });
  }
  const nodes = [...new Set([...Object.values(at), ...branches.flatMap(({ a, b }) => [a, b])])];
  return { nodes, branches, unshown, at };
}

/** Resistance of a copper wire at 20 C, in ohm. */
export function wireOhms(awg: number, lengthMm: number): number {
  return (1.724e-8 * (lengthMm / 1000)) / (areaMm2(awg) * 1e-6);
}

/** What an inner element is while nothing is powered. */
function partBranches(slot: string, model: PartModel, element: Element): Branch[] {
  const site: Site = { slot, element: element.id };
  const id = `${slot}/${element.id}`;
  const branch = (suffix: string, a: string, b: string, as: BranchElement): Branch => ({
    id: id + suffix,
    a: `${slot}:${a}`,
    b: `${slot}:${b}`,
    element: as,
    site,
  });
  const [spread, spreadV] = [shareOf(model, element), junctionV(model, element)];
  switch (element.is) {
    case 'resistor':
    case 'winding':
      return [branch('', element.a, element.b, { is: 'resistor', ohms: element.ohms, spread })];
    case 'capacitor':
      return [
        branch('', element.plus, element.minus, {
          is: 'capacitor',
          farads: element.farads,
          esrOhms: element.esrOhms,
          spread,
        }),
        branch('/leak', element.plus, element.minus, {
          is: 'resistor',
          ohms: element.leakOhms,
          spread: usualShare.resistor,
        }),
      ];
    case 'diode':
      return [
        branch('', element.anode, element.cathode, {
          is: 'diode',
          forwardV: element.forwardV,
          atA: element.atA,
          seriesOhms: element.seriesOhms,
          spreadV,
        }),
      ];
    case 'switch':
      return element.closedWhen === 'unknown'
        ? [branch('', element.a, element.b, { is: 'unknown switch', onOhms: element.onOhms })]
        : [];
    case 'regulator':
      return [
        branch('/out', element.output, element.ground, { is: 'resistor', ohms: element.offOhms, spread }),
        ...(element.backDiodeV === null
          ? []
          : [
              branch('/back', element.output, element.input, {
                is: 'diode',
                forwardV: element.backDiodeV,
                ...backDiode,
                spreadV,
              }),
            ]),
      ];
    case 'load':
      return [branch('', element.plus, element.minus, { is: 'resistor', ohms: element.offOhms, spread })];
  }
}
