/** Elements side by side as one, where only the volts that settle are asked for. */
import type { Inner } from './port';

type Element = Inner['element'];

/** Of its like so many, which hang between the same two pieces of copper. */
function timesAsMuch(element: Element, count: number): Element {
  switch (element.is) {
    case 'resistor':
      return { ...element, ohms: element.ohms / count };
    case 'diode':
      return { ...element, atA: element.atA * count, seriesOhms: element.seriesOhms / count };
    case 'capacitor':
      return element;
  }
}

/**
 * A way to make circuits smaller that remembers what it made, since the same elements come again in every edit of one
 * circuit. What holds a charge carries nothing that lasts and is left out.
 */
export function sideBySide(): (inners: readonly Inner[]) => readonly Inner[] {
  const names = new Map<Element, number>();
  const kinds = new Map<string, number>();
  const made = new Map<string, Element>();
  /** The same number for all that are alike. */
  const kindOf = (element: Element): number => {
    const known = names.get(element);
    if (known !== undefined) return known;
    const key =
      element.is === 'diode' ? `${element.forwardV} ${element.atA} ${element.seriesOhms}` : JSON.stringify(element);
    const kind = kinds.get(key) ?? kinds.size;
    kinds.set(key, kind);
    names.set(element, kind);
    return kind;
  };
  const severalOf = (element: Element, count: number): Element => {
    const key = `${kindOf(element)} ${count}`;
    if (!made.has(key)) made.set(key, timesAsMuch(element, count));
    return made.get(key)!;
  };
  return (inners) => {
    const between = new Map<number, { inner: Inner; count: number }[]>();
    for (const inner of inners) {
      if (inner.element.is === 'capacitor') continue;
      const key = inner.a * 65_536 + inner.b;
      const here = between.get(key) ?? [];
      const like = here.find((one) => kindOf(one.inner.element) === kindOf(inner.element));
      if (like) like.count += 1;
      else here.push({ inner, count: 1 });
      between.set(key, here);
    }
    return [...between.values()].flatMap((here) =>
      here.map(({ inner, count }) => (count === 1 ? inner : { ...inner, element: severalOf(inner.element, count) })),
    );
  };
}
