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
  /** The frame itself, while its screws are still loose, and once everything is in it. */
  | { is: 'frame loose' }
  | { is: 'frame tight' }
  /** Leads, ties and lid, by a blade turned by hand. */
  | { is: 'ways clear' }
  /** In from below, before the lowest board of a stack. */
  | { is: 'stack screws'; slot: Slot; thread: string; lengthMm: number }
  /** In every hole of a board. */
  | { is: 'mounts'; slot: Slot; mount: string }
  /** On the last board of a stack. */
  | { is: 'top nuts'; slot: Slot; thread: string }
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
    case 'stack screws':
      return `screws ${caution.thread} x ${caution.lengthMm} under ${caution.slot}`;
    case 'mounts':
      return `${caution.mount} in ${caution.slot}`;
    case 'top nuts':
      return `nuts ${caution.thread} on ${caution.slot}`;
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
  'frame loose': 'Arms the right way up, press nuts home; frame screws only finger tight',
  'frame tight': 'Everything is in: frame screws tight, crosswise, the arms’ last',
  'ways clear': 'Turn each motor by hand: no lead in a blade’s reach, no plug pressed by the lid',
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
    case 'stack screws':
      return `Stack screws in from below: ${caution.thread} x ${caution.lengthMm}, heads against the plate`;
    case 'mounts':
      return `Into every hole of ${slotWords(caution.slot, target)}: a ${caution.mount}, the same way up`;
    case 'top nuts':
      return `Nuts on ${slotWords(caution.slot, target)}: ${nutTorque(caution.thread)}`;
    case 'underlay':
      return `Under ${slotWords(caution.slot, target)}: ${caution.layer}, ${caution.mm} mm`;
    default:
      return plainWords[caution.is];
  }
}

/** Starting torques of nuts, dry; plastic ones strip above theirs. The shop's own experience prevails. */
function nutTorque(thread: string): string {
  return thread === 'M2' ? 'by hand, not above 0.15 N m' : 'crosswise, 0.1 to 0.15 N m in plastic';
}
