/** What a label is read with: the kind of part, what stands beside it, on the whole part, and the pad it names. */
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Parsed } from './print';
import { alternatives, parses, wornFrom } from './print';

/** A label with its pad, as far as it is known. Labels that come as text alone stand in one row, in their order. */
export interface Print {
  printed: string;
  /** Pads of one row, or the pins of one connector, have the same. */
  row?: string;
  connector?: boolean;
  sizeMm?: readonly [number, number];
}

export interface Company {
  kind: PartKind;
  /** True where another label of the part is one of these stems, with whatever number. */
  has(...stems: readonly string[]): boolean;
  /** The same, with this number. */
  hasNumber(index: number | null, ...stems: readonly string[]): boolean;
  /** The same, next to it or next but one in its row. */
  near(...stems: readonly string[]): boolean;
  /** How many other numbers its own stem has on this part. */
  siblings(stem: string, index: number | null): number;
  /** A pad for thick wire: 3 mm or more, no pin. */
  thick: boolean;
  connector: boolean;
}

export interface Label extends Print {
  plain: string;
  /** Each alternative by itself. */
  parts: readonly string[];
  /** Everything that it may be called, as printed and with one letter worn. */
  called: readonly Parsed[];
}

export function labelOf(print: Print, plain: string): Label {
  const parts = alternatives(plain);
  const called = parts.flatMap((part) =>
    wornFrom(part)
      // A single letter is not taken for another one here: it would stand beside everything.
      .filter(({ changes }) => changes === 0 || (changes === 1 && part.length > 1))
      .flatMap(({ text }) => parses(text)),
  );
  return { ...print, plain, parts, called };
}

export function companyOf(kind: PartKind, labels: readonly Label[], at: number): Company {
  const own = labels[at]!;
  const others = labels.filter((_, index) => index !== at);
  const beside = labels.filter(
    (label, index) => index !== at && Math.abs(index - at) <= 2 && (label.row ?? '') === (own.row ?? ''),
  );
  const some = (among: readonly Label[], fits: (parsed: Parsed) => boolean) =>
    among.some(({ called }) => called.some(fits));
  return {
    kind,
    has: (...stems) => some(others, ({ stem }) => stems.includes(stem)),
    hasNumber: (number, ...stems) => some(others, ({ stem, index }) => index === number && stems.includes(stem)),
    near: (...stems) => some(beside, ({ stem }) => stems.includes(stem)),
    siblings: (stem, index) =>
      new Set(
        others.flatMap(({ called }) =>
          called.filter((one) => one.stem === stem && one.index !== index).map((one) => one.index),
        ),
      ).size,
    thick: own.connector !== true && own.sizeMm !== undefined && Math.max(...own.sizeMm) >= 3,
    connector: own.connector === true,
  };
}
