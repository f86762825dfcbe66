/** What lies in the demo shop's drawers: counted stock, offcuts, and parts in hand with a history. */
import type { Catalogue, Part, StockLine } from '@junctor/core';
import { kitList, emptyBuild, assemble } from '@junctor/core';
import type { Template } from '@junctor/catalogue';

export interface DemoStores {
  stock: readonly StockLine[];
  parts: readonly (Part & { weightG: number | null })[];
}

/** Stock for about one build of each template, with one line that runs short. */
export function demoStores(
  templates: readonly Template[],
  catalogue: Catalogue,
  customerId: string,
  newId: () => string,
): DemoStores {
  const lines = new Map<string, StockLine>();
  for (const { plan } of templates) {
    for (const { key, name, unit, kind, needed } of kitList(
      assemble(emptyBuild, catalogue),
      assemble(plan.target, catalogue),
    )) {
      if (kind === 'tool' || kind === 'consumable') continue;
      const known = lines.get(key);
      const onHand = (known?.onHand ?? 0) + stocked(unit, needed);
      lines.set(key, {
        id: known?.id ?? newId(),
        key,
        name,
        unit,
        onHand,
        offcut: false,
        place: placeOf(kind),
        doc: docOf(key),
      });
    }
  }
  const short = lines.get('tape:19')!;
  lines.set('tape:19', { ...short, onHand: 110 });
  const offcut = (name: string, key: string, doc: StockLine['doc']): StockLine => ({
    id: newId(),
    key,
    name,
    unit: 'pieces',
    onHand: 1,
    offcut: true,
    place: 'offcut tray',
    doc,
  });
  return {
    stock: [
      ...lines.values(),
      offcut('red wire, 28 AWG, 140 mm', 'offcut:wire:28:red', { awg: 28, colour: 'red', lengthMm: 140 }),
      offcut('black wire, 14 AWG, 230 mm', 'offcut:wire:14:black', { awg: 14, colour: 'black', lengthMm: 230 }),
      offcut('lead, 4 ways, wire plug 1.0, 75 mm', 'offcut:lead', {
        family: 'wire plug 1.0',
        pitchMm: 1,
        ways: 4,
        lengthMm: 75,
      }),
    ],
    parts: demoParts(customerId, newId),
  };
}

function stocked(unit: StockLine['unit'], needed: number): number {
  if (unit === 'mm') return Math.ceil(needed / 1000) * 1000 + 2000;
  return unit === 'g' ? 100 : needed + 2;
}

function placeOf(kind: string): string {
  const places: Readonly<Record<string, string>> = {
    part: 'shelf',
    wire: 'reels',
    sleeve: 'drawer 3',
    screw: 'screw box',
    lead: 'drawer 2',
    solder: 'bench',
    fixing: 'drawer 4',
  };
  return places[kind] ?? 'drawer 1';
}

function docOf(key: string): StockLine['doc'] {
  const [kind, first, second, third] = key.split(':');
  if (kind === 'wire') return { awg: Number(first), colour: second! };
  if (kind === 'lead') return { family: first!, ways: Number(second), lengthMm: Number(third) };
  return kind === 'housing' ? { family: first!, ways: Number(second) } : {};
}

function demoParts(customerId: string, newId: () => string): DemoStores['parts'] {
  const part = (model: string, rest: Partial<Part> & { weightG?: number | null }) => ({
    id: newId(),
    model,
    revision: 1,
    serial: null,
    batch: null,
    owner: 'shop' as const,
    origin: 'new' as const,
    condition: 'untested' as const,
    firmware: null,
    weightG: null,
    ...rest,
  });
  return [
    part('knot-board-33', { serial: 'KB-0417', batch: 'K33-2', condition: 'tested', firmware: '2.1', weightG: 13.3 }),
    part('egret-dvu-9', {
      serial: 'ED-2204',
      owner: customerId,
      origin: 'used',
      condition: 'doubtful',
      firmware: '1.8',
      weightG: 15.9,
    }),
    part('pochard-rx-d', { serial: 'PR-118', batch: 'PD-7', firmware: '3.0' }),
    part('marl-motor-2812', { serial: null, batch: 'M28-11', origin: 'off a quad', condition: 'tested', weightG: 62 }),
    part('wigeon-cam-d', { serial: 'WC-031', origin: 'used', condition: 'untested', weightG: 11 }),
  ];
}
