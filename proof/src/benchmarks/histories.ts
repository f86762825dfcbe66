/**
 * Generated histories of quads: work, shorts read and cleared, plugs pulled, jobs closed and opened again. While a
 * short stands between the main leads, and in a job that has just been opened again, no gate may be passed. Which
 * shorts stand is kept by the generator itself.
 */
import type { Act, JobState, Length, Note, TerminalRef } from '@junctor/core';
import { coreVersion, mainLeads, planFromBook } from '@junctor/core';
import type { Bench, Walk } from '@junctor/demo';
import { doStep, plainBench, record, startWalk } from '@junctor/demo';
import { random } from '../generators/generate';
import type { GoodBuild } from '../trials/ruleTrial';
import { catalogue, goodBuilds, planOf } from '../trials/ruleTrial';
import type { Measurement } from './measurement';
import { none } from './measurement';

const histories = 60;
const eventsEach = 30;
const startMs = Date.UTC(2026, 2, 2, 8);

interface History {
  bench: Bench;
  now: Walk;
  /** Which of the two main-lead touches have been read good since the last short; null while none stands. */
  short: { forward: boolean; back: boolean } | null;
}

/** Something that happens to a quad. */
type Event = (history: History, chance: () => number) => History;

export async function wholeHistories(): Promise<Measurement[]> {
  let [shorted, reopened, checks] = [0, 0, 0];
  for (let seed = 1; seed <= histories; seed++) {
    const chance = random(seed * 7919);
    const all = goodBuilds();
    let history = begun(all[Math.floor(chance() * all.length)]!, seed);
    for (let count = 0; count < eventsEach; count++) {
      const before = history.bench.jobId;
      history = chance() < 0.06 ? openAgain(history, chance) : pick(events, chance)(history, chance);
      // A quad of which nothing was recorded has no book to open a job from.
      const opens = history.bench.jobId !== before;
      const passed = passedGates(history.now.state);
      checks += 1;
      if (history.short && passed.length > 0) {
        shorted += 1;
        console.log(`# history ${seed}: a short stands, passed: ${passed.join(', ')}`);
      }
      if (opens && passed.length > 0) {
        reopened += 1;
        console.log(`# history ${seed}: opened again, passed: ${passed.join(', ')}`);
      }
    }
  }
  return Promise.resolve([
    none(`gates passed while a short stands, at ${checks} moments of ${histories} histories:`, shorted),
    none('gates passed in a job that was just opened again, in the same:', reopened),
  ]);
}

function passedGates({ gates }: JobState): string[] {
  return gates.filter(({ state }) => state === 'passed').map(({ id }) => id);
}

function pick<T>(list: readonly T[], chance: () => number): T {
  return list[Math.floor(chance() * list.length)]!;
}

let made = 0;

function begun(good: GoodBuild, seed: number): History {
  const bench = plainBench({
    quadId: `quad ${seed}`,
    plan: planOf(good, 'job 0'),
    catalogue,
    newId: () => `id${made++}`,
  });
  return { bench, now: startWalk(bench, startMs), short: null };
}

/** The steps that are due, told truly; far enough to pass gates. */
const work: Event = (history, chance) => {
  let { now, short } = history;
  const most = Math.floor(chance() * 24);
  for (let count = 0; count < most && now.state.current; count++) {
    const { current } = now.state;
    now = doStep(history.bench, now, current);
    const touch = current.verb === 'touch' ? current.listed : null;
    if (short && touch?.across === 'main leads') short = { ...short, forward: true };
    if (short && touch?.across === 'main leads exchanged') short = { ...short, back: true };
    if (short?.forward && short.back) short = null;
  }
  return { ...history, now, short };
};

/** Read across the main leads, as a tone or in ohms, whatever was expected of it. */
const readShort: Event = (history, chance) => {
  const { now, bench } = history;
  const leads = mainLeads(now.state.asBuilt);
  if (!leads) return history;
  const [black, red] = chance() < 0.5 ? [leads.minus, leads.plus] : [leads.plus, leads.minus];
  const note = reading({ bench, black, red, ohms: chance() < 0.5 ? 2 : null, judged: chance() < 0.7 });
  return { ...history, now: record(bench, now, null, [note]), short: { forward: false, back: false } };
};

interface Read {
  bench: Bench;
  black: TerminalRef;
  red: TerminalRef;
  /** null: a tone that does not stop. */
  ohms: number | null;
  /** false: nothing was known to compare it with. */
  judged: boolean;
}

function reading({ bench, black, red, ohms, judged }: Read): Note {
  const touch = { black, red, mode: ohms === null ? ('tone' as const) : ('ohms' as const), power: 'off' as const };
  const passes: readonly Length[] = ['none', 'chirp'];
  return {
    saw: 'reading',
    reading: {
      touch,
      meterId: bench.meter.id,
      heard: {
        ...(ohms === null ? { length: 'does not stop' as const } : { value: ohms, unit: 'ohm' as const }),
        heldMs: null,
        by: 'key',
        wrong: 0.005,
        anchors: { black: null, red: null },
      },
      expected: {
        touch,
        from: judged ? 'computed' : 'none',
        passes: ohms === null ? passes : [],
        band: ohms === null ? null : [9000, 40000],
        chargeAfterV: {},
        because: [],
      },
      verdict: judged ? 'stop' : 'record only',
      coreVersion,
    },
  };
}

const acts: Event = (history, chance) => {
  const { build } = history.now.state.asBuilt;
  const wires = Object.values(build.wires).filter(({ ends }) => ends[1].by === 'solder');
  const plugs = Object.keys(build.mates);
  const actOf = (): Act | null => {
    if (chance() < 0.5 && plugs.length > 0) return { do: 'unmate', id: pick(plugs, chance) };
    return wires.length > 0 ? { do: 'reheat', wire: pick(wires, chance).id, end: 1, dwellS: null } : null;
  };
  const act = actOf();
  return act ? { ...history, now: record(history.bench, history.now, null, [act]) } : history;
};

const replaces: Event = (history, chance) => {
  const slots = Object.keys(history.now.state.asBuilt.build.slots);
  if (slots.length === 0) return history;
  const note: Note = {
    saw: 'replace',
    slot: pick(slots, chance),
    part: null,
    oldSerial: null,
    oldTo: 'scrap',
    reason: '',
  };
  return { ...history, now: record(history.bench, history.now, null, [note]) };
};

const events: readonly Event[] = [work, work, work, readShort, acts, replaces];

/** Another job on the same quad, from its book; the one before counts for nothing in it. */
const openAgain: Event = (history, chance) => {
  const { bench, now } = history;
  const draft = planFromBook(now.state.asBuilt.build, bench.plan, chance() < 0.5);
  if (!draft) return history;
  const jobId = `job ${made++}`;
  const next: Bench = { ...bench, jobId, plan: { ...draft, jobId, version: 1 } };
  return { ...history, bench: next, now: startWalk(next, now.nowMs + 3_600_000, now.records) };
};
