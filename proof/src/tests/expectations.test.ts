/** Expected readings follow from the shipped parts' insides: nothing is written down. */
import type { Element, Length, Net, PartModel, TerminalRef } from '@junctor/core';
import {
  compile,
  continuityTouches,
  expect as expectReading,
  expectIn,
  makeCatalogue,
  netlist,
  assemble,
} from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels, shippedTemplate } from '@junctor/catalogue';
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

it('asks for a silence where a short was found, as before it was', () => {
  const catalogue = makeCatalogue(models);
  const listed = (contacts: typeof target.contacts) =>
    continuityTouches(assemble({ ...target, contacts }, catalogue)).touches.map(({ touch }) => touch);
  const found = [{ a: 'ESC.A1', b: 'ESC.B2', ohms: 0.1, why: 'measured' }] as const;
  expect(listed(found)).toEqual(listed([]));
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

describe('the continuity list', () => {
  const catalogue = makeCatalogue(models);
  const list = continuityTouches(assemble(target, catalogue));
  const circuit = compile(assemble(target, catalogue));

  it('begins with the two anchors, then the main leads both ways', () => {
    expect(list.touches.slice(0, 4).map(({ reason }) => reason)).toEqual([
      'first anchor',
      'first anchor',
      'main leads',
      'main leads exchanged',
    ]);
  });

  it('asks for every ground and for every phase against plus and minus', () => {
    const touched = (reason: string) => list.touches.filter((touch) => touch.reason === reason);
    expect(touched('phase to rail')).toHaveLength(24);
    expect(touched('ground').map(({ touch }) => touch.red)).toContain('RX.GND');
  });

  it('lets every net sound before silence on it is asked', () => {
    const nets = netlist(assemble(target, catalogue));
    const sounded = new Set<Net | null>();
    for (const { touch, reason } of list.touches) {
      const own = [touch.black, touch.red].map((ref) => nets.netOf(ref));
      if (expectIn(circuit, touch, { meter }).passes.includes('does not stop')) own.forEach((net) => sounded.add(net));
      else if (!reason.startsWith('main'))
        for (const net of own) expect(sounded.has(net), `${touch.black}, ${touch.red}`).toBe(true);
    }
  });

  it('names what it cannot prove instead of passing over it', () => {
    expect(list.notProven).toContainEqual(['FC.CAM', 'FC.10V1']);
    expect(
      list.touches.every(({ touch }) => !list.notProven.some(([a, b]) => a === touch.black && b === touch.red)),
    ).toBe(true);
  });
});
