/** Acts: what hands do to an aircraft; each changes the Build. */
import type { HiddenBy, Fitted, Housing, Mate, WireBody, WireEnd } from './build';
import type { HousingId, Id, Slot, TerminalRef, WireId } from '../terms/names';

export type Act =
  | { do: 'fit'; slot: Slot; fitted: Fitted }
  | { do: 'take off'; slot: Slot; to: 'stock' | 'scrap' | 'customer' | 'bench' }
  | { do: 'land'; wire: WireId; end: 0 | 1; as: WireEnd; body: WireBody; tool?: IronUse; solderLot?: Id }
  | { do: 'reheat'; wire: WireId; end: 0 | 1; dwellS: number | null }
  | { do: 'free'; wire: WireId; end: 0 | 1; left: 'clean' | 'residue' | 'lifted'; now: 'bare' | 'insulated' }
  | { do: 'drop wire'; wire: WireId }
  | { do: 'house'; housing: Housing }
  | { do: 'unhouse'; housing: HousingId }
  | { do: 'mate'; id: string; mate: Mate }
  | { do: 'unmate'; id: string }
  | { do: 'hide'; refs: readonly TerminalRef[]; by: HiddenBy; cureUntil?: string }
  | { do: 'bare'; refs: readonly TerminalRef[] }
  | { do: 'contact'; a: TerminalRef; b: TerminalRef; ohms: number; why: 'screw' | 'rests on' | 'measured' };

export interface IronUse {
  ironId: Id;
  tip: string;
  setC: number;
  dwellS: number | null;
}
