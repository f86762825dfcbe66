/** A physical item of a part model. */
import type { Id } from '../terms/names';

/** A physical item of a part model. */
export interface Part {
  id: Id;
  model: string;
  revision: number;
  serial: string | null;
  batch: string | null;
  /** A customer, or the shop. */
  owner: Id | 'shop';
  origin: 'new' | 'used' | 'off a quad';
  condition: 'untested' | 'tested' | 'doubtful' | 'scrap';
  firmware: string | null;
}
