/** Whether a clash is the smallest: alone it cannot be, and without any one member it can. */
import type { PlanRequest, PlanResult, Slot, Solve } from '@junctor/core';
import { planWiring } from '@junctor/core';

/** Parts that only take, and whose absence leaves the others what they need. */
const taking = ['motor', 'receiver', 'camera', 'positioning', 'lights', 'buzzer'];

/** Parts that hang on the trunk, and what the trunk is: the board that the battery lead is on, and the controller. */
const branch = /^(ESC\d|REG|BOX|VTX)/;
const trunk = (parts: readonly Slot[]) => parts.some((slot) => /^(FC|PDB|ESC)$/.test(slot));

/** The set cannot be met as it stands, and can when any one of it is let go: tried by planning. */
export function isMinimal(
  request: PlanRequest,
  { wishes, parts }: Extract<PlanResult, { is: 'conflict' }>,
  solve: Solve,
): boolean {
  const kind = (slot: Slot) => request.catalogue.model(request.slots[slot]!).kind;
  const all = parts.every((slot) => taking.includes(kind(slot)));
  const others = Object.keys(request.slots).filter(
    (slot) =>
      parts.length > 0 &&
      !parts.includes(slot) &&
      (taking.includes(kind(slot)) || (!all && (branch.test(slot) || (trunk(parts) && /^(FC|PDB|ESC)$/.test(slot))))),
  );
  const only = (musts: readonly string[], gone: readonly Slot[]): PlanResult =>
    planWiring(
      {
        ...request,
        slots: Object.fromEntries(Object.entries(request.slots).filter(([slot]) => !gone.includes(slot))),
        wishes: request.wishes
          .filter(({ of }) => !gone.includes(of))
          .map((wish) => ({ ...wish, must: musts.includes(wish.id) })),
      },
      solve,
    );
  if (wishes.length + parts.length === 0 || only(wishes, others).is !== 'conflict') return false;
  return (
    wishes.every(
      (id) =>
        only(
          wishes.filter((other) => other !== id),
          [],
        ).is === 'planned',
    ) && parts.every((slot) => goes(only([], [...others, slot]), parts))
  );
}

/** Planned, or stopped by something else that the bare rest lacks. */
function goes(result: PlanResult, parts: readonly Slot[]): boolean {
  return result.is === 'planned' || (result.is === 'conflict' && !result.parts.some((slot) => parts.includes(slot)));
}
