/** How wide an expectation is follows from how its numbers are known; what is open shows no number. */
import { expect, it } from 'vitest';
import { assemble } from '../../facts/assembly/assembly';
import type { Element, PartModel } from '../../facts/catalogue/partModel';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import type { Certainty } from '../../facts/catalogue/partModel';
import { buildOf, ground, meter, model, pin, port, terminal } from '../../testing/fixtures';
import { expect as expectation } from './expect';
import { judgeReading } from './judgeReading';

const pull: Element = { id: 'PULL', fails: [], is: 'resistor', a: 'T1', b: 'G', ohms: 10_000 };
const bandOf = (over: Partial<PartModel>, red: 'T1' | 'T2' = 'T1') => {
  const board = model(
    'board',
    'controller',
    [terminal('G', [ground]), terminal('T1', [pin('U', 'tx')]), terminal('T2', [])],
    {
      ports: [port('U', 'serial')],
      ...over,
    },
  );
  const assembly = assemble(buildOf({ FC: 'board' }, []), makeCatalogue([board]));
  return expectation(
    assembly,
    { black: 'FC.G', red: `FC.${red}`, mode: 'ohms', power: 'off' },
    { meter: { ...meter, spread: 0 } },
  );
};
const widthOf = (over: Partial<PartModel>) => {
  const { band } = bandOf(over);
  return (band![1] - band![0]) / 20_000;
};

it.each<[Certainty, number]>([
  ['measured', 0.25],
  ['sheet', 0.4],
  ['typical', 0.5],
  ['assumed', 0.8],
])('%s numbers spread by a share of %d', (sure, share) => {
  const knownFrom = { '': 'assumed', '/elements/0/ohms': sure } as const;
  expect(widthOf({ elements: [pull], knownFrom })).toBeCloseTo(share, 2);
});

it('takes the tolerance of a sheet before anything else', () => {
  expect(widthOf({ elements: [{ ...pull, tolerance: 0.01 }] })).toBeCloseTo(0.01, 3);
});

it('is open beyond what the mode counts to, and judges that as a reading', () => {
  const heard = {
    heldMs: null,
    by: 'key' as const,
    wrong: 0,
    anchors: { black: 'a tone', red: 'a tone' },
    unit: 'ohm' as const,
  };
  const apart = bandOf({ elements: [pull] }, 'T2');
  expect(apart.open).toBe(true);
  expect(judgeReading(apart, { ...heard, open: true })).toBe('pass');
  expect(judgeReading(apart, { ...heard, open: true, anchors: { black: null, red: null } })).toBe('look again');
  expect(judgeReading(apart, { ...heard, value: 4700 })).toBe('stop');
  const joined = bandOf({ elements: [pull] });
  expect(joined.open).toBeUndefined();
  expect(judgeReading(joined, { ...heard, open: true })).toBe('stop');
  expect(judgeReading(joined, { ...heard, value: 9800 })).toBe('pass');
});
