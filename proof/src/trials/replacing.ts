/** A part of a finished quad replaced by another of its kind, step by step, by a technician who does what is asked. */
import type { Build, Plan, QuadRecord } from '@junctor/core';
import { applyAct, assemble, difference, emptyBuild, isAct, planFromBook, provesContact } from '@junctor/core';
import type { Bench, Walk } from '@junctor/demo';
import { plainBench, record, startWalk, walk } from '@junctor/demo';
import type { Done, ModelOf } from '../oracles/touchedByWork';
import { copperOf, touchedByWork } from '../oracles/touchedByWork';
import type { GoodBuild } from './ruleTrial';
import { catalogue, planOf } from './ruleTrial';

export interface Replaced {
  of: string;
  slot: string;
  /** The steps, folded, make exactly what was planned. */
  exact: boolean;
  /** Touches that are asked though nothing reached them and no asked silence stands on them. */
  beyond: readonly string[];
  /** Touches of the whole list that the work reached and that are not asked. */
  forgotten: readonly string[];
  /** Joints made and not looked at since. */
  unseen: readonly string[];
}

let made = 0;
const startMs = Date.UTC(2026, 3, 6, 9);

function benchOf(good: GoodBuild): Bench {
  const plan: Plan = { ...planFromBook(good.build, planOf(good, 'first'), true)!, jobId: 'repair', version: 1 };
  return plainBench({ plan, catalogue, newId: () => `id${made++}` });
}

/** Works until the meter would be taken up: everything that is asked then is known. */
export function replaced(good: GoodBuild, slot: string): Replaced {
  const bench = benchOf(good);
  const first = { ...bench, jobId: 'first' };
  const acts = difference(emptyBuild, good.build).flatMap(({ effect }) => [...effect]);
  const before = record(first, startWalk(first, startMs), null, acts).records;
  let now = startWalk(bench, startMs + 1e9, before);
  now = record(bench, now, null, [
    { saw: 'replace', slot, part: null, oldSerial: null, oldTo: 'scrap', reason: 'broken' },
  ]);
  const end = walk(bench, now, ({ verb }) => verb === 'prove' || verb === 'mend');
  return { of: good.name, slot, ...judged(bench, end, before.length) };
}

function judged(bench: Bench, { state, records }: Walk, since: number): Omit<Replaced, 'of' | 'slot'> {
  const { target } = bench.plan;
  const touched = touchedByWork(workOf(records, since), modelsOf);
  const whole = state.touches.list!.touches;
  const asked = new Set(state.touches.touches.map(nameOf));
  const reached = ({ touch }: (typeof whole)[number]) => touched.has(touch.black) || touched.has(touch.red);
  const always = ({ across }: (typeof whole)[number]) => across !== null;
  const copper = copperIn(target);
  const silences = state.touches.touches.filter((listed) => !provesContact(listed));
  const anchors = (listed: (typeof whole)[number]) =>
    provesContact(listed) && silences.some((silence) => onOneNet(silence, listed, copper));
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
    exact: shapeOf(state.asBuilt.build) === shapeOf(target),
    beyond: state.touches.touches.filter((one) => !reached(one) && !always(one) && !anchors(one)).map(nameOf),
    forgotten: whole.filter((one) => reached(one) && !asked.has(nameOf(one))).map(nameOf),
    unseen: joints
      .filter(({ joint, index }) => !looks.some((of, at) => of === joint && at > index))
      .map(({ joint }) => joint),
  };
}

interface Listed {
  touch: { black: string; red: string };
}

function nameOf({ touch }: Listed): string {
  return `${touch.black} ${touch.red}`;
}

/** A tone stands for a silence when it has a terminal on a net of it, as the finished quad is wired. */
function onOneNet(silence: Listed, tone: Listed, copper: (ref: string) => ReadonlySet<string>): boolean {
  return [silence.touch.black, silence.touch.red].some(
    (ref) => copper(ref).has(tone.touch.black) || copper(ref).has(tone.touch.red),
  );
}

/** Remembers what lies on one copper with a terminal. */
function copperIn(build: Build): (ref: string) => ReadonlySet<string> {
  const known = new Map<string, ReadonlySet<string>>();
  return (ref) => {
    const found = known.get(ref) ?? copperOf(ref, build, modelsOf(build));
    known.set(ref, found);
    return found;
  };
}

function modelsOf(build: Build): ModelOf {
  return (slot) => assemble(build, catalogue).model(slot) ?? undefined;
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
