import { describe, expect, it } from 'vitest';
import type { Build, Fitted } from '../../facts/assembly/build';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import { fitted, model, pin, port, terminal, buildOf, wire } from '../../testing/fixtures';
import { alignmentChange, alignmentWords, motorChanges } from './motorChanges';
import { assemble } from '../../facts/assembly/assembly';

const leads = ['A', 'B', 'C'].map((id) =>
  terminal(id, [pin('PH', id.toLowerCase() as 'a' | 'b' | 'c')], { form: 'tail' }),
);
const motor = model('motor', 'motor', leads, { ports: [port('PH', 'motorPhase', { way: 'takes' })] });
const phases = [1, 2].flatMap((channel) =>
  ['A', 'B', 'C'].map((id) => terminal(`${id}${channel}`, [pin(`MOT${channel}`, id.toLowerCase() as 'a' | 'b' | 'c')])),
);
const board = model('board', 'single board', phases, {
  ports: [1, 2].map((index) => port(`MOT${index}`, 'motorPhase', { way: 'gives', index })),
  body: { outlineMm: [], aboveMm: 1, belowMm: 1, holes: [], openings: [], arrowDeg: 90 },
});
const catalogue = makeCatalogue([motor, board]);
const slots = { FC: 'board', M1: 'motor', M2: 'motor' };

/** Motors on these channels, in order. */
function wired(...channels: (number | null)[]): Build {
  return buildOf(
    slots,
    channels.flatMap((channel, index) =>
      channel === null
        ? []
        : ['A', 'B', 'C'].map((id) => wire(`M${index + 1}-${id}`, `M${index + 1}.${id}`, `FC.${id}${channel}`)),
    ),
  );
}

describe('outputs in a conversion', () => {
  it('that stay are not told, those that move are, with where', () => {
    expect(motorChanges(assemble(wired(1, 2), catalogue), assemble(wired(1, 2), catalogue))).toEqual([]);
    expect(motorChanges(assemble(wired(1, 2), catalogue), assemble(wired(2, 1), catalogue))).toEqual([
      { corner: 1, where: 'corner 1', before: 1, after: 2 },
      { corner: 2, where: 'corner 2', before: 2, after: 1 },
    ]);
  });

  it('of a motor that is led nowhere afterwards, or was before, are none', () => {
    expect(motorChanges(assemble(wired(1, 2), catalogue), assemble(wired(1, null), catalogue))).toEqual([
      { corner: 2, where: 'corner 2', before: 2, after: null },
    ]);
    expect(motorChanges(assemble(wired(1, null), catalogue), assemble(wired(1, 2), catalogue))).toEqual([
      { corner: 2, where: 'corner 2', before: null, after: 2 },
    ]);
  });

  it('of motors that were not there are no change: a new build has none', () => {
    expect(motorChanges(assemble(buildOf({ FC: 'board' }, []), catalogue), assemble(wired(1, 2), catalogue))).toEqual(
      [],
    );
  });
});

describe('the board in a conversion', () => {
  const lying = (yawDeg: number, face: 'up' | 'down' = 'up'): Build => {
    const there: Fitted = { ...fitted('board'), pose: { place: 'stack', atMm: [0, 0, 0], yawDeg, face } };
    return { ...wired(1, 2), slots: { ...wired(1, 2).slots, FC: there } };
  };

  it('is told when it lies another way', () => {
    expect(alignmentChange(assemble(lying(0), catalogue), assemble(lying(0), catalogue))).toBeNull();
    const change = alignmentChange(assemble(lying(0), catalogue), assemble(lying(-90, 'down'), catalogue))!;
    expect([alignmentWords(change.before), alignmentWords(change.after)]).toEqual([
      'arrow forward',
      'turned 90° clockwise, upside down',
    ]);
    expect(alignmentWords(alignmentChange(assemble(lying(0), catalogue), assemble(lying(33), catalogue))!.after)).toBe(
      'no arrow to go by: measure it',
    );
  });

  it('is not told without a board before or after', () => {
    const { FC: _gone, ...others } = lying(0).slots;
    expect(
      alignmentChange(assemble({ ...lying(0), slots: others, wires: {} }, catalogue), assemble(lying(90), catalogue)),
    ).toBeNull();
  });
});
