/** Cautions and small duties that are said at the bench: each is a note with an id that never changes. */
import type { Stages } from '../../facts/assembly/assembly';
import { wireWords } from '../../facts/assembly/itemWords';
import { slotWords } from '../../facts/assembly/slotWords';
import type { Slot, WireId } from '../../facts/terms/names';
import { lookUp } from '../../facts/terms/lookUp';

export type Caution =
  | { is: 'hot iron' }
  | { is: 'propellers off' }
  | { is: 'ventilated' }
  | { is: 'fire-safe surface' }
  | { is: 'eye protection' }
  | { is: 'antenna'; slot: Slot }
  | { is: 'set up'; slot: Slot }
  | { is: 'lead in the lid'; wire: WireId }
  /** Tape, a washer or a nut of the stack, under a board. */
  | { is: 'underlay'; slot: Slot; layer: string; mm: number };

/** As it stands in records and in the ids of steps. */
export function cautionId(caution: Caution): string {
  switch (caution.is) {
    case 'antenna':
      return `antenna on ${caution.slot}`;
    case 'set up':
      return `set up ${caution.slot}`;
    case 'lead in the lid':
      return `lead in the lid ${caution.wire}`;
    case 'underlay':
      return `${caution.layer} ${caution.mm} mm under ${caution.slot}`;
    default:
      return caution.is;
  }
}

const plainWords = {
  'hot iron': 'Fumes away, pack unplugged, eyes covered when you snip',
  'propellers off': 'Take all propellers off',
  ventilated: 'Open the window or start the extractor',
  'fire-safe surface': 'Set the quad on a surface that cannot burn',
  'eye protection': 'Put eye protection on',
} as const;

export function cautionWords(caution: Caution, { start, target }: Pick<Stages, 'start' | 'target'>): string {
  switch (caution.is) {
    case 'antenna':
      return `Put the antenna on ${slotWords(caution.slot, target)}: it transmits`;
    case 'set up':
      return `Set up ${slotWords(caution.slot, target)} while it is loose: output kind, region, channel`;
    case 'lead in the lid': {
      const wire = lookUp(start.build.wires, caution.wire);
      const words = wire ? wireWords(wire, start) : caution.wire;
      return `Before the lid lifts, find and unplug ${words}: it tears`;
    }
    case 'underlay':
      return `Under ${slotWords(caution.slot, target)}: ${caution.layer}, ${caution.mm} mm`;
    default:
      return plainWords[caution.is];
  }
}
