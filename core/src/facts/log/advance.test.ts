/**
 * A log walked a record at a time, held against a plain reading of what a log means: corrections put in place first,
 * then folded.
 */
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { benchParts, benchSlots, fitted, goodWires } from '../../testing/fixtures';
import { applyAct } from '../assembly/applyAct';
import { assemble } from '../assembly/assembly';
import { emptyBuild } from '../assembly/build';
import { bodyOf } from '../assembly/difference';
import { advance, emptyLog } from './advance';
import { entriesOf, findEntry } from './entries';
import { fold } from './fold';
import type { FollowedLog } from './follow';
import { follow, stateOf } from './follow';
import type { LogState } from './logState';
import { notesOf } from './notesOf';
import type { QuadRecord } from './records';
import { isAct } from './records';

const catalogue = benchParts();

/** Each chain of corrections by its last record, in the place of its first; what was taken back left out. */
function standing(log: readonly QuadRecord[]): QuadRecord[] {
  const ids = new Set(log.map(({ id }) => id));
  const correctionOf = new Map<string, QuadRecord>();
  for (const record of log) {
    const { replaces } = record;
    if (replaces && ids.has(replaces) && !correctionOf.has(replaces)) correctionOf.set(replaces, record);
  }
  return log
    .filter(({ replaces }) => !replaces || !ids.has(replaces))
    .map((root) => {
      let last = root;
      while (correctionOf.has(last.id)) last = correctionOf.get(last.id)!;
      return last;
    })
    .filter(({ body }) => !('saw' in body && body.saw === 'taken back'));
}

const land = (index: number, end: 0 | 1): QuadRecord['body'] => {
  const wire = goodWires()[index]!;
  return { do: 'land', wire: wire.id, end, as: wire.ends[end], body: bodyOf(wire) };
};
const anyBody: fc.Arbitrary<QuadRecord['body']> = fc.oneof(
  fc
    .constantFrom('FC', 'RX', 'BAT')
    .map((slot) => ({ do: 'fit' as const, slot, fitted: fitted(benchSlots[slot as keyof typeof benchSlots]) })),
  fc.constantFrom('FC', 'RX').map((slot) => ({ do: 'take off' as const, slot, to: 'bench' as const })),
  fc.tuple(fc.nat(goodWires().length - 1), fc.constantFrom(0 as const, 1 as const)).map(([at, end]) => land(at, end)),
  fc.nat(goodWires().length - 1).map((at) => ({
    do: 'free' as const,
    wire: goodWires()[at]!.id,
    end: 1 as const,
    left: 'clean' as const,
    now: 'bare' as const,
  })),
  fc.constantFrom('T.b', 'R.b').map((of) => ({ saw: 'look' as const, of, grade: 'good' as const, defects: [] })),
  fc.constant({ saw: 'taken back' as const, reason: 'no' }),
);

/** Logs in which some records correct an earlier one, or something that is not there. */
const anyLog: fc.Arbitrary<QuadRecord[]> = fc
  .array(fc.tuple(anyBody, fc.option(fc.nat(30), { freq: 2 })), { maxLength: 24 })
  .map((list) =>
    list.map(([body, of], index): QuadRecord => {
      const replaces = replacesOf(of, index);
      return {
        id: `r${index + 1}`,
        quadId: 'quad',
        seq: index + 1,
        jobId: 'job',
        step: null,
        personId: 'person',
        deviceId: 'device',
        shownAt: null,
        doneAt: new Date(Date.UTC(2026, 0, 1, 8, index)).toISOString(),
        arrivedAt: null,
        basisSeq: index,
        planVersion: 1,
        how: 'did',
        body,
        ...(replaces ? { replaces } : {}),
      };
    }),
  );

function replacesOf(of: number | null, index: number) {
  if (of === null) return undefined;
  if (of < index) return `r${of + 1}`;
  if (of === 30) return 'elsewhere';
  return undefined;
}

const plain = (log: readonly QuadRecord[]) => {
  const held = standing(log);
  const acts = held.flatMap(({ body }) => (isAct(body) ? [body] : []));
  return {
    ids: held.map(({ id }) => id),
    build: acts.reduce(applyAct, assemble(emptyBuild, catalogue)).build,
    looks: held.flatMap(({ id, body }) => ('saw' in body && body.saw === 'look' ? [id] : [])),
  };
};
const heldBy = (state: LogState) => ({
  ids: entriesOf(state).map(({ record }) => record.id),
  build: state.asBuilt.build,
  looks: notesOf(state, 'look').map(({ record }) => record.id),
});
const whole = (state: LogState) => ({
  ...heldBy(state),
  acts: state.acts.map(({ record, placeSeq, madeSeq, touched, joints }) => [
    record.id,
    placeSeq,
    madeSeq,
    [...touched()],
    joints,
  ]),
  lastSeq: state.lastSeq,
  replaced: [...state.replaced],
});

describe('a log', () => {
  it('amounts to what its records amount to with each correction in the place of what it corrects', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        expect(heldBy(fold(log, catalogue))).toEqual(plain(log));
      }),
      { numRuns: 500 },
    );
  });

  it('is the same followed as it grows, with records that wait and are then stored, as folded at once', () => {
    fc.assert(
      fc.property(anyLog, fc.nat(24), (log, waits) => {
        let followed: FollowedLog | null = null;
        for (let length = 0; length <= log.length; length++) {
          const seen = log.slice(0, length).map((record, at) => (at >= waits ? { ...record, seq: null } : record));
          followed = follow(followed, seen, catalogue);
        }
        const before = followed!.states;
        followed = follow(followed, log, catalogue);
        // Stored where they were expected: nothing is walked again.
        expect(followed.states.every((state, at) => state === before[at])).toBe(true);
        expect(whole(stateOf(followed))).toEqual(whole(fold(log, catalogue)));
      }),
    );
  });

  it('that turns out otherwise than a tablet thought is walked again from there', () => {
    fc.assert(
      fc.property(anyLog, anyLog, fc.nat(24), (log, other, same) => {
        const mine = log
          .slice(0, same)
          .concat(other.map((record) => ({ ...record, id: `other ${record.id}`, seq: null })));
        const followed = follow(follow(null, mine, catalogue), log, catalogue);
        expect(whole(stateOf(followed))).toEqual(whole(fold(log, catalogue)));
      }),
    );
  });

  it('leaves every state as it was when the next is made', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        let state = emptyLog(catalogue);
        const seen = log.map((record) => {
          const before = { acts: state.acts, notes: state.notes, build: structuredClone(state.asBuilt.build) };
          const [was, counts] = [state, { acts: state.acts.length, looks: notesOf(state, 'look').length }];
          state = advance(state, record);
          return { was, before, counts };
        });
        for (const { was, before, counts } of seen) {
          expect(was.asBuilt.build).toEqual(before.build);
          expect([was.acts.length, notesOf(was, 'look').length]).toEqual([counts.acts, counts.looks]);
        }
      }),
    );
  });

  it('tells of a record which state it was made in', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const state = fold(log, catalogue);
        for (const { record } of entriesOf(state)) {
          const found = findEntry(state, record.id)!;
          expect(found.entry.record).toBe(record);
          const earlier = entriesOf(state).findIndex((entry) => entry.record === record);
          expect(entriesOf(found.before).map((entry) => entry.record.id)).toEqual(
            entriesOf(state)
              .slice(0, earlier)
              .map((entry) => entry.record.id),
          );
        }
      }),
    );
  });
});
