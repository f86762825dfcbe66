/** The shipped catalogue and the plans of the demo shop, for unit tests of pages. */
import { shippedModels } from '@junctor/catalogue';
import { makeCatalogue } from '@junctor/core';

export { demoPlan } from '@junctor/demo';

export const catalogue = makeCatalogue(shippedModels());
