/** Motors built for one turning sense: the airframe's table, the reversed convention, and one of the wrong kind. */
import { emptyBuild, judge, makeCatalogue, motorMap, assemble } from '@junctor/core';
import type { Build } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { shippedModels } from '@junctor/catalogue';

const catalogue = makeCatalogue(shippedModels());
const fitted = (model: string) => ({ model, revision: 1, part: null, pose: null });

type Kind = 'cw' | 'ccw';

/** A brushed quad whose motors are of these kinds, corner by corner. */
function quad(...kinds: Kind[]): Build {
  const motors = kinds.map((kind, index) => [`M${index + 1}`, fitted(`marl-motor-8520-${kind}`)] as const);
  return {
    ...emptyBuild,
    slots: { FRAME: fitted('coppice-frame-4'), FC: fitted('stint-board-26'), ...Object.fromEntries(motors) },
  };
}
const wrong = (build: Build) =>
  judge(assemble(build, catalogue), [], [1, 1])
    .filter(({ rule }) => rule === 'motor turns')
    .map(({ severity, message }) => `${severity} ${message}`);
const wanted = motorMap(assemble(quad('cw', 'cw', 'cw', 'cw'), catalogue)).map(({ sense }): Kind =>
  sense === 'clockwise' ? 'cw' : 'ccw',
);
const turned = wanted.map((kind): Kind => (kind === 'cw' ? 'ccw' : 'cw'));

describe('motors built for one sense', () => {
  it('fit the table, or all of them the reversed one', () => {
    expect(new Set(wanted)).toEqual(new Set(['cw', 'ccw']));
    expect([wrong(quad(...wanted)), wrong(quad(...turned))]).toEqual([[], []]);
  });

  it.each([0, 1, 2, 3])('the one at corner %d of the wrong kind is named with its leads', (corner) => {
    const kinds = wanted.map((kind, index) => (index === corner ? turned[index]! : kind));
    const [only, ...more] = wrong(quad(...kinds));
    expect(more).toEqual([]);
    expect(only).toMatch(
      new RegExp(
        `^warn M${corner + 1}, .* is built to turn ${turned[corner] === 'cw' ? 'clockwise \\(red and blue' : 'anticlockwise \\(white and black'} leads\\)`,
      ),
    );
  });

  it('says nothing of motors that turn either way', () => {
    const build = quad(...wanted);
    const plain = {
      ...build,
      slots: {
        ...build.slots,
        M1: fitted('marl-motor-8520'),
        M2: fitted('marl-motor-8520'),
        M3: fitted('marl-motor-8520'),
        M4: fitted('marl-motor-8520'),
      },
    };
    expect(wrong(plain)).toEqual([]);
  });
});
