/** Expected readings follow from the shipped parts' insides: nothing is written down. */
import type { Element, Length, Net, PartModel, TerminalRef } from '@junctor/core';
import { compile, expect as expectReading, expectIn, makeCatalogue, netlist, assemble } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { basisOf, shippedList, shippedModels, shippedTemplate } from '@junctor/catalogue';
import { shippedMeter } from '@junctor/catalogue';

const models = shippedModels();
const { target } = shippedTemplate('quad-serial-6s').plan;
const meter = { id: 'm', name: 'm', ...shippedMeter };

function passes(
  catalogue: readonly PartModel[],
  black: TerminalRef,
  red: TerminalRef,
  chargeV = {},
): readonly Length[] {
  return expectReading(
    assemble(target, makeCatalogue(catalogue)),
    { black, red, mode: 'tone', power: 'off' },
    { meter, chargeV },
  ).passes;
}

/** The catalogue with one model's elements changed. */
function withElements(id: string, change: (elements: readonly Element[]) => readonly Element[]): PartModel[] {
  return models.map((model) => (model.id === id ? { ...model, elements: change(model.elements) } : model));
}

const charged = { 'CAP/BULK': 1.2, 'ESC/CERAMICS': 1.2 };

describe('a good build', () => {
  it.each<[string, TerminalRef, TerminalRef, readonly Length[]]>([
    ['battery - to a ground', 'BAT.MINUS', 'FC.G2', ['does not stop']],
    ['main leads from empty: the capacitor’s chirp may be missed', 'BAT.MINUS', 'BAT.PLUS', ['none', 'chirp']],
    ['phases of a fitted motor', 'ESC.A1', 'ESC.B1', ['does not stop']],
    ['a phase to minus', 'BAT.MINUS', 'ESC.A1', ['none']],
    ['a phase to plus', 'BAT.PLUS', 'ESC.A1', ['none']],
    ['a signal wire end to end', 'RX.TX', 'FC.RX2', ['does not stop']],
    ['the 3.3 V rail to ground', 'BAT.MINUS', 'FC.3V3A', ['none']],
  ])('%s', (_what, black, red, expected) => {
    expect(passes(models, black, red)).toEqual(expected);
  });

  it('sounds longer on the exchanged main leads, after the first touch', () => {
    expect(passes(models, 'BAT.PLUS', 'BAT.MINUS', charged)).toContain('about a second');
    expect(passes(models, 'BAT.PLUS', 'BAT.MINUS', charged)).not.toContain('many seconds');
  });
});

describe('removing an inner element changes what is expected', () => {
  it('a motor without its windings leaves its phases silent', () => {
    const bare = withElements('marl-motor-2812', (elements) => elements.filter(({ is }) => is !== 'winding'));
    expect(passes(bare, 'ESC.A1', 'ESC.B1')).toEqual(['none']);
  });

  it('no capacitors, no chirp', () => {
    const none = ['gorse-cap-680', 'lapwing-esc-45'].reduce(
      (list, id) =>
        list.map((model) =>
          model.id === id ? { ...model, elements: model.elements.filter(({ is }) => is !== 'capacitor') } : model,
        ),
      models,
    );
    expect(passes(none, 'BAT.MINUS', 'BAT.PLUS')).toEqual(['none']);
    expect(passes(none, 'BAT.PLUS', 'BAT.MINUS', charged)).toEqual(['none']);
  });

  it('a shorted transistor sounds on its phase', () => {
    const shorted = withElements('lapwing-esc-45', (elements) => [
      ...elements,
      { id: 'FAULT', fails: [], is: 'resistor', a: 'PA1', b: 'GND', ohms: 1 },
    ]);
    expect(passes(shorted, 'BAT.MINUS', 'ESC.A1')).toEqual(['does not stop']);
  });

  it('a switch of unknown state is not judged', () => {
    const unknown = withElements('plover-fc-36', (elements) => [
      ...elements,
      { id: 'MYSTERY', fails: [], is: 'switch', a: 'V33', b: 'GND', onOhms: 1, closedWhen: 'unknown' },
    ]);
    const { from } = expectReading(
      assemble(target, makeCatalogue(unknown)),
      { black: 'BAT.MINUS', red: 'FC.3V3A', mode: 'tone', power: 'off' },
      { meter },
    );
    expect(from).toBe('none');
  });
});

describe('the list of touches', () => {
  const catalogue = makeCatalogue(models);
  const assembly = assemble(target, catalogue);
  const { touches } = shippedList(basisOf(target, meter))!;
  const circuit = compile(assembly);
  const nets = netlist(assembly);

  it('begins with contact on both main leads, then goes across them both ways', () => {
    expect(touches.slice(0, 4).map(({ good, across }) => across ?? good)).toEqual([
      'sounds',
      'sounds',
      'main leads',
      'main leads exchanged',
    ]);
  });

  it('lets every net sound or read before silence on it is asked', () => {
    const proven = new Set<Net | null>();
    for (const { touch, good, anchored } of touches) {
      const own = [touch.black, touch.red].map((ref) => nets.netOf(ref));
      if (good === 'sounds' || good === 'reads') own.forEach((net) => proven.add(net));
      else if (anchored) for (const net of own) expect(proven.has(net), `${touch.black}, ${touch.red}`).toBe(true);
    }
  });

  it('knows of each touch what the expectation says of it', () => {
    for (const { touch, good } of touches) {
      const { passes, band, open } = expectIn(circuit, touch, { meter });
      const said = [touch.black, touch.red, good];
      if (good === 'sounds') expect(passes, said.join(' ')).toEqual(['does not stop']);
      else if (good === 'reads') expect([band === null, open], said.join(' ')).toEqual([false, undefined]);
      else expect(touch.mode === 'tone' ? passes.includes('does not stop') : !open, said.join(' ')).toBe(false);
    }
  });

  it('names what it cannot show instead of passing over it', () => {
    const { faults } = shippedList(basisOf(target, meter))!;
    expect(faults.some(({ kind, shownBy }) => kind === 'capacitor reversed' && shownBy === 'no touch')).toBe(true);
    const shown = new Set(touches.flatMap(({ shows }) => shows));
    expect(faults.flatMap(({ shownBy }, place) => (shownBy === 'list' && !shown.has(place) ? [place] : []))).toEqual(
      [],
    );
  });
});

it('the same list stands for a build whose wires look otherwise and on which a short was found', () => {
  const contacts = [{ a: 'ESC.A1', b: 'ESC.B2', ohms: 0.1, why: 'measured' }] as const;
  const violet = Object.fromEntries(
    Object.entries(target.wires).map(([id, wire]) => [id, { ...wire, colour: 'violet' }]),
  );
  const { W1: first, ...rest } = target.wires;
  expect(basisOf({ ...target, contacts, wires: violet }, meter)).toBe(basisOf(target, meter));
  expect(basisOf({ ...target, wires: { ...rest, W1: first! } }, meter)).toBe(basisOf(target, meter));
  expect(basisOf({ ...target, wires: rest }, meter)).not.toBe(basisOf(target, meter));
  expect(basisOf(target, { ...meter, beepBelowOhms: 100 })).not.toBe(basisOf(target, meter));
});
