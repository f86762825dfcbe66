/**
 * Families of wrong wiring, in the words of the trade: what a tired hand or a wrong part does, and how grave it is.
 * Each makes what it can of a good build.
 */
import { copper } from './copper';
import { fitting } from './fitting';
import type { Family } from './family';
import { signals } from './signals';
import { supplies } from './supplies';

export const families: readonly Family[] = [...supplies, ...signals, ...copper, ...fitting];
