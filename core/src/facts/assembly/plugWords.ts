/** What plugs, their housings and the leads that came with parts are called at the bench: by what they join. */
import type { HousingId, Slot } from '../terms/names';
import { splitRef } from '../terms/names';
import type { Assembly } from './assembly';
import type { ConnectorRef, Wire } from './build';
import { landedOn } from './build';
import { slotWords } from './slotWords';
import { lookUp } from '../terms/lookUp';

interface Socket {
  slot: Slot;
  connector: string;
}

/** "ESC J1 to FC", "VTX ANT to ANT1"; "that is not there any more" where the build has no such mate. */
export function plugWords(mateId: string, assembly: Assembly): string {
  const mate = lookUp(assembly.build.mates, mateId);
  if (!mate) return 'that is not there any more';
  const [own, other] = 'slot' in mate.a ? [mate.a, mate.b] : [mate.b, mate.a];
  if (!('slot' in own)) return 'between two leads';
  const ends = 'slot' in other ? [other.slot] : farSlots(other.housing, own.slot, assembly);
  return `${own.slot} ${own.connector}${ends.length > 0 ? ` to ${ends.join(', ')}` : ''}`;
}

/** The parts at the other ends of the wires in a housing. */
function farSlots(housing: HousingId, besides: Slot, assembly: Assembly): Slot[] {
  const slots = wiresIn(housing, assembly).flatMap(({ ends }) =>
    ends.flatMap((end) => {
      if (end.at.on === 'cavity')
        return end.at.housing === housing ? [] : (socketOf(end.at.housing, assembly)?.slot ?? []);
      const ref = landedOn(end);
      return ref ? [splitRef(ref).slot] : [];
    }),
  );
  return [...new Set(slots)].filter((slot) => slot !== besides);
}

/** The wires with a contact in a housing. */
export function wiresIn(housing: HousingId, { build }: Assembly): Wire[] {
  return Object.values(build.wires).filter(({ ends }) =>
    ends.some(({ at }) => at.on === 'cavity' && at.housing === housing),
  );
}

/** The part and socket that a housing is pushed into; null while it hangs loose. */
export function socketOf(housing: HousingId, { build }: Assembly): Socket | null {
  const is = (side: ConnectorRef) => 'housing' in side && side.housing === housing;
  const mate = Object.values(build.mates).find(({ a, b }) => is(a) || is(b));
  const other = mate && (is(mate.a) ? mate.b : mate.a);
  return other && 'slot' in other ? other : null;
}

/** "plug FC J1" for a housing by where it is pushed home; as `housingWords` while it hangs loose. */
export function pushedHomeWords(housing: HousingId, assembly: Assembly): string {
  const socket = socketOf(housing, assembly);
  return socket ? `plug ${socket.slot} ${socket.connector}` : housingWords(housing, assembly);
}

/** "the plug for FC J1"; by the colours in it where it is for no socket. */
export function housingWords(housing: HousingId, assembly: Assembly): string {
  const socket = socketOf(housing, assembly);
  if (socket) return `the plug for ${socket.slot} ${socket.connector}`;
  const colours = new Set(wiresIn(housing, assembly).map(({ colour }) => colour));
  return colours.size > 0 ? `the loose plug with ${[...colours].join(', ')}` : 'the empty plug';
}

/** "cavity 2 of 6". */
export function cavityWords(housing: HousingId, position: number, { build }: Assembly): string {
  const ways = lookUp(build.housings, housing)?.ways;
  return `cavity ${position}${ways ? ` of ${ways}` : ''}`;
}

/** How cavities are counted, everywhere. */
export const cavityOrderWords = 'Cavities count from the left, mating face towards you, latch up';

/** "the video unit’s lead", "ESC1’s lead": of the part that it came with; "the supplied lead" when none is known. */
export function leadWords(bundle: string, assembly: Assembly): string {
  const slot = slotOfLead(bundle, assembly);
  return slot ? `${slotWords(slot, assembly)}’s lead` : 'the supplied lead';
}

/** The part that a lead came with: where a housing of its own goes, else where its wires are soldered. */
function slotOfLead(bundle: string, assembly: Assembly): Slot | null {
  const wires = Object.values(assembly.build.wires).filter((wire) => wire.bundle === bundle);
  const housings = wires.flatMap(({ ends }) => ends.flatMap(({ at }) => (at.on === 'cavity' ? [at.housing] : [])));
  const own = housings.filter((housing) => wiresIn(housing, assembly).every((wire) => wire.bundle === bundle));
  const soldered = wires.flatMap(({ ends }) => ends.flatMap((end) => landedOn(end) ?? []));
  const slots = [
    ...own.flatMap((housing) => socketOf(housing, assembly)?.slot ?? []),
    ...soldered.map((ref) => splitRef(ref).slot),
    ...housings.flatMap((housing) => socketOf(housing, assembly)?.slot ?? []),
  ];
  return slots[0] ?? null;
}
