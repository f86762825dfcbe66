/** What the technician chose by hand for a wire, as choices that the planner keeps. */
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { TerminalRef, WireId } from '../../facts/terms/names';
import type { Pinned, Plan } from '../../facts/plan/plan';
import { pinName } from '../../facts/plan/planChange';
import type { PlanChange } from '../../facts/plan/planChange';
import { terminalUnder } from '../../facts/wiring/terminalUnder';
import type { Prepared } from './attempt';
import { prepare } from './attempt';
import { wishesFor } from './wishesFor';
import { assemble } from '../../facts/assembly/assembly';
import { lookUp } from '../../facts/terms/lookUp';

type Chosen = Pick<Plan, 'target' | 'wishes' | 'cells' | 'pinned'>;

/**
 * The changes that hold two terminals together whatever is planned later: the choice itself, in place of one for the
 * same
 * terminal, and letting go of a port that was held and is not the one that this pad belongs to. Empty where the planner
 * has
 * nothing to choose: on the power path, or between terminals that it would never join.
 */
export function padByHand(plan: Chosen, catalogue: Catalogue, a: TerminalRef, b: TerminalRef): PlanChange[] {
  const choices = prepared(plan, catalogue);
  const own = chosenFrom(choices, a, b);
  if (!own) return [];
  const served = choices.options.filter(({ signals }) =>
    signals.some((signal) => joins(signal.own, signal.pads, a, b)),
  );
  const elsewhere = plan.pinned.filter(({ what, of, value }) => {
    const ofWish = served.filter(({ wish }) => what === 'port' && wish === of);
    return ofWish.length > 0 && !ofWish.some(({ ends }) => ends.some(({ slot, port }) => `${slot}/${port}` === value));
  });
  return [
    ...elsewhere.map((pinned): PlanChange => ({ path: `pinned/${pinName(pinned)}`, before: pinned, after: null })),
    holding(plan, { what: 'terminal', of: own, value: own === a ? b : a }),
  ];
}

/**
 * The changes that give a wire another colour or gauge and keep it so. @throws {RangeError} If the plan has no such
 * wire.
 */
export function bodyByHand(
  plan: Chosen,
  catalogue: Catalogue,
  id: WireId,
  body: { colour: string; awg: number },
): PlanChange[] {
  const wire = lookUp(plan.target.wires, id);
  if (!wire) throw new RangeError(`no wire ${id} in the plan`);
  if (wire.colour === body.colour && wire.awg === body.awg) return [];
  const [a, b] = wire.ends.map((end) => terminalUnder(assemble(plan.target, catalogue), end));
  const own = a && b ? startOf(prepared(plan, catalogue), a, b) : undefined;
  const pins: Pinned[] = own
    ? [
        ...(wire.colour === body.colour ? [] : [{ what: 'colour' as const, of: own, value: body.colour }]),
        ...(wire.awg === body.awg ? [] : [{ what: 'gauge' as const, of: own, value: String(body.awg) }]),
      ]
    : [];
  return [{ path: `wires/${id}`, before: wire, after: { ...wire, ...body } }, ...pins.map((pin) => holding(plan, pin))];
}

function prepared({ target, wishes, cells }: Chosen, catalogue: Catalogue): Prepared {
  return prepare({
    slots: target.slots,
    catalogue,
    cells,
    wishes: wishes.length > 0 ? wishes : wishesFor(assemble(target, catalogue)),
    pinned: [],
  });
}

function joins(own: TerminalRef, pads: readonly TerminalRef[], a: TerminalRef, b: TerminalRef): boolean {
  return (own === a && pads.includes(b)) || (own === b && pads.includes(a));
}

/** Which of two terminals the planner starts from when it chooses to join them; undefined when it never does. */
function chosenFrom({ needs, options }: Prepared, a: TerminalRef, b: TerminalRef): TerminalRef | undefined {
  const need = needs.find(({ own, pads }) =>
    joins(
      own,
      pads.map(({ ref }) => ref),
      a,
      b,
    ),
  );
  return need?.own ?? options.flatMap(({ signals }) => signals).find(({ own, pads }) => joins(own, pads, a, b))?.own;
}

/** The same, also where the planner has no choice. */
function startOf(choices: Prepared, a: TerminalRef, b: TerminalRef): TerminalRef | undefined {
  return chosenFrom(choices, a, b) ?? choices.path.joins.find(({ own, to }) => joins(own, [to], a, b))?.own;
}

function holding({ pinned }: Pick<Plan, 'pinned'>, pin: Pinned): PlanChange {
  return {
    path: `pinned/${pinName(pin)}`,
    before: pinned.find((pinned) => pinName(pinned) === pinName(pin)) ?? null,
    after: pin,
  };
}
