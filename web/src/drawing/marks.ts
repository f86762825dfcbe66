/** State by form: what the record says of each terminal and each joint. */
import type { JobState, TerminalRef } from '@junctor/core';
import { coveredTerminals, jointName, landedOn, lookedAt, notesOf, retained } from '@junctor/core';

export interface TerminalMark {
  /** Planned landings on it, and how many of them are there. */
  planned: number;
  landed: number;
  /** Landed here although planned elsewhere. */
  differs: boolean;
  looked: boolean;
  /** Looked at or read, but worked on since. */
  stale: boolean;
  proved: boolean;
  hidden: boolean;
  colour: string | null;
}

const empty: TerminalMark = {
  planned: 0,
  landed: 0,
  differs: false,
  looked: false,
  stale: false,
  proved: false,
  hidden: false,
  colour: null,
};

export type Marks = ReadonlyMap<TerminalRef, TerminalMark>;

export function terminalMarks(state: JobState): Marks {
  const marks = new Map<TerminalRef, TerminalMark>();
  const edit = (ref: TerminalRef, change: (mark: TerminalMark) => Partial<TerminalMark>) => {
    const mark = marks.get(ref) ?? empty;
    marks.set(ref, { ...mark, ...change(mark) });
  };
  const { asBuilt, target, log } = state;
  // A joint on a part that is to be replaced is none on the new one.
  const there = retained(asBuilt, target.build);
  for (const wire of Object.values(target.build.wires)) {
    for (const end of [0, 1] as const) {
      const planned = landedOn(wire.ends[end]);
      if (planned && wire.ends[end].by !== 'factory')
        edit(planned, (mark) => ({ planned: mark.planned + 1, colour: mark.colour ?? wire.colour }));
    }
  }
  const graded = new Map(notesOf(log, 'look').map(({ record }) => [record.body.of, record.body.grade]));
  const stillGood = new Set(state.steps.flatMap((step) => (step.verb === 'look' && step.done ? lookedAt(step) : [])));
  for (const wire of Object.values(there.build.wires)) {
    for (const end of [0, 1] as const) {
      const ref = landedOn(wire.ends[end]);
      if (!ref || wire.ends[end].by === 'factory') continue;
      const joint = jointName(wire.id, end);
      const planned = target.build.wires[wire.id];
      const differs = !planned || landedOn(planned.ends[end]) !== ref;
      const looked = stillGood.has(joint);
      edit(ref, (mark) => ({
        landed: mark.landed + 1,
        colour: wire.colour,
        differs: mark.differs || differs,
        looked: mark.looked || looked,
        stale: mark.stale || (graded.has(joint) && !looked),
      }));
    }
  }
  for (const step of state.steps) {
    if (step.verb !== 'touch' || !step.done) continue;
    for (const ref of [step.listed.touch.black, step.listed.touch.red]) edit(ref, () => ({ proved: true }));
  }
  for (const ref of coveredTerminals(there)) edit(ref, () => ({ hidden: true }));
  return marks;
}

export function markOf(marks: Marks, ref: TerminalRef): TerminalMark {
  return marks.get(ref) ?? empty;
}

/** The state of a terminal in a word or two, for people who do not see the drawing. */
export function markWords(mark: TerminalMark): string {
  if (mark.hidden) return 'under its plug';
  if (mark.landed === 0) return mark.planned > 0 ? 'planned, empty' : 'empty';
  const stateOf = () => {
    if (mark.proved) return 'soldered, proved';
    if (mark.looked) return 'soldered, looked at';
    if (mark.stale) return 'soldered, look again';
    return 'soldered';
  };
  const state = stateOf();
  return mark.differs ? `${state}, not as planned` : state;
}
