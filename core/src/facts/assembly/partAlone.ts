/** A part with nothing joined to it, as an assembly of its own. */
import { makeCatalogue } from '../catalogue/catalogue';
import type { PartModel } from '../catalogue/partModel';
import type { Slot } from '../terms/names';
import type { Assembly } from './assembly';
import { assemble } from './assembly';
import { emptyBuild } from './build';

export function partAlone(slot: Slot, model: PartModel): Assembly {
  const fitted = { model: model.id, revision: model.revision, part: null, pose: null };
  return assemble({ ...emptyBuild, slots: { [slot]: fitted } }, makeCatalogue([model]));
}
