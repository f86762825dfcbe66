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
 * Makes circuits smaller, and remembers what it made, since the same elements come again in every edit of one circuit.
 */
export class SideBySide {
  private readonly names = new Map<Element, number>();
  private readonly kinds = new Map<string, number>();
  private readonly made = new Map<string, Element>();

  /** The same number for all that are alike. */
  readonly kindOf = (element: Element): number => {
    const known = this.names.get(element);
    if (known !== undefined) return known;
    const key =
      element.is === 'diode' ? `${element.forwardV} ${element.atA} ${element.seriesOhms}` : JSON.stringify(element);
    const kind = this.kinds.get(key) ?? this.kinds.size;
    this.kinds.set(key, kind);
    this.names.set(element, kind);
    return kind;
  };

  /** What holds a charge carries nothing that lasts and is left out. */
  of(inners: readonly Inner[]): readonly Inner[] {
    const between = new Map<number, { inner: Inner; count: number }[]>();
    for (const inner of inners) {
      if (inner.element.is === 'capacitor') continue;
      const key = inner.a * 65_536 + inner.b;
      const here = between.get(key) ?? [];
      const like = here.find((one) => this.kindOf(one.inner.element) === this.kindOf(inner.element));
      if (like) like.count += 1;
      else here.push({ inner, count: 1 });
      between.set(key, here);
    }
    return [...between.values()].flatMap((here) =>
      here.map(({ inner, count }) =>
        count === 1 ? inner : { ...inner, element: this.severalOf(inner.element, count) },
      ),
    );
  }

  private severalOf(element: Element, count: number): Element {
    const key = `${this.kindOf(element)} ${count}`;
    if (!this.made.has(key)) this.made.set(key, timesAsMuch(element, count));
    return this.made.get(key)!;
  }
}
