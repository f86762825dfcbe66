/** Faults of volts, limits and what is inside. */
import type { Break } from './broken';
import {
  any,
  element,
  elements,
  givesBy,
  is,
  ofKind,
  on,
  roles,
  set,
  solid,
  supplyOf,
  terminals,
  volts,
} from './broken';

export const faultsOfElectrics: Readonly<Record<string, Break>> = {
  // Volts and what bears them.
  'limits the wrong way round': on(
    terminals,
    any,
    (terminal) => void (terminal.withstandV = [...(terminal.withstandV as number[])].reverse()),
  ),
  'limits of a part that is off the wrong way round': on(
    terminals,
    any,
    (terminal) => void (terminal.withstandOffV = [...(terminal.withstandOffV as number[])].reverse()),
  ),
  'volts of a supply the wrong way round': on(
    terminals,
    (terminal) => is(terminal, 'supply') && volts(terminal)[0]! < volts(terminal)[1]!,
    (terminal) => void (supplyOf(terminal).volts = [...volts(terminal)].reverse()),
  ),
  'a supply pad that does not bear its own supply': on(
    terminals,
    (terminal) => is(terminal, 'supply'),
    set('withstandV', [-0.3, 0.5]),
  ),
  'volts of a supply ten times too high': on(
    terminals,
    (terminal) => is(terminal, 'supply') && volts(terminal)[1]! * 10 < 200,
    (terminal) => void (supplyOf(terminal).volts = volts(terminal).map((one) => one * 10)),
  ),
  'a pin that drives more than it bears': on(terminals, solid, set('drivesV', 150)),
  'a pin that needs more than it bears': on(terminals, solid, set('needsHighV', 150)),
  'a pin that bears more when its part is off': on(terminals, any, set('withstandOffV', [-0.3, 190])),
  'one conductor with two limits': (model) => {
    const pair = model.terminals.find((one) =>
      model.terminals.some((other) => other !== one && other.node === one.node),
    );
    if (pair) pair.withstandV = [(pair.withstandV as number[])[0]!, (pair.withstandV as number[])[1]! + 3];
    return Boolean(pair);
  },
  'plus and ground on one conductor': (model) => {
    const plus = model.terminals.find((terminal) => is(terminal, 'supply'));
    const ground = model.terminals.find((terminal) => is(terminal, 'ground'));
    if (plus && ground) plus.node = ground.node;
    return Boolean(plus && ground);
  },
  'a part that takes a supply and has no ground': (model) => {
    if (!model.terminals.some((terminal) => is(terminal, 'supply', 'takes'))) return false;
    for (const terminal of model.terminals) terminal.roles = roles(terminal).filter((role) => role.is !== 'ground');
    return true;
  },
  // Insides.
  'an element on a node that is not there': on(elements, ofKind('resistor'), set('b', 'NO-SUCH-NODE')),
  'an element with both ends on one node': on(elements, ofKind('resistor'), (row) => void (row.b = row.a)),
  'a load on a rail from nowhere': (model) => {
    const load = element(model, 'load');
    if (load)
      model.elements.push({ ...load, id: 'GHOST', plus: 'NOWHERE' }, { ...load, id: 'GHOST2', plus: 'NOWHERE' });
    return Boolean(load);
  },
  'a load that draws less at its peak': on(
    elements,
    (row) => row.is === 'load' && (row.typicalA as number) > 0,
    set('peakA', 0),
  ),
  'a load that draws more idle': on(elements, ofKind('load'), set('idleA', 500)),
  'a load of negative current': on(elements, ofKind('load'), set('typicalA', -1)),
  'a load in milliamperes': on(
    elements,
    (row) => row.is === 'load' && (row.typicalA as number) > 0.001,
    (row) => void (row.typicalA = (row.typicalA as number) * 1000),
  ),
  'a regulator that feeds itself': (model) => {
    const regulator = element(model, 'regulator');
    if (regulator)
      model.elements.push({
        ...regulator,
        id: 'BACK',
        input: regulator.output,
        output: regulator.input,
        outV: 2,
        minInV: 3,
      });
    return Boolean(regulator);
  },
  'a regulator from less than it gives': on(
    elements,
    (row) => row.is === 'regulator' && row.kindOf !== 'step-up',
    set('minInV', 0.5),
  ),
  'a regulator that gives more without air': on(elements, ofKind('regulator'), set('stillAirA', 900)),
  'a regulator without current': on(
    elements,
    ofKind('regulator'),
    (row) => void Object.assign(row, { limitA: 0, stillAirA: 0 }),
  ),
  'a regulator that gives nothing of what it takes': on(elements, ofKind('regulator'), set('efficiency', 0)),
  'a regulator that gives more than it takes': on(elements, ofKind('regulator'), set('efficiency', 1.3)),
  'a regulator of other volts than its pad': (model) => {
    const pad = model.terminals.find(givesBy(model));
    const regulator = model.elements.find((one) => one.is === 'regulator' && one.output === pad?.node);
    if (regulator)
      Object.assign(regulator, { outV: (regulator.outV as number) * 2, minInV: (regulator.minInV as number) * 2 + 5 });
    return Boolean(regulator);
  },
  'a regulator weaker than its own loads': (model) => {
    const regulator = model.elements.find(
      (one) =>
        one.is === 'regulator' &&
        model.elements.some((load) => load.is === 'load' && load.plus === one.output && (load.peakA as number) > 0.002),
    );
    if (regulator) Object.assign(regulator, { limitA: 0.001, stillAirA: 0.001 });
    return Boolean(regulator);
  },
  'a linear regulator that its own loads overheat': (model) => {
    const regulator = model.elements.find(
      (one) =>
        one.is === 'regulator' &&
        one.kindOf === 'linear' &&
        model.elements.some(
          (load) => load.is === 'load' && load.plus === one.output && (load.typicalA as number) > 0.001,
        ),
    );
    if (regulator) regulator.packageW = 0.0001;
    return Boolean(regulator);
  },
  'a capacitor below its rail': (model) => {
    const rails = new Set(model.terminals.filter((terminal) => is(terminal, 'supply')).map(({ node }) => node));
    const capacitor = model.elements.find((one) => one.is === 'capacitor' && rails.has(one.plus));
    if (capacitor) capacitor.ratedV = model.kind === 'capacitor' ? 1 : 0.5;
    return Boolean(capacitor);
  },
  'a capacitor that leaks more than it passes': on(elements, ofKind('capacitor'), set('leakOhms', 1e-6)),
  'a capacitor of no farads': on(elements, ofKind('capacitor'), set('farads', 0)),
  'a capacitor that keeps more than all': on(elements, ofKind('capacitor'), set('keepsAtRated', 40)),
  'a diode that drops nothing': on(elements, ofKind('diode'), set('forwardV', 0)),
  'a diode in millivolts': on(elements, ofKind('diode'), set('forwardV', 60)),
  'a resistor of no ohms': on(elements, ofKind('resistor'), set('ohms', 0)),
  'a tolerance in percent': on(elements, any, set('tolerance', 5)),
  'a shorted rail': (model) => {
    const rail = model.terminals.find((terminal) => is(terminal, 'supply'));
    const ground = model.terminals.find((terminal) => is(terminal, 'ground'));
    if (rail && ground)
      model.elements.push({ id: 'SHORT', fails: ['open'], is: 'resistor', a: rail.node, b: ground.node, ohms: 2 });
    return Boolean(rail && ground);
  },
};
