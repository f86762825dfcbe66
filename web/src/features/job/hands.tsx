/** What the two hands hold at a step: the boards, leads and lists on the left and right. */
import type { PartModel, Step, TerminalRef } from '@junctor/core';
import {
  jointName,
  landedOn,
  splitJoint,
  splitRef,
  retained,
  terminalOf,
  terminalUnder,
  terminalWords,
  wireWords,
  assemble,
} from '@junctor/core';
import type { LeadRow } from '../../drawing/Leads';
import { Leads } from '../../drawing/Leads';
import type { DrawnWire } from '../../drawing/WireRun';
import type { Hand } from '../../ui/Frame';
import { Checklist } from './Checklist';
import type { Bench } from './useBench';
import { leadsHand } from './leadsHand';
import { boardHand } from './boardHand';
import type { HandOptions } from './boardHand';

function isBoard(model: PartModel | null): model is PartModel {
  return model !== null && model.terminals.some(({ form }) => form !== 'tail' && form !== 'metal');
}

/** Left and right for a step of any kind. */
export function handsFor(bench: Bench, step: Step, options: HandOptions = {}): { left: Hand; right: Hand } {
  switch (step.verb) {
    case 'land':
      return jointHands(bench, step.subject, options);
    case 'free':
    case 'redo':
      return jointHands(bench, step.subject, { ringAt: reallyOn(bench, step.subject), ...options });
    case 'look':
      return step.about.kind === 'plug'
        ? plugHands(bench, step.about.slot, step.about.connector)
        : lookHands(bench, step.about.joints);
    case 'mate': {
      const mate = bench.state.target.build.mates[step.subject];
      return mate && 'slot' in mate.a ? plugHands(bench, mate.a.slot, mate.a.connector) : checklistHands(bench);
    }
    case 'unmate':
    case 'drop':
    case 'take':
      return oldHands(asBuiltBench(bench), step.verb, step.subject) ?? checklistHands(bench);
    case 'lead':
      return { left: bundleHand(bench, step.subject, 0), right: bundleHand(bench, step.subject, 1) };
    case 'fit':
    case 'weigh':
    case 'sign':
      return { left: partHand(bench, step.subject, []), right: leadsHand(bench, step.subject, null) };
    case 'touch': {
      const { black, red } = step.listed.touch;
      return { left: probeHand(bench, 'black probe', black), right: probeHand(bench, 'red probe', red) };
    }
    case 'say':
      return step.about.caution.is === 'set up' ? setUpHands(bench, step.about.caution.slot) : checklistHands(bench);
    default:
      return checklistHands(bench);
  }
}

/** The same bench, seen as it is built: for what comes off. */
function asBuiltBench(bench: Bench): Bench {
  return { ...bench, state: { ...bench.state, target: bench.state.asBuilt } };
}

/** What comes off, where it sits now; null once it is off. */
function oldHands(bench: Bench, verb: 'unmate' | 'drop' | 'take', subject: string): { left: Hand; right: Hand } | null {
  const { build } = bench.state.target;
  if (verb === 'take')
    return build.slots[subject] ? { left: partHand(bench, subject, []), right: leadsHand(bench, subject, null) } : null;
  if (verb === 'drop') {
    const end = build.wires[subject]?.ends.findLastIndex((end) => landedOn(end) !== null) ?? -1;
    return end < 0 ? null : jointHands(bench, jointName(subject, end as 0 | 1), {});
  }
  const mate = build.mates[subject];
  return mate && 'slot' in mate.a ? plugHands(bench, mate.a.slot, mate.a.connector) : null;
}

function checklistHands(bench: Bench): { left: Hand; right: Hand } {
  return {
    left: { title: 'what must hold', note: 'in this order', body: <Checklist bench={bench} /> },
    right: { title: 'the quad', note: 'main leads', body: mainLeadsBody(bench) },
  };
}

/** The loose receiver, and what the plan wants it to be set to. */
function setUpHands(bench: Bench, slot: string): { left: Hand; right: Hand } {
  const links = bench.job.plan.links.filter(({ ends }) => ends.some((end) => end.slot === slot));
  const model = bench.state.target.model(slot)!;
  const ports = model.ports.filter(({ id }) =>
    links.some(({ ends }) => ends.some((end) => end.slot === slot && end.port === id)),
  );
  const lines = [
    ...links.map(
      ({ purpose, ends }) =>
        `${purpose}: to ${ends
          .filter((end) => end.slot !== slot)
          .map((end) => `${end.slot} ${end.port}`)
          .join(', ')}`,
    ),
    ...ports.map(
      ({ inversion, speaks }) =>
        `output ${inversion === 'inverted' ? 'inverted' : 'not inverted'}${speaks.length > 0 ? ', serial' : ''}`,
    ),
    'region of the law here',
    'signal strength on its channel',
    'what it does when the link is lost',
    'bound to the customer’s radio, firmware written on its part',
  ];
  return {
    left: partHand(bench, slot, []),
    right: {
      title: 'what to set',
      note: 'on a header, before any solder',
      body: (
        <ul style={{ fontSize: 21, lineHeight: 1.7, paddingTop: 14 }}>
          {lines.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      ),
    },
  };
}

function mainLeadsBody(bench: Bench) {
  const slot = Object.keys(bench.state.target.build.slots).find(
    (key) => bench.state.target.model(key)?.kind === 'battery lead',
  );
  return slot ? boardHand(bench, slot, [], {}).body : null;
}

/** Where a joint is now, whatever was planned. */
function reallyOn(bench: Bench, joint: string): TerminalRef | null {
  const { wire, end } = splitJoint(joint)!;
  const built = bench.state.asBuilt.build.wires[wire];
  return built ? landedOn(built.ends[end]) : null;
}

/**
 * The two ends of a wire: the pad in question on the left, where it leads on the right. What the plan does not have is
 * shown as it is built.
 */
export function wireHands(bench: Bench, joint: string, options: HandOptions = {}): { left: Hand; right: Hand } {
  return jointHands(
    splitJoint(joint)!.wire in bench.state.target.build.wires ? bench : asBuiltBench(bench),
    joint,
    options,
  );
}

function jointHands(bench: Bench, joint: string, options: HandOptions): { left: Hand; right: Hand } {
  const { build } = bench.state.target;
  const { wire: id, end } = splitJoint(joint)!;
  const wire = build.wires[id] ?? bench.state.asBuilt.build.wires[id]!;
  const planned = terminalUnder(assemble(build, bench.catalogue), wire.ends[end])!;
  const there = retained(bench.state.asBuilt, build).build.wires[id];
  const ring = options.ringAt ?? planned;
  const { slot, terminal } = splitRef(ring);
  const drawn = (at: 0 | 1, towards: 'left' | 'right'): DrawnWire => ({
    colour: wire.colour,
    awg: wire.awg,
    towards,
    landed: Boolean(there && there.ends[at].at.on !== 'air'),
  });
  const left = boardHand(bench, slot, [terminal], {
    ...options,
    wire: drawn(end, 'right'),
    ghost: ring === planned ? null : splitRef(planned).terminal,
  });
  const other = terminalUnder(assemble(build, bench.catalogue), wire.ends[end === 0 ? 1 : 0]);
  const otherSlot = other ? splitRef(other).slot : null;
  if (other && otherSlot && isBoard(assemble(build, bench.catalogue).model(otherSlot)) && wire.from !== 'tail') {
    const right = boardHand(bench, otherSlot, [splitRef(other).terminal], { wire: drawn(end === 0 ? 1 : 0, 'left') });
    return {
      left,
      right: { ...right, note: `${wireWords(wire, bench.state.target)}, ${wire.awg} AWG, goes here at its other end` },
    };
  }
  return { left, right: leadsHand(bench, otherSlot ?? slot, id) };
}

function lookHands(bench: Bench, joints: readonly string[]): { left: Hand; right: Hand } {
  const { build } = bench.state.target;
  const refs = joints.flatMap((joint) => {
    const { wire, end } = splitJoint(joint)!;
    return landedOn(build.wires[wire]!.ends[end]) ?? [];
  });
  const slots = [...new Set(refs.map((ref) => splitRef(ref).slot))];
  const on = (slot: string) => refs.filter((ref) => splitRef(ref).slot === slot).map((ref) => splitRef(ref).terminal);
  const left = boardHand(bench, slots[0]!, on(slots[0]!), {});
  if (slots[1]) return { left, right: boardHand(bench, slots[1], on(slots[1]), {}) };
  return { left, right: { title: 'what to look for', note: 'with the magnifier, both sides', body: <LookFor /> } };
}

function LookFor() {
  const lines = [
    'wetted on pad and wire, edge runs out thin',
    'no bridge to a neighbour',
    'no ball, no whisker, no spike',
    'no bare wire beyond the pad',
    'insulation ends at the pad’s edge',
  ];
  return (
    <ul style={{ fontSize: 22, lineHeight: 1.75, paddingTop: 18 }}>
      {lines.map((line) => (
        <li key={line}>{line}</li>
      ))}
    </ul>
  );
}

function plugHands(bench: Bench, slot: string, connectorId: string): { left: Hand; right: Hand } {
  const { build } = bench.state.target;
  const connector = assemble(build, bench.catalogue)
    .model(slot)
    ?.connectors.find(({ id }) => id === connectorId);
  const mate = Object.values(build.mates).find(
    ({ a }) => 'slot' in a && a.slot === slot && a.connector === connectorId,
  );
  const housing = mate && 'housing' in mate.b ? mate.b.housing : null;
  if (mate && 'slot' in mate.b) {
    const { slot: other, connector: otherId } = mate.b;
    const pins =
      assemble(build, bench.catalogue)
        .model(other)
        ?.connectors.find(({ id }) => id === otherId)?.pins ?? [];
    return { left: boardHand(bench, slot, connector?.pins ?? [], {}), right: boardHand(bench, other, pins, {}) };
  }
  const wires = Object.values(build.wires).filter(({ ends }) =>
    ends.some(({ at }) => at.on === 'cavity' && at.housing === housing),
  );
  const rows = wires.map((wire): LeadRow => {
    const at = wire.ends.map((end) => end.at).find((landing) => landing.on === 'cavity' && landing.housing === housing);
    const position = at?.on === 'cavity' ? at.position : 0;
    const pin = connector?.pins[position - 1];
    const printed = pin ? terminalOf(assemble(build, bench.catalogue).model(slot)!, pin)?.printed : '';
    return {
      id: wire.id,
      message: `${position}: ${printed}, ${wire.colour}`,
      colour: wire.colour,
      awg: wire.awg,
      contact: true,
      state: wire.id in bench.state.asBuilt.build.wires ? 'landed' : 'planned',
    };
  });
  return {
    left: boardHand(bench, slot, connector?.pins ?? [], {}),
    right: {
      title: `its lead, housing ${housing ?? ''}`,
      note: 'looking into the mating face, latch up',
      body: <Leads rows={rows} />,
    },
  };
}

function bundleHand(bench: Bench, bundle: string, end: 0 | 1): Hand {
  const wires = Object.values(bench.state.target.build.wires).filter((wire) => wire.bundle === bundle);
  const housing = wires.map((wire) => wire.ends[end].at).find((at) => at.on === 'cavity');
  const rows = wires.map((wire): LeadRow => {
    const { at } = wire.ends[end];
    return {
      id: wire.id,
      message: `position ${at.on === 'cavity' ? at.position : '?'}, ${wire.colour}`,
      colour: wire.colour,
      awg: wire.awg,
      contact: true,
      state: wire.id in bench.state.asBuilt.build.wires ? 'landed' : 'planned',
    };
  });
  return {
    title: `housing ${housing?.on === 'cavity' ? housing.housing : ''}`,
    note: 'looking into the mating face, latch up',
    body: <Leads rows={rows} />,
  };
}

/** The board or part under a terminal; what came off is drawn as it came in. */
export function placeHand(bench: Bench, ref: TerminalRef, rings: readonly string[]): Hand {
  const { slot } = splitRef(ref);
  const here = bench.state.target.build.slots[slot] ? bench : asBuiltBench(bench);
  return isBoard(here.state.target.model(slot)) ? boardHand(here, slot, rings, {}) : leadsHand(here, slot, null);
}

function probeHand(bench: Bench, title: string, ref: TerminalRef): Hand {
  const { slot, terminal } = splitRef(ref);
  const hand = boardHand(bench, slot, [terminal], {});
  return { ...hand, title, note: `${terminalWords(ref, bench.state.target)}, ${hand.note}` };
}

function partHand(bench: Bench, slot: string, rings: readonly string[]): Hand {
  const model = bench.state.target.model(slot)!;
  const hand = boardHand(bench, slot, rings, {});
  return { ...hand, note: model.name };
}
