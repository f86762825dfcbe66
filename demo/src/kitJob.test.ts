/** The kit stretch of real jobs: when it is asked for, what being short means, what comes while parts are loose. */
import type { Act, JobState, Note, QuadRecord } from '@junctor/core';
import { deriveJob, fold, difference, emptyBuild, makeCatalogue } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate } from '@junctor/catalogue';
import { seededIds } from './seededIds';
import { plainBench } from './plainBench';
import { bodiesFor } from './goodWork';
import { record, startWalk, walk } from './virtualTechnician';

const catalogue = makeCatalogue(shippedModels());
const plan = { ...shippedTemplate('quad-culvert-4s').plan, jobId: 'job', version: 1 };
const bench = plainBench({ plan, catalogue, packV: 15, newId: seededIds(3) });
const { list } = bench;
const fresh = startWalk(bench, Date.UTC(2026, 0, 5, 8));
const kitOf = (state: JobState) => state.steps.filter(({ stretch }) => stretch === 'kit');
const gate = (state: JobState) => state.gates.find(({ id }) => id === 'kit')!;
const doing = (from: typeof fresh, ...bodies: (Act | Note)[]) => record(bench, from, null, bodies);
const derived = (records: readonly QuadRecord[], over: object = {}) =>
  deriveJob({ jobId: 'job', plan: { ...plan, ...over }, log: fold(records, catalogue), catalogue, list });

describe('the kit', () => {
  it('comes before anything else: counted in, then set up, weighed and signed while loose', () => {
    const verbs = kitOf(fresh.state).map(({ verb }) => verb);
    expect([...new Set(verbs)]).toEqual(['count', 'say', 'weigh', 'sign']);
    expect(
      kitOf(fresh.state)
        .filter(({ verb }) => verb === 'say')
        .map(({ subject }) => subject),
    ).toEqual(['set up RX']);
    expect(fresh.state.steps.slice(0, verbs.length).every(({ stretch }) => stretch === 'kit')).toBe(true);
    expect(fresh.state.steps[verbs.length]!.subject).toBe('layout');
  });

  it('counted short is done, says what is missing, and says so until it has come', () => {
    const short = walk(bench, fresh, ({ subject }) => subject === 'tie:100');
    const step = short.state.current!;
    const counted = (have: number): Note => ({ saw: 'kit', line: 'tie:100', wanted: 8, have, takes: [], parts: [] });
    const after = record(bench, short, step, [counted(5)]);
    expect(after.state.steps.find(({ id }) => id === step.id)).toMatchObject({
      done: true,
      blockedReason: 'Short: 3 pieces of cable tie, 100 mm',
    });
    expect(after.state.current!.id).not.toBe(step.id);
    const come = doing(after, counted(8));
    expect(come.state.steps.find(({ id }) => id === step.id)).toMatchObject({ done: true, blockedReason: null });
  });

  it('passes its gate once everything was counted or put off', () => {
    const counted = walk(bench, fresh, ({ verb }) => verb === 'weigh');
    expect(gate(counted.state).state).toBe('blocking');
    const off = kitOf(counted.state)
      .filter(({ done }) => !done)
      .reduce((so, step) => record(bench, so, step, [{ saw: 'skip', step: step.id, reason: 'later' }]), counted);
    expect(gate(off.state).state).toBe('passed');
    expect(off.state.current!.subject).toBe('layout');
  });

  it('is not asked of a job that was begun without it, and never again once iron was on', () => {
    const begun = doing(fresh, { do: 'fit', slot: 'FRAME', fitted: plan.target.slots.FRAME! });
    expect(kitOf(begun.state)).toEqual([]);
    const half = walk(bench, fresh, ({ subject }) => subject === 'tie:100');
    const on = doing(half, { do: 'fit', slot: 'FRAME', fitted: plan.target.slots.FRAME! });
    expect(kitOf(on.state).every(({ done }) => done)).toBe(true);
    expect(kitOf(on.state).length).toBe(kitOf(half.state).filter(({ done }) => done).length);
  });

  it('asks for more when the plan comes to need more', () => {
    const all = kitOf(fresh.state)
      .filter(({ verb }) => verb === 'count')
      .reduce((so, step) => record(bench, so, step, bodiesFor(bench, so, step)), fresh);
    const wire = plan.target.wires.W1!;
    const target = {
      ...plan.target,
      wires: {
        ...plan.target.wires,
        W9: {
          ...wire,
          id: 'W9',
          ends: [
            { at: { on: 'terminal', ref: 'RX.GND' }, by: 'solder', lay: 'flat' },
            { at: { on: 'terminal', ref: 'FC.G2' }, by: 'solder', lay: 'flat' },
          ],
        },
      },
    };
    const red = derived(all.records, { target }).steps.find(({ subject }) => subject === 'wire:28:red')!;
    expect(red).toMatchObject({ done: true, blockedReason: expect.stringContaining('Short: ') as unknown });
  });

  it('changes its solder with the alloy of the job', () => {
    const keys = kitOf(derived([], { schools: { 'solder alloy': 'lead-free' } })).map(({ subject }) => subject);
    expect(keys).toContain('solder:lead-free');
    expect(keys).not.toContain('solder:leaded');
  });
});

describe('a quad that comes in built', () => {
  const found = difference(emptyBuild, plan.target).flatMap(({ effect }) => [...effect]);
  const cameIn = doing(fresh, ...found).records.map((entry) => ({ ...entry, how: 'found' as const }));

  it('has nothing to build, nothing to kit, and is judged as it is', () => {
    const state = derived(cameIn);
    expect(difference(state.asBuilt.build, plan.target)).toEqual([]);
    expect(kitOf(state).filter(({ verb }) => verb === 'count')).toEqual([]);
    expect(state.steps.some(({ verb }) => verb === 'land' || verb === 'look')).toBe(false);
    expect(state.findings.filter(({ severity }) => severity === 'kill')).toEqual([]);
  });

  it('is still read by the meter before power', () => {
    expect(derived(cameIn).steps.some(({ verb, done }) => verb === 'touch' && !done)).toBe(true);
    expect(derived(cameIn).objections.length).toBeGreaterThan(0);
  });
});
