/** The two ends of a wire, and rows of joints: the pad in question on the left, where it leads on the right. */
import type { PartModel, TerminalRef } from '@junctor/core';
import { landedOn, retained, splitJoint, splitRef, terminalUnder, wireWords } from '@junctor/core';
import type { DrawnWire } from '../../drawing/WireRun';
import type { Bench } from '../provider/bench';
import type { HandOptions } from './boardHand';
import { boardHand } from './boardHand';
import type { Hands } from './hands';
import { asBuiltBench } from './hands';
import { leadsHand } from './leadsHand';
import { LookFor } from './LookFor';

/** True when a part has pads or pins to look at, not only leads. */
export function isBoard(model: PartModel | null): model is PartModel {
  return model !== null && model.terminals.some(({ form }) => form !== 'tail' && form !== 'metal');
}

/** A joint of the plan; of what is built where the plan does not have the wire. */
export function wireHands(bench: Bench, joint: string, options: HandOptions = {}): Hands {
  return jointHands(
    splitJoint(joint)!.wire in bench.state.target.build.wires ? bench : asBuiltBench(bench),
    joint,
    options,
  );
}

/** A joint that sits where it sits, whatever was planned. */
export function madeJointHands(bench: Bench, joint: string, options: HandOptions = {}): Hands {
  return jointHands(bench, joint, { ringAt: reallyOn(bench, joint), ...options });
}

/** Where a joint is now, whatever was planned. */
export function reallyOn({ state: { asBuilt } }: Bench, joint: string): TerminalRef | null {
  const { wire, end } = splitJoint(joint)!;
  const built = asBuilt.build.wires[wire];
  return built ? landedOn(built.ends[end]) : null;
}

export function jointHands(bench: Bench, joint: string, options: HandOptions = {}): Hands {
  const { target, asBuilt } = bench.state;
  const { wire: id, end } = splitJoint(joint)!;
  const wire = target.build.wires[id] ?? asBuilt.build.wires[id]!;
  const planned = terminalUnder(target, wire.ends[end])!;
  const there = retained(asBuilt, target.build).build.wires[id];
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
  const far = end === 0 ? 1 : 0;
  const other = terminalUnder(target, wire.ends[far]);
  const otherSlot = other ? splitRef(other).slot : null;
  if (other && otherSlot && isBoard(target.model(otherSlot)) && wire.from !== 'tail') {
    const right = boardHand(bench, otherSlot, [splitRef(other).terminal], { wire: drawn(far, 'left') });
    return {
      left,
      right: { ...right, note: `${wireWords(wire, target)}, ${wire.awg} AWG, goes here at its other end` },
    };
  }
  return { left, right: leadsHand(bench, otherSlot ?? slot, id) };
}

/** A row of joints to be looked at, on one board or on two. */
export function rowHands(bench: Bench, joints: readonly string[]): Hands {
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
