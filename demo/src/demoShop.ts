/**
 * The demo shop: Saltpan Rotorworks, three benches, invented from end to end. Five quads at different stages: the
 * vineyard frost-patrol half built, with one joint on the wrong pad and moved; the salt-marsh bird counter finished,
 * with a fault in its book; the culvert inspector come in for another video system, another receiver and positioning,
 * its
 * kit half counted and one thing short; the rope-line carrier with its power path begun; the glasshouse scout come in
 * for
 * lights and positioning, as it was found.
 */
import type { Catalogue, Intake, Meter, Plan, PlanDraft, QuadRecord } from '@junctor/core';
import type { Template } from '@junctor/catalogue';
import { demoPlan } from './demoPlan';
import { seededIds } from './seededIds';
import type { DemoStores } from './stores';
import { demoStores } from './stores';
import type { Bench } from './bench';
import { cameIn, finished, halfBuilt, onTheTable, powerBegun, without } from './histories';
import { listFor } from './listFor';

export interface DemoShop {
  shop: string;
  people: readonly { id: string; name: string; role: 'technician' | 'lead'; password: string }[];
  device: { id: string; label: string };
  customers: readonly { id: string; name: string; contact: string }[];
  quads: readonly { id: string; customerId: string; name: string }[];
  jobs: readonly DemoJob[];
  stores: DemoStores;
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
  intake: Intake;
}

interface DemoInput {
  catalogue: Catalogue;
  templates: readonly Template[];
  meter: Meter;
  limiterId: string;
  now: Date;
}

const dayMs = 24 * 3600 * 1000;

export function demoShop({ catalogue, templates, meter, limiterId, now }: DemoInput): DemoShop {
  const planOf = (id: string) => templates.find((template) => template.id === id)!.plan;
  const serial = planOf('quad-serial-6s');
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
    { id: id(), name: 'Brackwater Drainage Board', contact: 'Pump house 2, Brackwater' },
    { id: id(), name: 'Thornlea Glasshouses', contact: 'Packing hall, Thornlea' },
  ];
  const quads = [
    { id: id(), customerId: customers[0]!.id, name: 'Salt-marsh bird counter' },
    { id: id(), customerId: customers[1]!.id, name: 'Vineyard frost-patrol' },
    { id: id(), customerId: customers[3]!.id, name: 'Culvert inspector' },
    { id: id(), customerId: customers[2]!.id, name: 'Rope-line carrier' },
    { id: id(), customerId: customers[4]!.id, name: 'Glasshouse scout' },
  ];
  const bench = (quadId: string, personId: string, plan: PlanDraft): Bench => {
    const jobId = id();
    const own: Plan = { ...plan, jobId, version: 1 };
    return {
      quadId,
      jobId,
      plan: own,
      list: listFor(own.target, catalogue, meter),
      catalogue,
      meter,
      limiterId,
      personId,
      deviceId: device.id,
      packV: plan.cells[1] * 3.9,
      newId,
    };
  };
  const counter = bench(quads[0]!.id, people[2].id, serial);
  const frost = bench(quads[1]!.id, people[1].id, serial);
  const culvert = bench(quads[2]!.id, people[2].id, demoPlan('culvert-conversion'));
  const carrier = bench(quads[3]!.id, people[1].id, planOf('carrier-coax-6s'));
  const glasshouse = bench(quads[4]!.id, people[0].id, planOf('quad-glasshouse-6s'));
  const hours = (count: number) => now.getTime() - count * 3600 * 1000;
  const opened = (bench: Bench, startMs: number, dueDays: number, place: number) => ({
    id: bench.jobId,
    quadId: bench.quadId,
    openedAt: new Date(startMs).toISOString(),
    closedAt: null,
    dueOn: day(now.getTime() + dueDays * dayMs),
    bench: place,
    plan: bench.plan,
  });
  const counterStart = now.getTime() - 20 * dayMs;
  const frostStart = now.getTime() - 3 * 3600 * 1000;
  return {
    shop: 'Saltpan Rotorworks',
    people,
    device,
    customers,
    quads,
    jobs: [
      {
        id: counter.jobId,
        quadId: counter.quadId,
        kind: 'new',
        title: 'new build, 10-inch',
        openedAt: new Date(counterStart).toISOString(),
        closedAt: new Date(counterStart + dayMs).toISOString(),
        dueOn: day(counterStart + 2 * dayMs),
        bench: 1,
        plan: serial,
        records: finished(counter, counterStart),
        intake: {
          wants: 'Two hours of counting a tide, and it has to come home by itself.',
          valueMinor: 480000,
          pack: 'moss-pack-6s-10000',
          propeller: 'sycamore-prop-10',
          extras: [],
        },
      },
      {
        id: frost.jobId,
        quadId: frost.quadId,
        kind: 'new',
        title: 'new build, 8-inch',
        openedAt: new Date(frostStart).toISOString(),
        closedAt: null,
        dueOn: day(now.getTime() + 2 * dayMs),
        bench: 2,
        plan: serial,
        records: halfBuilt(frost, frostStart),
        intake: {
          wants: 'Flies the rows at four in the morning; must start in the cold.',
          valueMinor: 310000,
          pack: 'moss-pack-6s-4000',
          propeller: 'sycamore-prop-8',
          extras: [],
        },
      },
      {
        ...opened(culvert, hours(1), 4, 3),
        kind: 'conversion',
        title: 'analogue to digital video',
        records: onTheTable(culvert, hours(1)),
        intake: {
          wants: 'The old picture drowns in noise under concrete. A clear one, and where it is.',
          valueMinor: 140000,
          pack: 'moss-pack-4s-850',
          propeller: 'sycamore-prop-4',
          extras: ['positioning'],
        },
      },
      {
        ...opened(carrier, hours(20), 6, 1),
        kind: 'new',
        title: 'new build, coaxial',
        records: powerBegun(carrier, hours(20)),
        intake: {
          wants: 'Carries a pilot line across the gorge, 3 kg, in wind.',
          valueMinor: 1250000,
          pack: 'moss-pack-6s-10000',
          propeller: 'sycamore-prop-13',
          extras: ['positioning'],
        },
      },
      {
        ...opened(glasshouse, hours(0.4), 9, 2),
        kind: 'conversion',
        title: 'add positioning and lights',
        records: cameIn(glasshouse, hours(0.4), without(glasshouse.plan.target, ['GPS', 'LED'])),
        intake: {
          wants: 'It drifts under the glass. Add positioning, and lights so that the pickers see it.',
          valueMinor: 260000,
          pack: 'moss-pack-6s-4000',
          propeller: 'sycamore-prop-9',
          extras: ['positioning'],
        },
      },
    ],
    stores: demoStores(templates, catalogue, customers[3]!.id, id),
  };
}

function day(ms: number): string {
  return new Date(ms).toISOString().slice(0, 10);
}
