/**
 * The demo shop: Saltpan Rotorworks, three benches, invented from end to end. Two quads have a history: the vineyard
 * frost-patrol half built, with one joint on the wrong pad and moved; the salt-marsh bird counter finished, with a
 * fault in its book.
 */
import type { Act, Catalogue, Meter, Note, Plan, PlanDraft, QuadRecord } from '@junctor/core';
import { landedOn, splitJoint } from '@junctor/core';
import { seededIds } from './seededIds';
import type { Bench, Mishap } from './virtualTechnician';
import { readingOf, record, startWalk, walk } from './virtualTechnician';

export interface DemoShop {
  shop: string;
  people: readonly { id: string; name: string; role: 'technician' | 'lead'; password: string }[];
  device: { id: string; label: string };
  customers: readonly { id: string; name: string; contact: string }[];
  quads: readonly { id: string; customerId: string; name: string }[];
  jobs: readonly DemoJob[];
}

export interface DemoJob {
  id: string;
  quadId: string;
  kind: 'new' | 'conversion' | 'repair' | 'refit';
  title: string;
  openedAt: string;
  closedAt: string | null;
  dueOn: string | null;
  bench: number;
  plan: PlanDraft;
  records: readonly QuadRecord[];
}

export interface DemoInput {
  catalogue: Catalogue;
  plan: PlanDraft;
  meter: Meter;
  limiterId: string;
  now: Date;
}

const dayMs = 24 * 3600 * 1000;

export function demoShop({ catalogue, plan, meter, limiterId, now }: DemoInput): DemoShop {
  const newId = seededIds(20260712);
  const madeAt = now.getTime() - 40 * dayMs;
  const id = () => newId(madeAt);
  const people = [
    { id: id(), name: 'Oda Quill', role: 'lead', password: 'saltpan-lead' },
    { id: id(), name: 'Bram Tolley', role: 'technician', password: 'saltpan-bench' },
    { id: id(), name: 'Ines Varga', role: 'technician', password: 'saltpan-bench' },
  ] as const;
  const device = { id: id(), label: 'bench tablet' };
  const customers = [
    { id: id(), name: 'Reedmere Nature Trust', contact: 'Warden’s hut, Reedmere' },
    { id: id(), name: 'Hazelbrook Vineyard', contact: 'Estate office, Hazelbrook' },
    { id: id(), name: 'Fellside Cableways', contact: 'Lower station, Fellside' },
  ];
  const quads = [
    { id: id(), customerId: customers[0]!.id, name: 'Salt-marsh bird counter' },
    { id: id(), customerId: customers[1]!.id, name: 'Vineyard frost-patrol' },
  ];
  const bench = (quadId: string, personId: string): Bench => {
    const jobId = id();
    const own: Plan = { ...plan, jobId, version: 1 };
    return { quadId, jobId, plan: own, catalogue, meter, limiterId, personId, deviceId: device.id, packV: 23.4, newId };
  };
  const counter = bench(quads[0]!.id, people[2].id);
  const frost = bench(quads[1]!.id, people[1].id);
  const counterStart = now.getTime() - 20 * dayMs;
  const frostStart = now.getTime() - 3 * 3600 * 1000;
  return {
    shop: 'Saltpan Rotorworks',
    people, device, customers, quads,
    jobs: [
      {
        id: counter.jobId, quadId: counter.quadId, kind: 'new', title: 'new build, 10-inch', openedAt: new Date(counterStart).toISOString(),
        closedAt: new Date(counterStart + dayMs).toISOString(), dueOn: day(counterStart + 2 * dayMs), bench: 1, plan, records: finished(counter, counterStart),
      },
      {
        id: frost.jobId, quadId: frost.quadId, kind: 'new', title: 'new build, 8-inch', openedAt: new Date(frostStart).toISOString(),
        closedAt: null, dueOn: day(now.getTime() + 2 * dayMs), bench: 2, plan, records: halfBuilt(frost, frostStart),
      },
    ],
  };
}

function day(ms: number): string {
  return new Date(ms).toISOString().slice(0, 10);
}

/** Up to the middle of motor M3; lead B of M2 went to C2 first and was moved. */
function halfBuilt(bench: Bench, startMs: number): QuadRecord[] {
  const wrongPad: Mishap = (step) => (step.id === 'land:M2-B.b' ? landedElsewhere(step, 'ESC.C2') : null);
  const reached = walk(bench, startWalk(bench, startMs), (step) => step.id === 'land:M3-B.b', [wrongPad]);
  return reached.records;
}

function landedElsewhere(step: { effect?: readonly Act[]; subject: string }, ref: `${string}.${string}`): Act[] {
  const joint = splitJoint(step.subject)!;
  return (step.effect ?? []).map((act) =>
    act.do === 'land' && act.wire === joint.wire && landedOn(act.as) ? { ...act, as: { ...act.as, at: { on: 'terminal', ref } } } : act,
  );
}

/** All the way; at continuity lead C of M4 is silent, the joint is reworked, and the fault is logged. */
function finished(bench: Bench, startMs: number): QuadRecord[] {
  const bridge = 'touch:ESC.B4~ESC.C4~tone';
  const joint = 'M4-C.b';
  let now = walk(bench, startWalk(bench, startMs), (step) => step.id === bridge);
  const asked = now.state.current;
  if (asked?.verb !== 'touch') throw new Error('the demo plan has no touch between B4 and C4');
  now = record(bench, now, asked, [readingOf(bench, now, asked, 'none')]);
  const redo: Note = { saw: 'look', of: joint, grade: 'redo', defects: ['not wetted'] };
  const fault: Note = {
    saw: 'fault',
    fault: {
      symptom: 'No tone between B4 and C4 with motor M4 fitted', site: { wire: 'M4-C', end: 1 }, cause: 'enamel left in the bundle of lead C: cold joint',
      partsReplaced: [], done: 'lead scraped and tinned strand by strand, joint remade', minutes: 14, costMinor: 0, state: 'mended',
    },
  };
  now = record(bench, now, null, [redo, fault]);
  return walk(bench, now, () => false).records;
}
