/**
 * What a request made by hand can claim, drop, repeat, misdate or take back. What was heard is what the aircraft gives:
 * everything else may be forged.
 */
import type { QuadRecord, Reading, StepOf } from '@junctor/core';
import { record } from '@junctor/demo';
import type { Walk } from '@junctor/demo';
import { v7 } from 'uuid';
import type { Truth } from './truth';
import type { Tablet } from './worker';
import { heardAt } from './worker';

interface Attack {
  tablet: Tablet;
  now: Walk;
  truth: Truth;
  chance: () => number;
}

type Forgery = (attack: Attack) => readonly QuadRecord[];
type Loose = Record<string, unknown>;

const pick = <T>(list: readonly T[], chance: () => number): T | undefined => list[Math.floor(chance() * list.length)];

/** One record as the bench makes it, then bent. */
function bent({ tablet: { bench }, now, chance }: Attack, body: object, over: object = {}): QuadRecord {
  const made = record(bench, now, null, [body as QuadRecord['body']]).records.at(-1)!;
  return { ...made, ...misdated(chance), ...over } as QuadRecord;
}

/** Other clocks, another tablet, another claim of what had been seen. */
function misdated(chance: () => number): Loose {
  const hours = 3600_000;
  const times = [0, -1000 * hours, -20 * hours, 20 * hours].map((ms) => new Date(Date.now() + ms).toISOString());
  return {
    doneAt: pick([...times, '1970-01-01T00:00:00.000Z', '2099-01-01T00:00:00.000Z'], chance),
    how: chance() < 0.3 ? 'found' : 'did',
    ...(chance() < 0.3 ? { deviceId: v7() } : {}),
    ...(chance() < 0.3 ? { basisSeq: pick([0, 1, 10_000], chance) } : {}),
  };
}

function touchSteps({ now }: Attack): StepOf<'touch'>[] {
  const there = now.state.asBuilt;
  return now.state.steps.filter(
    (step): step is StepOf<'touch'> =>
      step.verb === 'touch' &&
      there.terminal(step.listed.touch.black) !== null &&
      there.terminal(step.listed.touch.red) !== null,
  );
}

/** A reading of what is truly heard, with whatever else is wanted in it. */
const forgedReading: Forgery = (attack) => {
  const { tablet, now, truth, chance } = attack;
  const steps = touchSteps(attack);
  const step = pick(chance() < 0.6 ? steps.filter(({ done }) => !done) : steps, chance) ?? pick(steps, chance);
  if (!step) return [];
  const { reading } = heardAt(truth, tablet.bench, now, step);
  const every = ['none', 'chirp', 'about a second', 'many seconds', 'does not stop'];
  const lies: readonly Loose[] = [
    {},
    { verdict: 'pass' },
    { verdict: 'pass', expected: { ...reading.expected, passes: every } },
    { verdict: 'pass', expected: { ...reading.expected, from: 'maker', passes: every } },
    { verdict: 'record only', expected: { ...reading.expected, from: 'none', passes: [], band: null } },
    { verdict: 'pass', meterId: v7() },
    { verdict: 'pass', expected: { ...reading.expected, touch: { ...reading.touch, mode: 'volts' } } },
    { verdict: 'pass', heard: { ...reading.heard, anchors: { black: v7(), red: v7() } } },
    { verdict: 'pass', heard: { ...reading.heard, ...inAnotherMode(reading) } },
    { verdict: 'pass', expected: { ...reading.expected, chargeAfterV: { 'CAP/C': -1e6 } } },
    { verdict: 'pass', heard: { ...reading.heard, heldMs: pick([0, 1, 86_000_000], chance) } },
  ];
  return [bent(attack, { saw: 'reading', reading: { ...reading, ...pick(lies, chance) } }, { step: step.id })];
};

const takenBack: Forgery = (attack) => {
  const { now, chance } = attack;
  const speaking = now.records.filter(({ body }) => 'saw' in body && ['reading', 'power', 'look'].includes(body.saw));
  const target = pick(chance() < 0.7 ? speaking : now.records, chance);
  return target ? [bent(attack, { saw: 'taken back', reason: 'never happened' }, { replaces: target.id })] : [];
};

/** A record in the place of another: of its kind with something better in it, or of another kind. */
const replaced: Forgery = (attack) => {
  const { now, chance } = attack;
  const target = pick(
    now.records.filter(({ body }) => 'saw' in body && body.saw === 'reading'),
    chance,
  );
  if (!target || !('saw' in target.body) || target.body.saw !== 'reading') return [];
  const { reading } = target.body;
  const bodies = [
    { saw: 'caution', id: 'ventilated' },
    { saw: 'look', of: 'M1-A.b', grade: 'good', defects: [] },
    {
      saw: 'reading',
      reading: { ...reading, verdict: 'pass', expected: { ...reading.expected, passes: [reading.heard.length] } },
    },
    {
      saw: 'reading',
      reading: { ...reading, verdict: 'record only', expected: { ...reading.expected, from: 'none' } },
    },
  ];
  return [bent(attack, pick(bodies, chance)!, { replaces: target.id })];
};

const repeated: Forgery = ({ now, chance }) => {
  const target = pick(now.records, chance);
  return target ? [chance() < 0.5 ? target : { ...target, id: v7() }] : [];
};

const work: Forgery = (attack) => {
  const { now, chance } = attack;
  const wire = pick(
    Object.values(now.state.asBuilt.build.wires).filter(({ ends }) => ends[1].by === 'solder'),
    chance,
  );
  return wire ? [bent(attack, { do: 'reheat', wire: wire.id, end: 1, dwellS: null })] : [];
};

const said: Forgery = (attack) => {
  const { now, chance } = attack;
  const finding = pick(now.state.findings, chance)?.key ?? 'short between the main leads:x';
  const step = pick(now.state.steps, chance)?.id ?? 'touch:x';
  const bodies = [
    { saw: 'waiver', finding, severity: 'stop', reason: 'it is fine' },
    { saw: 'skip', step, reason: 'no time' },
    { saw: 'caution', id: 'ventilated' },
    { saw: 'look', of: 'M1-A.b', grade: 'accept', defects: [] },
    { saw: 'meter proof', meterId: v7(), tipsApart: 'none', tipsTogether: 'does not stop', restV: 0 },
    { saw: 'untouched', since: attack.tablet.worked.jobId },
  ];
  return [bent(attack, pick(bodies, chance)!)];
};

const powered: Forgery = (attack) => {
  const permit = attack.now.records.findLast(({ body }) => 'saw' in body && body.saw === 'permit');
  const body = {
    saw: 'power',
    stage: pick(['limited, all', 'pack', 'off'], attack.chance),
    permit: attack.chance() < 0.5 ? (permit?.id ?? null) : null,
    limiterId: attack.chance() < 0.5 ? attack.tablet.bench.limiterId : null,
    packV: pick([attack.tablet.bench.packV, 60, 3], attack.chance),
    onS: pick([8, 80_000], attack.chance),
    ambientC: null,
    endedBy: pick(['done', 'heat', 'sign', 'time'], attack.chance),
    signs: [],
    verdict: 'pass',
  };
  return [bent(attack, body)];
};

const forgeries: readonly Forgery[] = [
  forgedReading,
  forgedReading,
  forgedReading,
  forgedReading,
  takenBack,
  takenBack,
  replaced,
  repeated,
  work,
  said,
  powered,
];

/** One thing that is tried; says what kind it was and whether the server took it. */
export async function forge(attack: Attack): Promise<string> {
  const forgery = pick(forgeries, attack.chance)!;
  const records = forgery(attack);
  if (records.length === 0) return `${forgery.name}: nothing`;
  const reply = await attack.tablet.send(records);
  if (reply.status >= 500) throw new Error(`${forgery.name}: ${JSON.stringify(reply.body)}`);
  return `${forgery.name}: ${reply.status === 200 ? 'kept' : String(reply.body.code)}`;
}

/** An answer that the mode of the touch does not give. */
function inAnotherMode({ touch }: Reading): Loose {
  return touch.mode === 'tone'
    ? { length: undefined, value: 0.001, unit: 'V' }
    : { length: 'does not stop', value: undefined, open: undefined };
}
