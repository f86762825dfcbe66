/** What the parts of an aircraft are called at the bench. */
import type { PartKind } from '../catalogue/partModel';
import type { Slot } from '../terms/names';
import type { Assembly } from './assembly';

const kindNames: Readonly<Record<PartKind, string>> = {
  controller: 'flight controller',
  'single board': 'single board',
  esc: 'ESC',
  distribution: 'distribution board',
  motor: 'motor',
  capacitor: 'capacitor',
  'battery lead': 'battery lead',
  receiver: 'receiver',
  'video unit': 'video unit',
  camera: 'camera',
  positioning: 'positioning unit',
  lights: 'light strip',
  'light controller': 'light controller',
  buzzer: 'buzzer',
  regulator: 'regulator',
  adapter: 'adapter board',
  antenna: 'antenna',
  cable: 'cable',
  frame: 'frame',
  propeller: 'propeller',
  pack: 'pack',
};

/** "motor M3", "ESC", "receiver": for a title, where `slotWords` is for a sentence. */
export function slotTitle(slot: Slot, assembly: Assembly): string {
  const kind = assembly.model(slot)?.kind;
  if (!kind) return slot;
  if (isOnlyOne(slot, kind, assembly)) return kindNames[kind];
  return slot.startsWith(kindNames[kind].toUpperCase()) ? slot : `${kindNames[kind]} ${slot}`;
}

/** "motor M3", "the ESC", "the receiver". */
export function slotWords(slot: Slot, assembly: Assembly): string {
  const kind = assembly.model(slot)?.kind;
  const title = slotTitle(slot, assembly);
  return kind && isOnlyOne(slot, kind, assembly) ? `the ${title}` : title;
}

/** Motors are always called by their number. */
function isOnlyOne(slot: Slot, kind: PartKind, assembly: Assembly): boolean {
  const others = Object.keys(assembly.build.slots).filter((other) => other !== slot);
  return kind !== 'motor' && others.every((other) => assembly.model(other)?.kind !== kind);
}
