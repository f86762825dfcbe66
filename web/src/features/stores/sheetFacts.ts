/**
 * What judgement rests on in a model, a fact each: the pointer to it, its value, how sure it is. What a sheet may leave
 * open is listed too, as not known.
 */
import type { PartModel, Range } from '@junctor/core';
import { certaintyAt, drivesMotors, numberWords, parseQuantity } from '@junctor/core';

type Value = number | Range | string | true;

export interface SheetFact {
  pointer: string;
  /** The thing it is said of. */
  what: string;
  /** What the value counts or says: "A at most", "MHz". */
  unit: string;
  /** null: not known. */
  value: Value | null;
  sure: ReturnType<typeof certaintyAt>;
  /** How it is entered: as a number, as two, or as one of a few. */
  entered: 'number' | 'percent' | 'range' | readonly { value: string; label: string }[];
  /** What is not known, where a model may leave it open: "band". */
  open: string | null;
}

const units: Readonly<Record<string, string>> = {
  ohms: 'Ω',
  offOhms: 'Ω unpowered',
  farads: 'F',
  esrOhms: 'Ω in series',
  ratedV: 'V rated',
  outV: 'V out',
  minInV: 'V in at least',
  limitA: 'A at most',
  idleA: 'A idle',
  typicalA: 'A typical',
  peakA: 'A peak',
  forwardV: 'V forward',
  henries: 'H',
  massG: 'g',
  limitErpm: 'turns a minute, electrical',
  kv: 'turns a minute and volt',
  polePairs: 'pole pairs',
  onOhms: 'Ω closed',
};
/** Clamps and leaks are many and alike: one of each kind stands for them. */
const repeated = /^(CLAMP|LEAK|PULL|HI-|LO-|SENSE|UNKNOWN)/;
const spreads: ReadonlySet<string> = new Set(['resistor', 'winding', 'capacitor']);
const waves = [
  { value: 'linear', label: 'wave straight' },
  { value: 'left', label: 'wave turning left' },
  { value: 'right', label: 'wave turning right' },
];
const pulled = [{ value: 'yes', label: 'pulled while the pack stays on' }];

export function sheetFacts(model: PartModel): SheetFact[] {
  const fact = (said: Pick<SheetFact, 'pointer' | 'what' | 'unit'> & Partial<SheetFact>): SheetFact => ({
    ...{ value: null, entered: 'number', open: null, sure: certaintyAt(model, said.pointer) },
    ...said,
  });
  const maybe = (said: Parameters<typeof fact>[0] & { open: string }, value: Value | undefined) =>
    fact({ ...said, value: value ?? null });
  const numbers = (at: string, what: string, holder: object | undefined): SheetFact[] =>
    Object.entries(holder ?? {}).flatMap(([key, value]) =>
      typeof value === 'number' && units[key] ? [fact({ pointer: `${at}/${key}`, what, unit: units[key], value })] : [],
    );
  const wants = model.wantsCapacitor?.farads;
  return [
    fact({ pointer: '/massG', what: 'mass', unit: 'g', value: model.massG }),
    ...numbers('/speed', 'speed', model.speed),
    ...numbers('/motorCurrent', 'motor current', model.motorCurrent),
    ...(model.thrust ?? []).map(({ propellerMm, volts, atA, g }, index) =>
      fact({
        pointer: `/thrust/${index}/g`,
        what: `pulls with ${propellerMm} mm at ${volts} V, ${atA} A`,
        unit: 'g',
        value: g,
      }),
    ),
    ...(wants !== undefined || drivesMotors(model)
      ? [maybe({ pointer: '/wantsCapacitor/farads', what: 'capacitor outside', unit: 'F', open: 'how much' }, wants)]
      : []),
    ...model.elements.flatMap((element, index): SheetFact[] => {
      const [at, what] = [`/elements/${index}`, element.id];
      if (repeated.test(what)) return [];
      const known = numbers(at, what, element);
      if (element.is === 'regulator')
        return [
          ...known,
          maybe(
            { pointer: `${at}/packageW`, what, unit: 'W of heat borne', open: 'heat that its package bears' },
            element.packageW,
          ),
        ];
      const share = {
        pointer: `${at}/tolerance`,
        what,
        unit: '% more or less',
        open: 'tolerance',
        entered: 'percent' as const,
      };
      return spreads.has(element.is) ? [...known, maybe(share, element.tolerance)] : known;
    }),
    ...model.connectors.flatMap(({ id, ampsPerPin, pulledInService }, index) => {
      const [at, what] = [`/connectors/${index}`, `plug ${id}`];
      const inService = {
        pointer: `${at}/pulledInService`,
        what,
        unit: '',
        open: 'whether it is pulled in service',
        entered: pulled,
      };
      return [
        fact({ pointer: `${at}/ampsPerPin`, what, unit: 'A a contact', value: ampsPerPin }),
        maybe(inService, pulledInService && 'yes'),
      ];
    }),
    ...model.ports.flatMap(({ id: what, kind, radio }, index) => {
      if (kind !== 'aerial') return [];
      const at = `/ports/${index}/radio`;
      const band = maybe(
        { pointer: `${at}/bandMHz`, what, unit: 'MHz', open: 'band', entered: 'range' },
        radio?.bandMHz,
      );
      const wave = { pointer: `${at}/polarisation`, what, unit: '', open: 'how its wave turns', entered: waves };
      // A wave of no band would say nothing.
      return radio ? [band, maybe(wave, radio.polarisation)] : [band];
    }),
  ];
}

/** "5 V out", "10 % more or less", "5650 to 5950 MHz", "wave turning left"; what is not known by its name alone. */
export function factWords({ value, unit, entered, open }: SheetFact): string {
  if (value === null) return open ?? unit;
  if (typeof value === 'number') {
    const words = numberWords(entered === 'percent' ? value * 100 : value);
    // A prefix stands at its unit: 22 µF.
    return `${words}${/ \D$/.test(words) ? '' : ' '}${unit}`;
  }
  if (typeof entered === 'object') return entered.find((one) => one.value === value)?.label ?? String(value);
  return `${String((value as Range).join(' to '))} ${unit}`;
}

/** What was typed, as the fact's value; null for nothing where it may be open, undefined where it cannot be read. */
export function readFact({ entered, open }: SheetFact, text: string): Value | null | undefined {
  const typed = text.trim();
  if (typed === '') return open ? null : undefined;
  if (typeof entered === 'object') return typed;
  if (entered === 'number') return parseQuantity(typed) ?? undefined;
  if (entered === 'percent') {
    const share = parseQuantity(typed.replace(/%$/, ''));
    return share === null ? undefined : share / 100;
  }
  const [low, high, ...more] = typed.split(/\s*(?:to|–|-|…)\s*/).map((part) => parseQuantity(part));
  return low && high && more.length === 0 && low < high ? [low, high] : undefined;
}

/** The next revision of a model with one fact changed and said how sure it is. */
export function withFact(model: PartModel, pointer: string, value: Value | null, sure: SheetFact['sure']): PartModel {
  const next = structuredClone(model) as PartModel & Record<string, unknown>;
  const names = pointer.split('/').slice(1);
  const last = names.pop()!;
  const path = names.reduce<Record<string, unknown>[]>(
    (holders, name) => [...holders, (holders.at(-1)![name] ??= {}) as Record<string, unknown>],
    [next],
  );
  const holder = path.at(-1)!;
  const { [pointer]: _, ...others } = model.knownFrom;
  if (value === null) {
    delete holder[last];
    if (Object.keys(holder).length === 0) delete path.at(-2)?.[names.at(-1)!];
  } else holder[last] = value === 'yes' ? true : value;
  // Of what is not known nothing can be sure.
  const knownFrom = value === null ? others : { ...others, [pointer]: sure };
  return { ...next, revision: model.revision + 1, knownFrom };
}
