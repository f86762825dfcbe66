/** What the stores answer with. */
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Part } from '../../facts/catalogue/part';

/** A part model as it stands in the list: its newest revision. */
export interface ModelIndexLine {
  id: string;
  revision: number;
  kind: PartKind;
  name: string;
  maker: string;
  massG: number;
  terminals: number;
  retired: boolean;
}

/** A template plan in a list; one that ships was kept by nobody. */
export interface TemplateLine {
  id: string;
  name: string;
  madeAt: string | null;
  person: string | null;
  retired: boolean;
}

/** A physical part with names instead of ids. */
export interface PartLine extends Omit<Part, 'owner'> {
  owner: string | null;
  fromQuad: string | null;
  onQuad: string | null;
  weightG: number | null;
  madeAt: string;
}

export interface Intake {
  /** In the customer's words. */
  wants: string;
  /** Craft and load, in minor units of the shop's money. */
  valueMinor: number;
  /** Part models of pack and propeller. */
  pack: string | null;
  propeller: string | null;
  extras: readonly string[];
}
