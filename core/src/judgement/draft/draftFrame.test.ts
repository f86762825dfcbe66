import { describe, expect, it } from 'vitest';
import { checkModel } from '../../facts/catalogue/checkModel';
import { draftFrame } from './draftFrame';
import type { FrameDraft } from './frameDraft';

const measured: FrameDraft = {
  name: 'Copse 7',
  maker: 'Osier Frames',
  massG: 150,
  motors: 'four',
  acrossMm: 220,
  alongMm: 200,
  propellerMm: 178,
  conducts: true,
  wideMm: 60,
  longMm: 150,
  bottomMm: 2.5,
  armsMm: 5,
  lid: { overMm: 33, thickMm: 2, settlesMm: 0.6 },
  stack: { patternMm: 30.5, aheadMm: 6, screwMm: 25 },
  pack: 'on top',
  places: [
    { name: 'rear bay', kind: 'bay', atMm: [0, -40, 0], roomMm: [40, 36, 30], patternMm: 20, madeFor: null },
    { name: 'mast', kind: 'lid', atMm: [0, -50, 12], roomMm: [30, 30, 20], patternMm: null, madeFor: 'positioning' },
  ],
  openings: [
    { name: 'left window', passes: 'usb', side: 'left', atMm: [4, 14], sizeMm: [30, 20] },
    { name: 'tail hole', passes: 'aerial', side: 'rear', atMm: [8, 20], sizeMm: [7, 7] },
  ],
};
const frameOf = (over: Partial<FrameDraft> = {}) => draftFrame({ ...measured, ...over }).frame!;

describe('a frame from its measurements', () => {
  it('contradicts nothing, carbon or not, with a lid or open, with any pattern of motors', () => {
    for (const motors of ['four', 'six in a ring', 'eight in a ring', 'eight in pairs'] as const)
      for (const over of [{}, { conducts: false }, { lid: null, places: [] }, { armsMm: 0 }])
        expect(checkModel(draftFrame({ ...measured, motors, ...over }))).toEqual([]);
  });

  it('has its motors where they were measured, those of pairs under each other', () => {
    expect(frameOf().corners.map(({ atMm }) => atMm)).toEqual([
      [110, 100],
      [-110, 100],
      [-110, -100],
      [110, -100],
    ]);
    const pairs = frameOf({ motors: 'eight in pairs' }).corners;
    expect(pairs.map(({ index, level }) => `${index} ${level}`).slice(3, 5)).toEqual(['4 upper', '5 lower']);
    expect(pairs[4]!.atMm).toEqual(pairs[0]!.atMm);
    const ring = frameOf({ motors: 'six in a ring', acrossMm: 500, alongMm: 500 }).corners;
    for (const { atMm } of ring) expect(Math.hypot(...atMm)).toBeCloseTo(250, 9);
  });

  it('has plates, places and openings as high as the caliper said over the bottom plate', () => {
    const { plates, places, ways, lid, posts } = frameOf();
    expect(plates!.map(({ id, zMm }) => [id, zMm])).toEqual([
      ['bottom', 0],
      ['arms', 2.5],
      ['lid', 35.5],
    ]);
    const at = (id: string) => places!.find((one) => one.id === id)!;
    expect(at('stack').atMm).toEqual([0, 6, 7.5]);
    expect(at('stack').roomMm[2]).toBe(28);
    expect(at('rear bay').atMm).toEqual([0, -40, 2.5]);
    expect(at('rear bay').holes).toEqual({ patternMm: [20, 20], thread: 'M2' });
    expect(at('mast')).toMatchObject({ atMm: [0, -50, 49.5], entry: 'top', madeFor: ['positioning'] });
    expect(ways!.map(({ atMm }) => atMm)).toEqual([
      [-30, 4, 16.5],
      [8, -75, 22.5],
    ]);
    expect(lid).toEqual({ plate: 'lid', settlesMm: [0, 0.6] });
    expect(posts[0]).toEqual({ atMm: [15.25, 21.25], lengthMm: 25, thread: 'M3' });
  });

  it('leads wires to every place and every motor', () => {
    const { route, places, corners } = frameOf({ motors: 'eight in pairs' });
    const reached = new Set(['centre']);
    for (let round = 0; round < route.edges.length; round++)
      for (const [a, b] of route.edges) {
        if (reached.has(a)) reached.add(b);
        if (reached.has(b)) reached.add(a);
      }
    expect(places!.filter(({ entry }) => !reached.has(entry))).toEqual([]);
    expect(corners.filter(({ index }) => !reached.has(`end${index}`))).toEqual([]);
  });
});
