/**
 * What a fault does when power comes: by what the copper is for that now hangs together, and by who has lost what they
 * hung on.
 */
import type { Edit, Meltable } from '../../../physics/circuit/melt';
import { isBatteryLead, isCapacitor } from '../../../facts/catalogue/kinds';
import { groupedBy } from '../../../facts/terms/groupedBy';
import { hasRole, isSupply } from '../../../facts/catalogue/roles';
import type { Severity } from '../../rules/finding';
import { severities } from '../../rules/finding';
import type { DefectView, Place } from './defect';
import { isHighSupply, isPhase, slotOf } from './defect';

type Purpose = { is: 'battery' | 'ground' | 'phase' | 'metal' | 'unused' } | { is: 'rail' | 'signal'; volts: number };

const regulatorSpreadV = 0.3;

/** What an edit of the circuit does; null where nothing changes for anybody. */
export function harmsIn(view: DefectView, circuit: Meltable): (edits: readonly Edit[]) => Severity | null {
  const good = circuit.melted([]);
  const onPiece = groupedBy(view.places, ({ node }) => good.pieceOf(node));
  const purposes = new Map([...onPiece].map(([piece, places]) => [piece, purposeOf(places, view)]));
  const purposeAt = ({ node }: Place) => purposes.get(good.pieceOf(node))!.is;
  const holding = holdingOn(view.places, (node) => good.pieceOf(node), view);
  const held = view.places.filter((place) => holding(place, purposeAt(place)));
  return (edits) => {
    const now = circuit.melted(edits);
    const joins = now.inners.filter(({ id }) => id.startsWith('bridge ')).map(({ a, b }) => [a, b] as const);
    const together = groupedBy(view.places, ({ node }) => {
      const piece = now.pieceOf(node);
      return joins.find((ends) => ends.includes(piece))?.[0] ?? piece;
    });
    const touching = [...together.values()].flatMap((places) => {
      const were = [...new Set(places.map(({ node }) => good.pieceOf(node)))].map((piece) => purposes.get(piece)!);
      return were.flatMap((a, index) => were.slice(index + 1).flatMap((b) => touchHarm(a, b) ?? []));
    });
    const holds = holdingOn(view.places, (node) => now.pieceOf(node), view);
    const isLost = new Set(held.filter((place) => !holds(place, purposeAt(place))));
    const stopped = new Set([...isLost].map(slotOf));
    /** A part that gives its rail and has lost nothing itself. */
    const isGiven = ({ node }: Place) =>
      view.places.some(
        (giver) =>
          now.pieceOf(giver.node) === now.pieceOf(node) &&
          isSupply(giver.terminal, 'gives') &&
          !stopped.has(slotOf(giver)),
      );
    const left: Left = {
      isLost,
      grounded: new Set(view.places.filter((place) => isGround(place) && holds(place, 'ground')).map(slotOf)),
      isFed: (place) => holds(place, 'battery') || isGiven(place),
    };
    const gone = [...stopped].map((slot) => lossHarm(view, slot, left));
    return worst([...touching, ...gone]);
  };
}

function worst(harms: readonly Severity[]): Severity | null {
  return severities.find((harm) => harms.includes(harm)) ?? null;
}

/**
 * Whether a place still has what it hangs on: ground and battery their main lead, a rail who gives it, anything else
 * another part.
 */
function holdingOn(
  places: readonly Place[],
  pieceOf: (node: string) => number,
  { assembly }: DefectView,
): (place: Place, is: Purpose['is']) => boolean {
  const onPiece = groupedBy(places, ({ node }) => pieceOf(node));
  const slots = new Map([...onPiece].map(([piece, own]) => [piece, new Set(own.map(slotOf))]));
  const having = (is: (place: Place) => boolean) => new Set(places.filter(is).map(({ node }) => pieceOf(node)));
  const leads = having((place) => isBatteryLead(assembly.model(slotOf(place))!.kind));
  const givers = having(({ terminal }) => isSupply(terminal, 'gives'));
  return ({ node }, is) => {
    const piece = pieceOf(node);
    if (is === 'ground' || is === 'battery') return leads.has(piece);
    return is === 'rail' ? givers.has(piece) : slots.get(piece)!.size > 1;
  };
}

const isGround = ({ terminal }: Place) => hasRole(terminal, 'ground');

function purposeOf(places: readonly Place[], { assembly }: DefectView): Purpose {
  const kindOf = (place: Place) => assembly.model(slotOf(place))!.kind;
  if (places.some(isGround)) return { is: 'ground' };
  if (places.some((place) => isBatteryLead(kindOf(place)))) return { is: 'battery' };
  if (places.some((place) => isPhase({ assembly }, place))) return { is: 'phase' };
  const supplies = places.flatMap(({ terminal }) =>
    terminal.roles.flatMap((role) => (role.is === 'supply' ? [role] : [])),
  );
  const giver = supplies.find(({ dir }) => dir === 'gives') ?? supplies[0];
  if (giver) return { is: 'rail', volts: giver.volts[1] };
  if (places.some(({ terminal }) => hasRole(terminal, 'port')))
    return { is: 'signal', volts: Math.min(...places.map(({ terminal }) => terminal.withstandV[1])) };
  return { is: places.some(({ terminal }) => hasRole(terminal, 'metal')) ? 'metal' : 'unused' };
}

/** null: it does nothing. */
function touchHarm(a: Purpose, b: Purpose): Severity | null {
  const kinds = [a.is, b.is];
  if (kinds.includes('unused')) return null;
  if (kinds.includes('battery') || kinds.includes('phase')) return 'kill';
  if (kinds.includes('metal')) return 'warn';
  if (a.is === 'rail' && b.is === 'rail') return Math.abs(a.volts - b.volts) > regulatorSpreadV ? 'kill' : 'stop';
  const [rail, signal] = [[a, b].find(({ is }) => is === 'rail'), [a, b].find(({ is }) => is === 'signal')];
  if (rail && signal && 'volts' in rail && 'volts' in signal)
    return rail.volts > signal.volts + regulatorSpreadV ? 'kill' : 'stop';
  return 'stop';
}

interface Left {
  isLost: ReadonlySet<Place>;
  /** Parts that still have ground. */
  grounded: ReadonlySet<string>;
  /** Whether a place still has volts. */
  isFed: (place: Place) => boolean;
}

/** A part that has lost what it hung on. */
function lossHarm({ assembly, placesOf }: DefectView, slot: string, { isLost, grounded, isFed }: Left): Severity {
  if (isCapacitor(assembly.model(slot)!)) return 'warn';
  const own = placesOf(slot);
  const grounds = own.filter(isGround);
  if (!grounds.some((place) => isLost.has(place))) return 'stop';
  if (grounds.some((place) => !isLost.has(place))) return 'warn';
  // Its current goes home through the pins of whoever has ground still.
  const others = [...grounded].filter((other) => other !== slot && !isBatteryLead(assembly.model(other)!.kind));
  return others.length > 0 && own.some((place) => isHighSupply(place, ['takes']) && isFed(place)) ? 'kill' : 'stop';
}
