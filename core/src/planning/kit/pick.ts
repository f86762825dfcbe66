/** What the shop has for a line of the kit: donors first, then stock, then parts in hand; and what is still missing. */
import type { KitLine, KitState } from './kitLine';
import type { Part } from '../../facts/catalogue/part';
import type { StockLine } from '../../facts/catalogue/stockLine';
import { lookUp } from '../../facts/terms/lookUp';

type PartInHand = Readonly<{
  id: Part['id'];
  model: string;
  serial: string | null;
  origin: Part['origin'];
  condition: Part['condition'];
}>;

export interface Pick {
  have: number;
  state: KitState;
  takes: readonly { stock: string; quantity: number }[];
  parts: readonly string[];
  /** Of what is needed, this much is cut from offcuts. */
  fromOffcuts: number;
  /** Offcuts that would do instead of new wire or a new lead, best first. */
  donors: readonly StockLine[];
  /** What to know of the parts picked: "used, untested". */
  cautions: readonly string[];
}

/**
 * @param parts Parts in the shop that are on no quad.
 * @param cutFromOffcuts What the cut list takes from offcuts, in the line's unit.
 */
export function pickFor(
  line: KitLine,
  stock: readonly StockLine[],
  parts: readonly PartInHand[],
  cutFromOffcuts = 0,
): Pick {
  const fromOffcuts = Math.min(cutFromOffcuts, line.needed);
  const byEye = { have: line.needed, state: 'not listed', takes: [], parts: [], cautions: [], fromOffcuts } as const;
  if (line.kind === 'tool' || line.kind === 'consumable') return { ...byEye, donors: [] };
  const own =
    line.kind === 'part'
      ? parts
          .filter(({ model, condition }) => `part:${model}` === line.key && condition !== 'scrap')
          .sort(byTrust)
          .slice(0, line.needed)
      : [];
  let open = line.needed - own.length - fromOffcuts;
  const takes: { stock: string; quantity: number }[] = [];
  for (const { id, onHand } of stock.filter(({ key, offcut }) => key === line.key && !offcut)) {
    const quantity = Math.min(open, Math.max(0, onHand));
    if (quantity > 0) takes.push({ stock: id, quantity });
    open -= quantity;
  }
  const cautions = own
    .filter(({ origin, condition }) => origin !== 'new' || condition === 'doubtful')
    .map((part) => `${part.serial ?? 'one'}: ${part.origin}, ${part.condition}`);
  const have = line.needed - open;
  const listed = own.length > 0 || stock.some(({ key, offcut }) => key === line.key && !offcut);
  if (!listed) return { ...byEye, donors: donorsFor(line, stock) };
  const stateOf = () => {
    if (open > 0) return 'short';
    if (own.some(({ origin }) => origin !== 'new')) return 'used';
    return 'enough';
  };
  const state = stateOf();
  const donors = fromOffcuts > 0 ? [] : donorsFor(line, stock);
  return { have, state, takes, parts: own.map(({ id }) => id), donors, cautions, fromOffcuts };
}

/** Takes no more out of stock than is put on the table, what is in hand first. */
export function takesFor({ takes, parts, fromOffcuts }: Pick, have: number): { stock: string; quantity: number }[] {
  let open = Math.max(0, have - parts.length - fromOffcuts);
  return takes.flatMap(({ stock, quantity }) => {
    const taken = Math.min(quantity, open);
    open -= taken;
    return taken > 0 ? [{ stock, quantity: taken }] : [];
  });
}

const trust: Readonly<Record<Part['condition'], number>> = { tested: 0, untested: 1, doubtful: 2, scrap: 3 };

function byTrust(a: PartInHand, b: PartInHand): number {
  return trust[a.condition] - trust[b.condition] || (a.origin === 'new' ? 0 : 1) - (b.origin === 'new' ? 0 : 1);
}

/** Offcuts of the same gauge and colour, the shortest that is long enough first; leads of the same plug. */
function donorsFor(line: KitLine, stock: readonly StockLine[]): StockLine[] {
  const offcuts = stock.filter(({ offcut, onHand }) => offcut && onHand > 0);
  const [kind, first, second] = line.key.split(':');
  if (kind === 'wire') {
    const longest = line.needed / Math.max(1, line.steps.length);
    const same = offcuts.filter(
      ({ doc }) => doc.awg === Number(first) && doc.colour === second && (doc.lengthMm ?? 0) >= longest,
    );
    return same.sort((a, b) => (a.doc.lengthMm ?? 0) - (b.doc.lengthMm ?? 0));
  }
  if (kind === 'lead') return offcuts.filter(({ doc }) => doc.family === first && doc.ways === Number(second));
  return [];
}

/** By how many names two lines must agree to stand for each other: a wire by its gauge, a screw by its thread. */
const alikeBy: Readonly<Record<string, number>> = { tie: 1, sleeve: 1, tape: 1, wire: 2, screw: 2 };

/** What the stock holds that would do in a line's place, the nearest in size; null where there is nothing alike. */
export function insteadFor(line: KitLine, stock: readonly StockLine[]): StockLine | null {
  const own = line.key.split(':');
  const alike = lookUp(alikeBy, own[0]!);
  if (alike === undefined) return null;
  const size = (key: string) => Number(key.split(':').at(-1)) || 0;
  const others = stock.filter(
    ({ key, offcut, onHand }) =>
      !offcut &&
      key !== line.key &&
      onHand >= line.needed &&
      own.slice(0, alike).every((name, index) => key.split(':')[index] === name),
  );
  const off = ({ key }: StockLine) => Math.abs(size(key) - size(line.key));
  return others.reduce<StockLine | null>((best, one) => (!best || off(one) < off(best) ? one : best), null);
}
