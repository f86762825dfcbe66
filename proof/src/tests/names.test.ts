/** Where a person reads, things are called by what they are and join, never by an id; no two things share a name. */
import { shippedMeter, shippedModels, shippedTemplates } from '@junctor/catalogue';
import type { Build, JobState } from '@junctor/core';
import {
  assemble,
  customerSheet,
  deriveJob,
  emptyBuild,
  follow,
  judge,
  makeCatalogue,
  padWords,
  probeWords,
  recordWords,
  remediesFor,
  siteWords,
  stateOf,
  stepWords,
  whyNow,
} from '@junctor/core';
import { demoShop, listFor } from '@junctor/demo';
import { describe, expect, it } from 'vitest';

const catalogue = makeCatalogue(shippedModels());
const meter = { id: 'm', name: 'm', ...shippedMeter };
const shop = demoShop({
  catalogue,
  templates: shippedTemplates(),
  meter,
  limiterId: 'l',
  now: new Date(Date.UTC(2026, 4, 4)),
});

/** Ids of wires, plugs and housings that are no print on any board either. */
function idsIn(...builds: readonly Build[]): ReadonlySet<string> {
  const prints = new Set(
    catalogue.models.flatMap(({ terminals, connectors }) => [
      ...terminals.flatMap(({ id, printed }) => [id, printed]),
      ...connectors.map(({ id }) => id),
    ]),
  );
  const ids = builds.flatMap(({ wires, mates, housings }) =>
    [wires, mates, housings].flatMap((table) => Object.keys(table)),
  );
  const slots = new Set(builds.flatMap(({ slots }) => Object.keys(slots)));
  return new Set(ids.filter((id) => !prints.has(id) && !slots.has(id)));
}

const wordsOf = (text: string) => text.split(/[\s,;:()“”’?.]+/);

function everyWord(state: JobState): string[] {
  return [
    ...state.steps.flatMap((step) => [stepWords(step, state), whyNow(step), step.blockedReason ?? '']),
    ...state.findings.map(({ message }) => message),
    ...state.objections,
    ...state.touches.touches.flatMap(({ touch }) => [
      probeWords(touch.black, state.target),
      probeWords(touch.red, state.target),
    ]),
    ...Object.values(state.target.build.wires).flatMap(({ id }) => [
      siteWords({ wire: id }, state.target),
      siteWords({ wire: id, end: 0 }, state.target),
      siteWords({ wire: id, end: 1 }, state.target),
    ]),
    ...Object.keys(state.target.build.mates).map((mate) => siteWords({ mate, position: 2 }, state.target)),
  ];
}

describe.each(shop.jobs.map((job) => [job.title, job] as const))('%s', (_title, job) => {
  const followed = follow(null, job.records, catalogue);
  const plan = { ...job.plan, jobId: job.id, version: 1 };
  const state = deriveJob({
    jobId: job.id,
    plan,
    log: stateOf(followed),
    catalogue,
    list: listFor(plan.target, catalogue, meter),
  });
  const ids = idsIn(state.start.build, state.asBuilt.build, state.target.build);
  const bare = (texts: readonly string[]) => texts.filter((text) => wordsOf(text).some((word) => ids.has(word)));

  it('has ids to be found', () => expect(ids.size).toBeGreaterThan(3));

  it('says no id in its steps, findings and places', () => expect(bare(everyWord(state))).toEqual([]));

  it('says no id in its book and on its sheet', () => {
    const book = followed.records.map((record, index) => recordWords(record, followed.states[index]!.asBuilt));
    const sheet = customerSheet(state, job.id, new Map()).flatMap(({ lines }) => [...lines]);
    expect(bare([...book, ...sheet])).toEqual([]);
  });

  it('says no id in what mends a spoiled wiring', () => {
    const wire = Object.values(plan.target.wires).find(({ from, ends }) => from !== 'tail' && ends[1].by === 'solder')!;
    const { [wire.id]: _gone, ...wires } = plan.target.wires;
    const spoiled = { ...plan, target: { ...plan.target, wires } };
    const found = judge(assemble(spoiled.target, catalogue), plan.links, plan.cells);
    const texts = found.flatMap((finding) => [
      finding.message,
      ...remediesFor(spoiled, catalogue, finding).map(({ message }) => message),
    ]);
    expect(bare(texts)).toEqual([]);
  });
});

it('no two pads of one side of a board share a name', () => {
  for (const { id, revision, terminals } of catalogue.models) {
    const build: Build = { ...emptyBuild, slots: { X: { model: id, revision, part: null, pose: null } } };
    const assembly = assemble(build, catalogue);
    for (const side of ['top', 'bottom'] as const) {
      const own = terminals.filter(
        ({ sides, form }) => sides.includes(side) && form !== 'pin' && form !== 'shell' && form !== 'metal',
      );
      const names = own.map((terminal) => padWords(`X.${terminal.id}`, assembly));
      expect([id, names.filter((name, index) => names.indexOf(name) !== index)]).toEqual([id, []]);
    }
  }
});
