/** What a model says of its own supplies must hold together: one limit a conductor, regulators that feed their own. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { Element, PartModel } from './partModel';

type Regulator = Extract<Element, { is: 'regulator' }>;

export function checkOwnSupply(model: PartModel): ModelMistake[] {
  return [...twoLimits(model), ...ownOverload(model), ...tooLittleIn(model), ...ownHeat(model)];
}

/** One conductor bears one voltage. */
function twoLimits({ terminals }: PartModel): ModelMistake[] {
  return terminals.flatMap((terminal, index) => {
    const first = terminals.find(({ node }) => node === terminal.node)!;
    if (first.withstandV.every((volts, end) => volts === terminal.withstandV[end])) return [];
    const said = `${first.id} withstands ${first.withstandV.join(' to ')} V and ${terminal.id} ${terminal.withstandV.join(' to ')} V: they are one conductor`;
    return [mistake(`terminals.${index}.withstandV`, 'limits', said)];
  });
}

/** What hangs on a regulator inside its own part, at its peak, in A. */
function ownPeakA(model: PartModel, regulator: Regulator, seen: readonly string[] = []): number {
  return model.elements.reduce((amps, element) => {
    if (element.is === 'load' && element.plus === regulator.output) return amps + element.peakA;
    if (element.is !== 'regulator' || element.input !== regulator.output || seen.includes(element.id)) return amps;
    const below = ownPeakA(model, element, [...seen, regulator.id]);
    return (
      amps + (element.kindOf === 'linear' ? below : (below * element.outV) / (element.efficiency * regulator.outV))
    );
  }, 0);
}

/** A linear regulator whose own loads alone, at the most that the part takes, are more than its package bears. */
function ownHeat(model: PartModel): ModelMistake[] {
  return model.elements.flatMap((element, index) => {
    if (element.is !== 'regulator' || element.kindOf !== 'linear' || !element.packageW) return [];
    const given = model.elements.flatMap((above) =>
      above.is === 'regulator' && above.output === element.input ? [above.outV] : [],
    );
    const taken = model.terminals.flatMap(({ node, roles }) =>
      roles.flatMap((role) =>
        node === element.input && role.is === 'supply' && role.dir === 'takes' ? [role.volts[1]] : [],
      ),
    );
    const typicalA = model.elements.reduce(
      (amps, one) => amps + (one.is === 'load' && one.plus === element.output ? one.typicalA : 0),
      0,
    );
    const heatW = Math.max(0, Math.max(0, ...given, ...taken) - element.outV) * typicalA;
    if (heatW <= element.packageW) return [];
    const said = `${element.id} burns ${heatW.toFixed(2)} W for the part's own loads, and its package bears ${element.packageW} W`;
    return [mistake(`elements.${index}.packageW`, 'heat', said)];
  });
}

function ownOverload(model: PartModel): ModelMistake[] {
  return model.elements.flatMap((element, index) => {
    if (element.is !== 'regulator') return [];
    const peakA = ownPeakA(model, element);
    if (peakA <= element.limitA) return [];
    const said = `${element.id} gives ${element.limitA} A and the part's own loads on it peak at ${peakA.toFixed(2)} A`;
    return [mistake(`elements.${index}.limitA`, 'overload', said)];
  });
}

/** A part that says it takes so little must still run its own loads on it. */
function tooLittleIn(model: PartModel): ModelMistake[] {
  return model.terminals.flatMap(({ id, node, roles }, index) =>
    roles.flatMap((role) => {
      if (role.is !== 'supply' || role.dir !== 'takes') return [];
      const short = model.elements.find(
        (element) =>
          element.is === 'regulator' &&
          element.input === node &&
          element.minInV > role.volts[0] &&
          (ownPeakA(model, element) > 0 || model.kind === 'regulator'),
      );
      if (short?.is !== 'regulator') return [];
      const said = `${id} takes ${role.volts[0]} V at least, and ${short.id} behind it needs ${short.minInV} V for its full output`;
      return [mistake(`terminals.${index}.roles`, 'input', said)];
    }),
  );
}
