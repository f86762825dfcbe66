/** Mass, balance and thrust: against drawn aircraft, against moments by hand. */
import { shippedTemplate } from '@junctor/catalogue';
import {
  assemble,
  balanceOf,
  flyingWith,
  layoutOf,
  makeCatalogue,
  packPlace,
  packWords,
  weightClassOf,
} from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { aircraft, box, frame, place, socket, terminal } from '../cases/layouts/parts';
import { random } from '../generators/generate';
import { weighedByDrawing } from '../trials/masses';
import { catalogue } from '../trials/ruleTrial';

const { laid } = layoutOf(assemble(shippedTemplate('quad-serial-6s').plan.target, catalogue))!;
const { assembly } = laid;
const model = (id: string) => catalogue.model({ model: id, revision: 1 })!;
const pack = model('moss-pack-6s-4000');
const propeller = model('sycamore-prop-8');
const tail = { atMm: [0, -78, 8], entry: 'rear', madeFor: ['battery lead'] } as const;

describe('the mass', () => {
  it('of aircraft whose parts are drawn lies in its band, and their centre in its own', () => {
    const chance = random(11);
    const { g, centre } = balanceOf(assembly, {}, laid);
    const drawn = Array.from({ length: 200 }, (_, index) =>
      weighedByDrawing(assembly.build, { catalogue, poses: laid.poses }, chance, index % 2 ? 'flat' : 'normal'),
    );
    expect(drawn.filter((one) => one.g >= g[0] && one.g <= g[1]).length).toBeGreaterThanOrEqual(190);
    const isCentred = (mm: number) => Math.abs(mm - centre!.atMm[1]) <= centre!.offMm;
    expect(drawn.filter(({ centreMm }) => isCentred(centreMm[1])).length).toBeGreaterThanOrEqual(186);
  });

  it('is narrower once parts are weighed, and moves with what the scale said', () => {
    const [rough, fine] = [balanceOf(assembly, {}, laid).g, balanceOf(assembly, { M1: 70 }, laid).g];
    expect((fine[0] + fine[1]) / 2 - (rough[0] + rough[1]) / 2).toBeCloseTo(4 * (70 - 62), 6);
    expect(fine[1] - fine[0]).toBeLessThan(rough[1] - rough[0]);
  });
});

describe('the pack', () => {
  it('brings the centre over the motors where it is told to lie', () => {
    const { g, centre } = balanceOf(assembly, {}, laid);
    const { packAt } = flyingWith(assembly, balanceOf(assembly, {}, laid), { pack, propeller });
    const dry = (g[0] + g[1]) / 2;
    expect(dry * centre!.atMm[1] + pack.massG * packAt!.forwardMm).toBeCloseTo(0, 6);
    expect(packWords(packAt!)).toMatch(
      /^its middle \d+ mm forward of the motors’ middle, \d+ mm either way; there its strap is \d mm from/,
    );
  });

  it('reaches over the plate when it is longer than that', () => {
    const long = flyingWith(assembly, balanceOf(assembly, {}, laid), { pack: model('moss-pack-6s-10000'), propeller });
    expect(packWords(long.packAt!)).toMatch(/there it reaches \d+ mm over the plate’s edge/);
  });

  it('lies on what stands on the lid, and its lead may be short of the plug: by hand', () => {
    const outlineMm = [
      [-39, -20],
      [39, -20],
      [39, 20],
      [-39, 20],
    ] as const;
    const made = aircraft({
      FRAME: frame({ places: [place('lid', 'lid', { atMm: [0, -45, 38.5] }), place('tail', 'surface', tail)] }),
      RX: box('rx', 'receiver', [12, 10, 4]),
      BAT: box('bat', 'battery lead', [16, 15, 8], {
        terminals: [terminal('PLUS', [0, -7])],
        connectors: [socket('PLUG', 'PLUS')],
      }),
    });
    const layout = layoutOf(assemble(made.build, makeCatalogue(made.models)))!;
    const strapped = (at: readonly [number, number], lengthMm: number) => {
      const body = { ...pack.body, outlineMm, aboveMm: 32, belowMm: 0 };
      const cable = { lengthMm, acrossMm: 4, leastBendMm: 6, connectors: ['PLUG'] };
      return packPlace(layout.laid, { ...pack, body, cable }, at)!;
    };
    // The receiver's front edge is 40 mm back of the middle, the pack's rear edge 39.
    expect(strapped([0, 0], 70).inTheWay).toEqual([]);
    expect(strapped([0, -2], 70).inTheWay).toEqual(['RX']);
    // From its rear end, half its height over the lid, to the plug at (0, -85, 8).
    const wayMm = Math.hypot(85 - 39, 38.5 + 16 - 8);
    expect(strapped([0, 0], 70).leadMm).toBeCloseTo(70 - wayMm, 6);
    expect(strapped([0, 0], 40).leadMm).toBeCloseTo(40 - wayMm, 6);
    // Beside the blades of motors at 120 mm each way, 102 mm long: their strap is 23 mm from the middle.
    expect(strapped([0, 100], 70).bladesMm).toBeCloseTo(120 - 23 - 102, 6);
    expect(strapped([0, 0], 70).bladesMm).toBeCloseTo(Math.hypot(120 - 23, 120 - 39) - 102, 6);
  });
});

describe('thrust', () => {
  it('is said by the motors’ own table, and not without one for these propellers', () => {
    const { g, thrust } = flyingWith(assembly, balanceOf(assembly, {}, laid), { pack, propeller });
    // Four motors of 1420 g at 22.2 V, fifteen hundredths less in the aircraft at worst.
    expect(thrust!.toWeight[0]).toBeCloseTo((4 * 1420 * 0.85) / g[1], 6);
    expect(thrust!.toWeight[1]).toBeCloseTo((4 * 1420) / g[0], 6);
    const other = flyingWith(assembly, balanceOf(assembly, {}, laid), { pack, propeller: model('sycamore-prop-10') });
    expect(other.thrust).toBeNull();
    expect(flyingWith(assembly, balanceOf(assembly, {}, laid), { pack, propeller: null }).thrust).toBeNull();
  });
});

describe('a weight class', () => {
  const classes = [
    { name: 'light', upToG: 250 },
    { name: 'heavy', upToG: 900 },
  ];

  it('is the one in which the whole band lies; else it must be weighed', () => {
    expect(weightClassOf(classes, [200, 240])).toBe('light');
    expect(weightClassOf(classes, [240, 260])).toBe('light or heavy: weigh it');
    expect(weightClassOf(classes, [890, 910])).toBe('heavy or over 900 g: weigh it');
    expect(weightClassOf(classes, [950, 990])).toBe('over 900 g');
    expect(weightClassOf([], [1, 2])).toBeNull();
  });
});
