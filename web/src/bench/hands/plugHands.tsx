/** A plug and what goes into it, or a bundle between two housings. */
import type { Wire } from '@junctor/core';
import { housingWords, terminalOf } from '@junctor/core';
import type { LeadRow } from '../../drawing/Leads';
import { Leads } from '../../drawing/Leads';
import type { Hand } from '../../ui/Frame';
import type { Bench } from '../provider/bench';
import { boardHand } from './boardHand';
import type { Hands } from './hands';

/** A mate by its id: the connector with its housing or the other connector; null where the build has no such mate. */
export function mateHands(bench: Bench, mateId: string): Hands | null {
  const mate = bench.state.target.build.mates[mateId];
  return mate && 'slot' in mate.a ? plugHands(bench, mate.a.slot, mate.a.connector) : null;
}

/** `current`: the wire whose contact is in question. */
export function plugHands(bench: Bench, slot: string, connectorId: string, current: string | null = null): Hands {
  const { target } = bench.state;
  const connector = target.connector(slot, connectorId);
  const mate = Object.values(target.build.mates).find(
    ({ a }) => 'slot' in a && a.slot === slot && a.connector === connectorId,
  );
  const left = boardHand(bench, slot, connector?.pins ?? [], {});
  if (mate && 'slot' in mate.b) {
    const pins = target.connector(mate.b.slot, mate.b.connector)?.pins ?? [];
    return { left, right: boardHand(bench, mate.b.slot, pins, {}) };
  }
  const housing = mate && 'housing' in mate.b ? mate.b.housing : null;
  const wires = Object.values(target.build.wires)
    .filter((wire) => positionIn(wire, housing) !== null)
    .sort((a, b) => positionIn(a, housing)! - positionIn(b, housing)!);
  const rows = wires.map((wire): LeadRow => {
    const position = positionIn(wire, housing)!;
    const pin = connector?.pins[position - 1];
    const printed = pin ? terminalOf(target.model(slot)!, pin)?.printed : '';
    return contactRow(bench, wire, { housing, current, message: `${position}: ${printed}, ${wire.colour}` });
  });
  return {
    left,
    right: {
      title: housing ? housingWords(housing, target) : 'its lead',
      note: 'looking into the mating face, latch up; 1 is left',
      body: <Leads rows={rows} />,
    },
  };
}

/** One housing of a bundle, with the colour in each position. */
export function bundleHand(bench: Bench, bundle: string, end: 0 | 1): Hand {
  const wires = Object.values(bench.state.target.build.wires).filter((wire) => wire.bundle === bundle);
  const housing = wires.map((wire) => wire.ends[end].at).find((at) => at.on === 'cavity');
  const rows = wires.map((wire) => {
    const { at } = wire.ends[end];
    const own = at.on === 'cavity' ? at : null;
    return contactRow(bench, wire, {
      housing: own?.housing ?? null,
      current: null,
      message: own ? `position ${own.position}, ${wire.colour}` : `open end, ${wire.colour}`,
    });
  });
  return {
    title: housing?.on === 'cavity' ? housingWords(housing.housing, bench.state.target) : 'its open ends',
    note: 'looking into the mating face, latch up; 1 is left',
    body: <Leads rows={rows} />,
  };
}

/** The position that a wire takes in a housing; null when it has none there. */
function positionIn({ ends }: Wire, housing: string | null): number | null {
  const at = ends.map((end) => end.at).find((landing) => landing.on === 'cavity' && landing.housing === housing);
  return at?.on === 'cavity' ? at.position : null;
}

interface Contact {
  housing: string | null;
  current: string | null;
  message: string;
}

function contactRow(bench: Bench, { id, colour, awg }: Wire, { housing, current, message }: Contact): LeadRow {
  const there = bench.state.asBuilt.build.wires[id];
  const stateOf = () => {
    if (id === current) return 'current';
    return there && (housing === null || positionIn(there, housing) !== null) ? 'landed' : 'planned';
  };
  return { id, message, colour, awg, contact: true, state: stateOf() };
}
