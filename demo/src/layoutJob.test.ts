/** The layout of real jobs: when it is asked for, what keeps its gate shut, and what opens it again. */
import type { Margin, MeasuredGap, Note } from '@junctor/core';
import {
  applyPlanChanges,
  assemble,
  bestLay,
  deriveJob,
  gapDoubt,
  gapNote,
  keepingChanges,
  layoutNote,
  layoutOf,
  makeCatalogue,
  measuredIn,
} from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate } from '@junctor/catalogue';
import { plainBench } from './plainBench';
import { seededIds } from './seededIds';
import { record, startWalk, walk } from './virtualTechnician';

const catalogue = makeCatalogue(shippedModels());
const plan = { ...shippedTemplate('quad-serial-6s').plan, jobId: 'job', version: 1 };
const bench = plainBench({ plan, catalogue, packV: 23, newId: seededIds(5) });
const { list } = bench;
const counted = walk(bench, startWalk(bench, Date.UTC(2026, 0, 5, 8)), ({ verb }) => verb === 'lay');
const step = counted.state.current!;
const layout = layoutOf(assemble(plan.target, catalogue))!;
const gateIn = ({ gates }: Pick<typeof counted.state, 'gates'>) => gates.find(({ id }) => id === 'layout')!;
const gaps = (notes: readonly MeasuredGap[]) =>
  measuredIn(
    notes.map((body) => ({ record: { body } })),
    layout.laid.assembly,
  );
const signing = (note: Note) => record(bench, counted, step, [note]);

describe('the layout', () => {
  it('is signed before the first joint', () => {
    expect(step).toMatchObject({ verb: 'lay', stretch: 'layout', done: false });
    expect(gateIn(counted.state).state).toBe('blocking');
    const signed = signing(layoutNote(plan.target, layout.margins));
    expect(gateIn(signed.state).state).toBe('passed');
    expect(signed.state.current!.subject).toBe('hot iron');
  });

  it('does not pass with a margin that does not hold, unless somebody said why it goes in', () => {
    const no = layout.margins.map((margin) => ({ ...margin, verdict: 'no' as const }));
    const refused = signing(layoutNote(plan.target, no));
    expect(refused.state.current).toMatchObject({ verb: 'lay', blockedReason: no[0]!.says });
    expect(gateIn(signing(layoutNote(plan.target, no, { reason: 'tried dry: it goes in' })).state).state).toBe(
      'passed',
    );
  });

  it('is signed again when the plan lies otherwise', () => {
    const signed = signing(layoutNote(plan.target, layout.margins));
    const turned = applyPlanChanges(plan, keepingChanges(layout.laid));
    if (!turned.ok) throw new Error('the plan has changed');
    const state = deriveJob({ jobId: 'job', plan: turned.plan, log: signed.state.log, catalogue, list });
    expect(state.steps.find(({ verb }) => verb === 'lay')).toMatchObject({
      done: false,
      blockedReason: 'The plan lies otherwise since it was signed',
    });
  });

  it('is signed again when a gauge has shown something since, and what it showed is judged', () => {
    const below = layout.margins.find(({ kind }) => kind === 'gap below')!;
    const note = gapNote(layout.laid, below, 1.4)!;
    expect(note).toMatchObject({ slots: ['ESC'], mm: 1.4, reckonedMm: below.mm! + 2 });
    const signed = signing(layoutNote(plan.target, layout.margins));
    const measured = record(bench, signed, null, [note]);
    expect(measured.state.steps.find(({ verb }) => verb === 'lay')).toMatchObject({
      done: false,
      blockedReason: 'Something was measured since it was signed',
    });
    const { margins } = layoutOf(assemble(plan.target, catalogue), bestLay(layout.laid.assembly).poses, gaps([note]))!;
    const now = margins.find(({ kind }) => kind === 'gap below')!;
    expect([now.verdict, now.mm, now.worstMm]).toEqual(['no', expect.closeTo(-0.6), expect.closeTo(-0.7)]);
    expect(now.says).toContain('Measured: 1.4 mm where 4.3 mm was reckoned');
  });

  it('believes a gauge with a washer more as well, of the same parts alone', () => {
    const below = layout.margins.find(({ kind }) => kind === 'gap below')!;
    const note = gapNote(layout.laid, below, 1.4)!;
    const [, washers] = mended(below, note);
    const raised = applyPlanChanges(plan, washers!.changes);
    if (!raised.ok) throw new Error('the plan has changed');
    const again = layoutOf(assemble(raised.plan.target, catalogue), undefined, gaps([note]))!;
    const now = again.margins.find(({ kind }) => kind === 'gap below')!;
    expect([now.verdict, now.mm]).toEqual(['go', expect.closeTo(1.4)]);
    const twice = gapNote(again.laid, now, 3.5)!;
    expect(twice.reckonedMm).toBeCloseTo(below.mm! + 2 + 2);
    const other = { ...note, models: ['another@1'] };
    expect(gaps([other]).size).toBe(0);
    expect(gapDoubt(below, below.mm! + 2)).toBeNull();
    expect(gapDoubt(below, 1.4)).toContain('is reckoned');
  });

  it('puts its stack up from below: screws, mounts in each board before it is on, nuts last', () => {
    const { steps } = deriveJob({ jobId: 'job', plan, log: startWalk(bench, 0).state.log, catalogue, list });
    const up = steps.filter(
      ({ verb, subject }) => /^(ESC|FC)$|(ESC|FC)$/.test(subject) && (verb === 'say' || verb === 'fit'),
    );
    expect(up.map(({ verb, subject }) => `${verb} ${subject}`)).toEqual([
      'say screws M3 x 22 under ESC',
      'say soft mount M3 in ESC',
      'fit ESC',
      'say soft mount M3 in FC',
      'fit FC',
      'say nuts M3 on FC',
    ]);
  });

  it('has its tape laid before the board that hides it, and once', () => {
    const below = layout.margins.find(({ kind }) => kind === 'gap below')!;
    const [tape] = mended(below, gapNote(layout.laid, below, 1.4)!);
    const taped = applyPlanChanges(plan, tape!.changes);
    if (!taped.ok) throw new Error('the plan has changed');
    const own = plainBench({ plan: { ...taped.plan, version: 2 }, catalogue, packV: 23, newId: seededIds(6) });
    const there = walk(own, startWalk(own, Date.UTC(2026, 0, 5, 8)), ({ subject }) => subject.includes('tape on the'));
    expect(there.state.current).toMatchObject({
      verb: 'say',
      subject: 'insulating tape on the plate 0.2 mm under ESC',
    });
    const after = record(own, there, there.state.current!, [{ saw: 'caution', id: there.state.current!.subject }]);
    expect(after.state.current).toMatchObject({ verb: 'fit', subject: 'ESC' });
  });

  it('names washers that lie on each other as one step', () => {
    const { stack, place } = layout.laid.stack!;
    const washer = { washer: 'washer', mm: 1 };
    const twice = { ...stack, layers: [washer, washer, ...stack.layers] };
    const target = { ...plan.target, stacks: { [place.id]: twice } };
    const own = plainBench({ plan: { ...plan, target }, catalogue, packV: 23, newId: seededIds(7) });
    const { steps } = startWalk(own, Date.UTC(2026, 0, 5, 8)).state;
    expect(steps.filter(({ subject }) => subject.startsWith('washer')).map(({ subject }) => subject)).toEqual([
      'washer 2 mm under ESC',
    ]);
    expect(new Set(steps.map(({ id }) => id)).size).toBe(steps.length);
  });

  /** What mends a margin once the gauge has spoken against it. */
  function mended(below: Margin, note: MeasuredGap) {
    const { margins } = layoutOf(assemble(plan.target, catalogue), undefined, gaps([note]))!;
    return margins.find(({ kind }) => kind === below.kind)!.remedies;
  }

  it('keeps every part where the search has put it', () => {
    const kept = applyPlanChanges(plan, keepingChanges(layout.laid));
    if (!kept.ok) throw new Error('the plan has changed');
    const again = assemble(kept.plan.target, catalogue);
    expect(bestLay(again).poses.size).toBe(0);
    expect(layoutOf(again)!.margins).toEqual(layout.margins);
  });

  it('is not asked of a job that was begun without it, nor where there is no frame', () => {
    const begun = record(bench, counted, null, [{ do: 'fit', slot: 'ESC', fitted: plan.target.slots.ESC! }]);
    expect(begun.state.steps.some(({ verb }) => verb === 'lay')).toBe(false);
    const { FRAME: _frame, ...slots } = plan.target.slots;
    const bare = { ...plan, target: { ...plan.target, slots } };
    const state = deriveJob({ jobId: 'job', plan: bare, log: counted.state.log, catalogue, list });
    expect(state.steps.some(({ verb }) => verb === 'lay')).toBe(false);
  });
});
