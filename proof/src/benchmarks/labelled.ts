/** Boards drawn up from their labels alone, put on a heap with parts that nobody has joined to them. */
import type { BoardDraft, Catalogue, ComposeGiven, Plan } from '@junctor/core';
import {
  assemble,
  checkModel,
  compose,
  difference,
  draftModel,
  draftOf,
  makeCatalogue,
  probeList,
} from '@junctor/core';
import { shippedModels } from '@junctor/catalogue';
import { plainBench, startWalk, walk } from '@junctor/demo';
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

/** What hinders it; null when it goes through to the hand-over. */
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
  return leftAfter({ ...made.plan, jobId: 'job', version: 1 }, catalogue, solve);
}

/** What is left when a technician has done every step as it is asked, to the hand-over; null: nothing. */
function leftAfter(plan: Plan, catalogue: Catalogue, solve: ComposeGiven['solve']): string | null {
  const newId = () => `id${ids++}`;
  const plain = plainBench({ plan, catalogue, newId });
  const listed = probeList(assemble(plan.target, catalogue), { meter: plain.meter, solve });
  if (listed.is === 'gave up') return listed.why;
  const bench = { ...plain, list: listed.list };
  const { state } = walk(bench, startWalk(bench, startMs), () => false);
  const closed = state.gates.find((gate) => gate.state !== 'passed');
  if (closed) return `the gate ${closed.id} does not open: ${closed.state}`;
  const [left] = difference(state.asBuilt.build, plan.target);
  return left ? `${left.verb} ${left.subject} is left when every step is done` : null;
}

const startMs = Date.UTC(2026, 2, 2, 8);
let ids = 0;
