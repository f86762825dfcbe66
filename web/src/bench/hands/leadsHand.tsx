/** The leads of a part in one hand, with what has become of each. */
import { retained } from '@junctor/core';
import { splitRef } from '@junctor/core';
import { slotTitle } from '@junctor/core';
import { padWords } from '@junctor/core';
import { landedOn } from '@junctor/core';
import { jointName } from '@junctor/core';
import type { Wire } from '@junctor/core';
import type { LeadRow } from '../../drawing/Leads';
import { Leads } from '../../drawing/Leads';
import { whenWords } from '../../ui/when';
import type { Hand } from '../../ui/Frame';
import type { Bench } from '../provider/bench';

/** The leads of a part, with what has become of each. */
export function leadsHand(bench: Bench, slot: string, current: string | null): Hand {
  const { target, asBuilt } = bench.state;
  const own = Object.values(target.build.wires).filter((wire) => isOf(wire, slot));
  const rows = own.map((wire): LeadRow => ({
    id: wire.id,
    colour: wire.colour,
    awg: wire.awg,
    ...leadState(bench, wire, current),
  }));
  const fitted = slot in asBuilt.build.slots;
  const noteOf = () => {
    if (rows.length === 0) return 'no leads of its own';
    if (fitted) return 'its leads';
    return 'its leads, as they come';
  };
  return {
    title: slotTitle(slot, target),
    note: noteOf(),
    body: <Leads rows={rows} />,
  };
}

function isOf(wire: Wire, slot: string): boolean {
  return wire.tailOf
    ? splitRef(wire.tailOf).slot === slot
    : wire.ends.some((end) => landedOn(end)?.startsWith(`${slot}.`) && wire.from === 'stock');
}

function leadState(bench: Bench, wire: Wire, current: string | null): Pick<LeadRow, 'message' | 'state'> {
  const { target, asBuilt } = bench.state;
  const end = wire.tailOf ? 1 : 0;
  const planned = landedOn(wire.ends[end]);
  const there = retained(asBuilt, target.build).build.wires[wire.id];
  const really = there ? landedOn(there.ends[end]) : null;
  const name = wire.tailOf ? `lead ${splitRef(wire.tailOf).terminal}` : `${wire.colour} wire`;
  if (!planned) return { message: `${name}, in the air`, state: 'planned' };
  const when = lastLanding(bench, jointName(wire.id, end));
  if (really && really !== planned)
    return { message: `${name} is on ${padWords(really, target)}${when}`, state: 'differs' };
  if (really) return { message: `${name}, on ${padWords(really, target)}${when}`, state: 'landed' };
  if (wire.id === current)
    return { message: `${name}, ${wire.colour} ${wire.awg} AWG, to ${padWords(planned, target)}`, state: 'current' };
  return { message: `${name}, to ${padWords(planned, target)}`, state: 'planned' };
}

function lastLanding(bench: Bench, joint: string): string {
  const act = bench.state.log.acts.filter(({ joints }) => joints.includes(joint)).at(-1);
  return act ? ` ${whenWords(act.record.doneAt)}` : '';
}
