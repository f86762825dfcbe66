/**
 * Pieces of copper that are twins: what hangs between the one and any other piece hangs between the other and it as
 * well. Two of them exchanged leave the circuit as it is: those that no probe is on all have the same volts, and a
 * probe on one reads what a probe on another does.
 */
import { groupedBy } from '../../facts/terms/groupedBy';
import type { Inner } from './port';

/**
 * @param kindOf The same number for elements that are alike.
 * @returns Groups of two or more, each in the order of the numbers of its pieces.
 */
export function twinsIn(inners: readonly Inner[], kindOf: (element: Inner['element']) => number): number[][] {
  const hanging = new Map<number, string[]>();
  const hangs = (piece: number, what: string) => {
    const own = hanging.get(piece);
    if (own) own.push(what);
    else hanging.set(piece, [what]);
  };
  for (const { a, b, element } of inners) {
    const [fromA, fromB] = element.is === 'diode' ? ['>', '<'] : ['-', '-'];
    const kind = kindOf(element);
    hangs(a, `${b}${fromA}${kind}`);
    hangs(b, `${a}${fromB}${kind}`);
  }
  const named = [...hanging].map(([piece, own]) => ({ piece, name: own.sort().join(' ') }));
  return [...groupedBy(named, ({ name }) => name).values()]
    .filter(({ length }) => length > 1)
    .map((twins) => twins.map(({ piece }) => piece).sort((a, b) => a - b));
}
