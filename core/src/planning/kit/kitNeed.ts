/** What one thing in a job needs of the stores. */
import type { Wire } from '../../facts/assembly/build';
import type { Slot, StepId } from '../../facts/terms/names';
import type { KitLine } from './kitLine';
import type { KitUnit } from '../../facts/catalogue/stockLine';

export interface Need {
  key: string;
  kind: KitLine['kind'];
  name: string;
  amount: number;
  unit: KitUnit;
  because?: string;
  slot?: Slot;
  step?: StepId;
}

export interface Joint {
  id: StepId;
  wire: Wire;
  padMm: readonly [number, number];
}
