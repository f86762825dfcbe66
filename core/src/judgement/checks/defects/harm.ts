/**
 * What a fault does when power comes: by what the copper is for that now hangs together, and by who has lost the copper
 * they hung on.
 */
import type { Edit, Meltable } from '../../../physics/circuit/melt';
import { isBatteryLead, isCapacitor } from '../../../facts/catalogue/kinds';
import { groupedBy } from '../../../facts/terms/groupedBy';
import { hasRole } from '../../../facts/catalogue/roles';
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
  const slotsBefore = slotsOn(view.places, (node) => good.pieceOf(node));
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
    const slotsNow = slotsOn(view.places, (node) => now.pieceOf(node));
    const alone = (places: ReadonlyMap<number, ReadonlySet<string>>, piece: number) => places.get(piece)!.size === 1;
    const lost = view.places.filter(
      ({ node }) => !alone(slotsBefore, good.pieceOf(node)) && alone(slotsNow, now.pieceOf(node)),
    );
    const isLost = new Set(lost);
    const gone = [...groupedBy(lost, slotOf).keys()].map((slot) => lossHarm(view, slot, isLost));
    return worst([...touching, ...gone]);
  };
}

function worst(harms: readonly Severity[]): Severity | null {
  return severities.find((harm) => harms.includes(harm)) ?? null;
}

function slotsOn(places: readonly Place[], pieceOf: (node: string) => number): Map<number, Set<string>> {
  return new Map(
    [...groupedBy(places, ({ node }) => pieceOf(node))].map(([piece, own]) => [piece, new Set(own.map(slotOf))]),
  );
}

function purposeOf(places: readonly Place[], { assembly }: DefectView): Purpose {
  const kindOf = (place: Place) => assembly.model(slotOf(place))!.kind;
  if (places.some(({ terminal }) => hasRole(terminal, 'ground'))) return { is: 'ground' };
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

/** A part that has lost copper it hung on. */
function lossHarm({ assembly, placesOf }: DefectView, slot: string, isLost: ReadonlySet<Place>): Severity {
  if (isCapacitor(assembly.model(slot)!)) return 'warn';
  const own = placesOf(slot);
  const grounds = own.filter(({ terminal }) => hasRole(terminal, 'ground'));
  if (!grounds.some((place) => isLost.has(place))) return 'stop';
  if (grounds.some((place) => !isLost.has(place))) return 'warn';
  return own.some((place) => isHighSupply(place, ['takes']) && !isLost.has(place)) ? 'kill' : 'stop';
}
