/** The layout of real jobs: when it is asked for, what keeps its gate shut, and what opens it again. */
import type { Note } from '@junctor/core';
import {
  applyPlanChanges,
  assemble,
  bestLay,
  deriveJob,
  keepingChanges,
  layoutNote,
  layoutOf,
  makeCatalogue,
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
    expect(gateIn(signing(layoutNote(plan.target, no, 'tried dry: it goes in')).state).state).toBe('passed');
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
