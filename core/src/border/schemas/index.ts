/**
 * Schemas of what crosses a border. Server, command line and tests use them; the first load of the browser does not.
 */
export type { Checked, Mistake } from './validate';
export { check } from './validate';
export { build, buildFile, planDraft } from './build';
export { heapFile } from './heap';
export { newMeter } from './meter';
export { weightClasses } from './weightClasses';
export { partModel } from './partModel';
export { newPart, newPartNote, newStock, sentStock, stockMove, wantedModels } from './stores';
export { sentRecords } from './record';
export {
  firstLead,
  newCustomer,
  newJob,
  newTemplate,
  retiredTemplate,
  newPassword,
  newPerson,
  newQuad,
  permitRequest,
  sentPlanChanges,
  setPassword,
  signIn,
} from './people';
