/** A plan for another aircraft of the same: what it is made of and how it is wired, without what became of one. */
import { emptyBuild } from '../assembly/build';
import type { Plan, PlanDraft } from './plan';

/** No part of it is a certain one, nothing is covered or heated yet, and what touches by mistake is not planned. */
export function asPattern({ target, front, links, wishes, pinned, cells, schools }: PlanDraft | Plan): PlanDraft {
  const slots = Object.entries(target.slots).map(([slot, fitted]) => [slot, { ...fitted, part: null }] as const);
  const contacts = target.contacts.filter(({ why }) => why !== 'measured');
  return {
    target: { ...target, slots: Object.fromEntries(slots), contacts, hidden: {}, heats: {} },
    ...{ front, links, wishes, pinned, cells, schools },
  };
}

/** The plan of an aircraft of which nobody has said a part yet. */
export const emptyPlan: PlanDraft = {
  target: emptyBuild,
  ...{ front: null, links: [], wishes: [], pinned: [], cells: [1, 1], schools: {} },
};
