/** Boards drawn up from their labels alone, put on a heap with parts that nobody has joined to them. */
import type { Act, BoardDraft, ComposeGiven } from '@junctor/core';
import {
  applyAct,
  assemble,
  checkModel,
  compose,
  deriveJob,
  difference,
  draftModel,
  draftOf,
  emptyBuild,
  emptyLog,
  makeCatalogue,
} from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { loadSolver } from '@junctor/solver/node';
import { labelledBoards } from '../generators/labelledBoards';
import type { Measurement } from './measurement';
import { none } from './measurement';

const shipped = shippedModels();
/** With single ESCs, whose signals go to pads, or with one of four channels. */
const others = [
  ['coppice-survey-8', 'marl-motor-2812 4', 'avocet-esc-50 4', 'dunlin-rx-2'],
  ['coppice-frame-8', 'marl-motor-2812 4', 'lapwing-esc-45', 'teal-rx-c'],
];

export async function labelledComposed(): Promise<Measurement[]> {
  const solve = await loadSolver();
  const boards = labelledBoards();
  const failed = boards.flatMap((board, index) => {
    const why = against(board, others[index % others.length]!, solve);
    return why ? [`${board.name}: ${why}`] : [];
  });
  for (const line of failed) console.log(`# ${line}`);
  return [none(`boards from labels that cannot be composed, planned and walked, of ${boards.length}:`, failed.length)];
}

/** What hinders it; null when it goes through to its last act. */
function against(board: BoardDraft, parts: readonly string[], solve: ComposeGiven['solve']): string | null {
  const open = draftModel(board).pads.filter((pad) => pad.open);
  // Whoever has it in hand says the likeliest.
  const answers = Object.fromEntries(open.map((pad) => [pad.index, pad.reading.meanings[0]?.meaning ?? null]));
  const { model } = draftModel({ ...board, answers });
  const [fault] = checkModel(model);
  if (fault) return fault.message;
  const models = [...shipped, model];
  const catalogue = makeCatalogue(models);
  const heap = [model.id, ...parts].map((line) => {
    const [id, count = '1'] = line.split(' ');
    return { model: id!, count: Number(count) };
  });
  const { draft } = draftOf({ name: board.name, parts: heap, cells: null }, catalogue);
  const made = compose(draft, { catalogue, stock: models, pack: null, solve });
  if (made.is !== 'composed') return made.is === 'clash' ? made.conflict.why : JSON.stringify(made);
  const grave = made.planned.findings.find(({ severity }) => severity !== 'warn');
  if (grave) return grave.message;
  const plan = { ...made.plan, jobId: 'job', version: 1 };
  const { steps } = deriveJob({ jobId: 'job', plan, log: emptyLog(catalogue), catalogue, list: null });
  const acts = difference(emptyBuild, plan.target).flatMap(({ effect }) => effect);
  const end = acts.reduce((left, act: Act) => applyAct(left, act), assemble(emptyBuild, catalogue)).build;
  const isThere = difference(end, plan.target).length === 0;
  return isThere && steps.length > 0 ? null : 'its acts do not end in its plan';
}
