/** The plan of a job that starts from what is in the quad, as its book says, and ends there until it is changed. */
import type { Build } from '../../facts/assembly/build';
import type { Plan, PlanDraft } from '../../facts/plan/plan';
import { continuitySchool, onlyTouched } from '../sequence/continuitySchool';

/**
 * Exactly what is there, with what the last plan knew of it: functions of wires, wishes, choices, cells, schools.
 * @param repair Only what the work touches is proved again.
 * @returns null when the book is empty.
 */
export function planFromBook(asBuilt: Build, last: Plan, repair: boolean): PlanDraft | null {
  if (Object.keys(asBuilt.slots).length === 0) return null;
  const isThere = ({ slot }: { slot: string }) => Object.hasOwn(asBuilt.slots, slot);
  const { [continuitySchool]: _last, ...schools } = last.schools;
  return {
    // What was measured to touch is a fault, not a plan; heats are history.
    target: { ...asBuilt, contacts: asBuilt.contacts.filter(({ why }) => why !== 'measured'), heats: {} },
    front: last.front !== null && Object.hasOwn(asBuilt.slots, last.front) ? last.front : null,
    links: last.links
      .map((link) => ({
        ...link,
        ends: link.ends.filter(isThere),
        wires: link.wires.filter((wire) => Object.hasOwn(asBuilt.wires, wire)),
      }))
      .filter(({ wires, ends }) => wires.length > 0 && ends.length > 0),
    wishes: last.wishes.filter(({ of }) => Object.hasOwn(asBuilt.slots, of)),
    pinned: last.pinned.filter(({ of }) => Object.hasOwn(asBuilt.slots, of.split('.')[0]!)),
    cells: last.cells,
    schools: repair ? { ...schools, [continuitySchool]: onlyTouched } : schools,
  };
}
