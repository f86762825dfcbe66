/**
 * The names under which answers of the server are remembered, all in one place. A shorter name stands for all under it.
 */
export const keys = {
  session: ['session'],
  shop: ['shop'],
  floor: ['floor'],
  lateActs: ['late acts'],
  job: (jobId?: string) => (jobId === undefined ? ['job'] : ['job', jobId]),
  touches: (jobId: string, version: number, meterId: string) => ['touches', jobId, version, meterId],
  log: (quadId: string) => ['log', quadId],
  quad: (quadId?: string) => (quadId === undefined ? ['quad'] : ['quad', quadId]),
  quads: (typed?: string) => (typed === undefined ? ['quads'] : ['quads', typed]),
  customers: (typed?: string) => (typed === undefined ? ['customers'] : ['customers', typed]),
  customer: (id: string) => ['customers', 'one', id],
  quadsOf: (customerId: string) => ['quads', 'of', customerId],
  people: ['people'],
  tools: ['tools'],
  weightClasses: ['weight classes'],
  templates: ['templates'],
  template: (id: string | null) => ['template', id],
  models: (named: readonly unknown[]) => ['models', named],
  swapModels: (wanted: readonly unknown[]) => ['swap models', wanted],
  modelIndex: ['model index'],
  modelSheet: (id?: string) => (id === undefined ? ['model sheet'] : ['model sheet', id]),
  candidates: (wanted: readonly unknown[]) => ['candidates', wanted],
  stock: ['stock'],
  parts: (typed?: string, model: string | null = null) => (typed === undefined ? ['parts'] : ['parts', typed, model]),
  part: (id: string) => ['parts', 'one', id],
  causes: (...of: readonly (string | number)[]) => ['causes', ...of],
  expectation: (...of: readonly (string | number)[]) => ['expectation', ...of],
} as const;

export type Key = readonly unknown[];
