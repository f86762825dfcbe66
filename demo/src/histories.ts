/** What was done in each of the demo's jobs, by a technician who follows the steps; and what went wrong on the way. */
import type { Act, Build, Note, QuadRecord, Site, Step, StepOf } from '@junctor/core';
import { difference, emptyBuild, jointName, landedOn, splitJoint } from '@junctor/core';
import type { Bench } from './bench';
import { demoPlan } from './demoPlan';
import { readingOf } from './goodWork';
import type { Mishap } from './virtualTechnician';
import { record, startWalk, walk } from './virtualTechnician';

/** Found with its old video system; the new parts counted in as far as the ties; the sleeve runs out. */
export function onTheTable(bench: Bench, startMs: number): QuadRecord[] {
  const found = cameIn(bench, startMs - 1800 * 1000, demoPlan('culvert-as-found').target);
  const sleeve: Mishap = (step) =>
    step.verb === 'count' && step.subject === 'sleeve:2'
      ? [{ saw: 'kit', line: step.subject, wanted: step.line.needed, have: 8, takes: [], parts: [] }]
      : null;
  return walk(bench, startWalk(bench, startMs, found), ({ id }) => id === 'count:tie:100', [sleeve]).records;
}

/** As far as the second ESC's supply. */
export function powerBegun(bench: Bench, startMs: number): QuadRecord[] {
  return walk(bench, startWalk(bench, startMs), ({ id }) => id === 'land:W3.b').records;
}

/** What the lead found when it came in, and its weights. */
export function cameIn(bench: Bench, startMs: number, asFound: Build): QuadRecord[] {
  const found = difference(emptyBuild, asFound).flatMap(({ effect }) => [...effect]);
  const { dry, pack, propellers } = weighedAs(bench, asFound);
  const weights: Note[] = [
    { saw: 'weight', what: 'dry', grams: dry },
    { saw: 'weight', what: 'with pack', grams: dry + pack },
    { saw: 'weight', what: 'with propellers', grams: dry + pack + propellers },
  ];
  const begun = record(bench, startWalk(bench, startMs), null, [...found, ...weights]);
  return begun.records.map((entry) => ({ ...entry, how: 'found' }));
}

/** Its parts with what joins them, a pack of its cells, and the propellers that its motors are listed with; in g. */
function weighedAs({ catalogue, plan }: Bench, { slots }: Build): { dry: number; pack: number; propellers: number } {
  const models = Object.values(slots).map((fitted) => catalogue.model(fitted)!);
  const parts = models.reduce((sum, { massG }) => sum + massG, 0);
  const motors = models.filter(({ kind }) => kind === 'motor');
  const acrossMm = motors[0]?.thrust?.[0]?.propellerMm;
  const pack = catalogue.models.find(({ kind, cells }) => kind === 'pack' && cells?.series === plan.cells[1]);
  const blade = catalogue.models.find(
    ({ kind, body }) =>
      kind === 'propeller' && Math.round(2 * Math.max(...body.outlineMm.map(([x]) => x))) === acrossMm,
  );
  return {
    dry: Math.round(parts * 1.04),
    pack: Math.round(pack?.massG ?? 0),
    propellers: Math.round(motors.length * (blade?.massG ?? 0)),
  };
}

/** A build without some parts and whatever hangs on them. */
export function without(build: Build, slots: readonly string[]): Build {
  const onGone = (ref: string) => slots.includes(ref.slice(0, ref.indexOf('.')));
  const bundles = new Set(
    Object.values(build.mates).flatMap(({ a, b }) =>
      'slot' in a && slots.includes(a.slot) && 'housing' in b ? [b.housing] : [],
    ),
  );
  const wires = Object.values(build.wires).filter(
    ({ ends }) =>
      !ends.some(
        ({ at }) => (at.on === 'terminal' && onGone(at.ref)) || (at.on === 'cavity' && bundles.has(at.housing)),
      ),
  );
  return {
    ...build,
    wires: Object.fromEntries(wires.map((wire) => [wire.id, wire])),
    slots: Object.fromEntries(Object.entries(build.slots).filter(([slot]) => !slots.includes(slot))),
    housings: Object.fromEntries(Object.entries(build.housings).filter(([id]) => !bundles.has(id))),
    mates: Object.fromEntries(
      Object.entries(build.mates).filter(([, { a }]) => !('slot' in a && slots.includes(a.slot))),
    ),
  };
}

/** Up to the middle of motor M3; lead B of M2 went to C2 first and was moved. */
export function halfBuilt(bench: Bench, startMs: number): QuadRecord[] {
  const wrongPad: Mishap = (step) => (step.id === 'land:M2-B.b' ? landedElsewhere(step, 'ESC.C2') : null);
  const reached = walk(bench, startWalk(bench, startMs), (step) => step.id === 'land:M3-B.b', [wrongPad]);
  return reached.records;
}

function landedElsewhere(step: { effect?: readonly Act[]; subject: string }, ref: `${string}.${string}`): Act[] {
  const joint = splitJoint(step.subject)!;
  return (step.effect ?? []).map((act) =>
    act.do === 'land' && act.wire === joint.wire && landedOn(act.as)
      ? { ...act, as: { ...act.as, at: { on: 'terminal', ref } } }
      : act,
  );
}

/** All the way; at continuity lead C of M4 is silent, the joint is reworked, and the fault is logged. */
export function finished(bench: Bench, startMs: number): QuadRecord[] {
  const joint = 'M4-C.b';
  const faulty = bench.list.faults.findIndex(({ kind, site }) => kind === 'joint open' && isAt(site, joint));
  const isTold = (step: Step): step is StepOf<'touch'> =>
    step.verb === 'touch' && step.listed.good === 'sounds' && step.listed.shows.includes(faulty);
  let now = walk(bench, startWalk(bench, startMs), isTold);
  const asked = now.state.current;
  if (!asked || !isTold(asked)) throw new Error('no touch of the demo plan is silent when lead C of M4 is open');
  now = record(bench, now, asked, [readingOf(bench, now, asked, 'none')]);
  const redo: Note = { saw: 'look', of: joint, grade: 'redo', defects: ['not wetted'] };
  const fault: Note = {
    saw: 'fault',
    fault: {
      symptom: `No tone ${asked.listed.touch.black.replace('.', ' ')} to ${asked.listed.touch.red.replace('.', ' ')} with motor M4 fitted`,
      site: { wire: 'M4-C', end: 1 },
      cause: 'enamel left in the bundle of lead C: cold joint',
      partsReplaced: [],
      done: 'lead scraped and tinned strand by strand, joint remade',
      minutes: 14,
      costMinor: 0,
      state: 'found',
    },
  };
  now = record(bench, now, null, [redo, fault]);
  return walk(bench, now, () => false).records;
}

function isAt(site: Site, joint: string): boolean {
  return 'wire' in site && site.end !== undefined && jointName(site.wire, site.end) === joint;
}
