/** What must be proved again after work, and the fewest touches of a list that do it. */
import type { Assembly } from '../../facts/assembly/assembly';
import { landedOn } from '../../facts/assembly/build';
import { endsOf } from '../../facts/catalogue/elementEnds';
import { hasRole } from '../../facts/catalogue/roles';
import { lookUp } from '../../facts/terms/lookUp';
import type { Slot } from '../../facts/terms/names';
import { splitJoint, terminalRef } from '../../facts/terms/names';
import type { Site } from '../../facts/terms/site';
import type { WorkedPlaces } from '../../facts/wiring/workedPlaces';
import { contactProofs } from './contactProofs';
import { fewest } from './fewest';
import type { ListedTouch, TouchList } from './touchList';
import { isOfMainLeads, provesContact } from './touchList';

interface After {
  list: TouchList;
  worked: WorkedPlaces;
  target: Assembly;
  /** Touches that are asked in any case. */
  asked?: readonly ListedTouch[];
}

/**
 * Of a list the touches across the main leads and the fewest others that show again every fault that stops or kills
 * and that the work can have brought about, with what proves contact for their silences; in the order of the list.
 */
export function touchesAfterWork({ list, worked, target, asked = [] }: After): ListedTouch[] {
  const { touches, faults } = list;
  const spoiled = faults.flatMap(({ site, harm, shownBy }, place) =>
    harm !== 'warn' && shownBy === 'list' && canSpoil(worked, site, target) ? [place] : [],
  );
  const rows = spoiled.map((place) => touches.flatMap(({ shows }, index) => (shows.includes(place) ? [index] : [])));
  const proofsFor = contactProofs(target, touches, (index) => provesContact(touches[index]!));
  /** For a silence: on either net what proves contact, where anything does. */
  const standsOn = (index: number) =>
    provesContact(touches[index]!) ? [] : proofsFor(touches[index]!.touch).filter((by) => by.length > 0);
  const always = touches.flatMap((listed, index) => (isOfMainLeads(listed) || asked.includes(listed) ? [index] : []));
  const chosen = fewest({ rows, always, standsOn });
  return touches.filter((_, index) => chosen.has(index));
}

/** Whether work at these places can bring about a fault there. */
function canSpoil({ terminals, wires, mates, slots }: WorkedPlaces, site: Site, target: Assembly): boolean {
  if ('between' in site) return site.between.some((ref) => terminals.has(ref));
  if ('mate' in site) return mates.has(site.mate);
  if ('slot' in site)
    return slots.has(site.slot) || (site.element !== undefined && isAt(terminals, site.slot, site.element, target));
  if (wires.has(site.wire) || (site.for !== undefined && wires.has(splitJoint(site.for)?.wire ?? ''))) return true;
  // It lies on the frame all along.
  if (site.end === undefined && [...slots].some((slot) => target.model(slot)?.frame)) return true;
  // On the same pad as a joint that was made.
  const ends = lookUp(target.build.wires, site.wire)?.ends ?? [];
  return ends.some((end, index) => {
    const ref = landedOn(end);
    return (site.end ?? index) === index && ref !== null && terminals.has(ref);
  });
}

/** Whether an iron that slips there can reach an element; not over ground, on which all of them hang. */
function isAt(terminals: WorkedPlaces['terminals'], slot: Slot, element: string, target: Assembly): boolean {
  const model = target.model(slot);
  const found = model?.elements.find(({ id }) => id === element);
  if (!model || !found) return false;
  const ends: readonly string[] = endsOf(found);
  return model.terminals.some(
    (terminal) =>
      ends.includes(terminal.node) && !hasRole(terminal, 'ground') && terminals.has(terminalRef(slot, terminal.id)),
  );
}
