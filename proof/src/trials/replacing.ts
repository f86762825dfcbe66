/** A part of a finished quad replaced by another of its kind, step by step, by a technician who does what is asked. */
import type { Build, ListedTouch, Meter, Plan, QuadRecord, Solve, TouchList } from '@junctor/core';
import { applyAct, assemble, difference, emptyBuild, isAct, planFromBook, provesContact } from '@junctor/core';
import type { Bench, Walk } from '@junctor/demo';
import { plainBench, record, startWalk, walk } from '@junctor/demo';
import { inject } from '../oracles/injector/inject';
import { conductors } from '../oracles/dcSolve';
import { TrueMeter } from '../oracles/trueMeter';
import type { Done, WorkedOn } from '../oracles/workedOn';
import { isNear, isSiteNear, workedOn } from '../oracles/workedOn';
import { judgedIn, stoppedBy } from './probeTrial';
import type { GoodBuild } from './ruleTrial';
import { catalogue, planOf } from './ruleTrial';

export interface Replaced {
  of: string;
  slot: string;
  /** The steps, folded, make exactly what was planned. */
  exact: boolean;
  /** Joints made and not looked at since. */
  unseen: readonly string[];
  /** What was done, and what is asked then. */
  work: readonly Done[];
  asked: readonly ListedTouch[];
  list: TouchList;
}

let made = 0;
const startMs = Date.UTC(2026, 3, 6, 9);

function benchOf(good: GoodBuild, given: Partial<Bench>): Bench {
  const plan: Plan = { ...planFromBook(good.build, planOf(good, 'first'), true)!, jobId: 'repair', version: 1 };
  return plainBench({ plan, catalogue, newId: () => `id${made++}`, ...given });
}

/**
 * Works until the meter would be taken up: everything that is asked then is known.
 * @param given A list that ships, and the meter that it is for.
 */
export function replaced(good: GoodBuild, slot: string, given: Partial<Pick<Bench, 'list' | 'meter'>> = {}): Replaced {
  const bench = benchOf(good, given);
  const first = { ...bench, jobId: 'first' };
  const acts = difference(emptyBuild, good.build).flatMap(({ effect }) => [...effect]);
  const before = record(first, startWalk(first, startMs), null, acts).records;
  let now = startWalk(bench, startMs + 1e9, before);
  now = record(bench, now, null, [
    { saw: 'replace', slot, part: null, oldSerial: null, oldTo: 'scrap', reason: 'broken' },
  ]);
  const end = walk(bench, now, ({ verb }) => verb === 'prove' || verb === 'mend');
  return { of: good.name, slot, ...whatCame(bench, end, before.length) };
}

function whatCame(bench: Bench, { state, records }: Walk, since: number): Omit<Replaced, 'of' | 'slot'> {
  const joints = records
    .slice(since)
    .flatMap(({ body }, index) =>
      isAct(body) && body.do === 'land' && body.as.by === 'solder'
        ? [{ joint: `${body.wire}.${body.end === 0 ? 'a' : 'b'}`, index }]
        : [],
    );
  const looks = records
    .slice(since)
    .map(({ body }) => ('saw' in body && body.saw === 'look' && body.grade === 'good' ? body.of : null));
  return {
    exact: shapeOf(state.asBuilt.build) === shapeOf(bench.plan.target),
    unseen: joints
      .filter(({ joint, index }) => !looks.some((of, at) => of === joint && at > index))
      .map(({ joint }) => joint),
    work: workOf(records, since),
    asked: state.touches.touches,
    list: state.touches.list!,
  };
}

/** Faults near the work that the whole list finds on an aircraft and what is asked does not. */
export function forgotten({ work, asked, list }: Replaced, { build }: GoodBuild, meter: Meter): string[] {
  const on = workedOn(work, catalogue);
  const grave = inject(build, catalogue).filter(
    (fault) => fault.harm !== 'warn' && isNear(on, fault, build, catalogue),
  );
  const of = { name: '', build, meter };
  const [whole, few] = [list.touches, asked].map((touches) => judgedIn(of, { touches }));
  return grave.flatMap(({ family, what, aircraft: { build: is, bridges, broken } }) => {
    const truth = new TrueMeter({ build: is, catalogue, meter, bridges, broken });
    return !stoppedBy(few!, truth, is) && stoppedBy(whole!, truth, is) ? [`${family}: ${what}`] : [];
  });
}

/** How many touches are asked, and how few would do for the faults of the list that lie near the work. */
export function askedAndLeast({ work, asked, list }: Replaced, { build }: GoodBuild, solve: Solve): [number, number] {
  const on = workedOn(work, catalogue);
  return [asked.length, leastFor(list, on, build, solve)];
}

function leastFor({ touches, faults }: TouchList, on: WorkedOn, build: Build, solve: Solve): number {
  const point = conductors(build, catalogue);
  const copper = (ref: string) => {
    const slot = ref.slice(0, ref.indexOf('.'));
    const terminal = catalogue.model(build.slots[slot]!).terminals.find(({ id }) => `${slot}.${id}` === ref)!;
    return point(slot, terminal.node);
  };
  const ends = ({ touch }: ListedTouch) => [copper(touch.black), copper(touch.red)];
  const name = (index: number) => `t${index}`;
  const places = touches.map((_, index) => index);
  const oneOf = (which: readonly number[], less: readonly (readonly [string, number])[] = []) => ({
    terms: [...which.map((index) => [name(index), 1] as const), ...less],
    is: '>=' as const,
    value: less.length > 0 ? 0 : 1,
  });
  const solved = solve({
    minimise: places.map((index) => [name(index), 1] as const),
    constraints: [
      ...places.filter((index) => touches[index]!.across !== null).map((index) => oneOf([index])),
      ...faults.flatMap((fault, place) => {
        const by = places.filter((index) => touches[index]!.shows.includes(place));
        return fault.harm !== 'warn' && by.length > 0 && isSiteNear(on, fault, build, catalogue) ? [oneOf(by)] : [];
      }),
      // A silence counts beside a touch that proves contact on the same copper.
      ...places.flatMap((index) =>
        provesContact(touches[index]!)
          ? []
          : ends(touches[index]!).flatMap((piece) => {
              const by = places.filter((one) => provesContact(touches[one]!) && ends(touches[one]!).includes(piece));
              return by.length > 0 ? [oneOf(by, [[name(index), -1]])] : [];
            }),
      ),
    ],
    binaries: places.map(name),
    counts: [],
  });
  if (solved.is !== 'optimal') throw new Error('no least set');
  return Math.round(solved.value);
}

function shapeOf({ slots, wires, mates, housings }: Build): string {
  const sorted = (table: Readonly<Record<string, unknown>>) =>
    Object.entries(table).sort(([a], [b]) => (a < b ? -1 : 1));
  return JSON.stringify([
    sorted(slots).map(([slot, fitted]) => [slot, (fitted as Build['slots'][string]).model]),
    sorted(wires).map(([id, wire]) => [
      id,
      (wire as Build['wires'][string]).ends.map(({ at }) => (at.on === 'air' ? 'air' : at)),
    ]),
    sorted(mates),
    sorted(housings),
  ]);
}

/** Each act of the repair with the quad before and after it. */
function workOf(records: readonly QuadRecord[], since: number): Done[] {
  const work: Done[] = [];
  let build = records
    .slice(0, since)
    .reduce((so, { body }) => (isAct(body) ? applyAct(assemble(so, catalogue), body).build : so), emptyBuild);
  for (const { body } of records.slice(since)) {
    if (!isAct(body)) continue;
    const next = applyAct(assemble(build, catalogue), body).build;
    work.push({ act: body, before: build, after: next });
    build = next;
  }
  return work;
}
