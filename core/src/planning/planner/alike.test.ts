/** Which parts can stand for one another: strips on a small board. */
import { expect, it } from 'vitest';
import { assemble } from '../../facts/assembly/assembly';
import type { Fitted } from '../../facts/assembly/build';
import { emptyBuild } from '../../facts/assembly/build';
import { makeCatalogue } from '../../facts/catalogue/catalogue';
import type { PortPin, Terminal } from '../../facts/catalogue/partModel';
import { fitted, model, port, takes, terminal } from '../../testing/fixtures';
import { alikeParts, grouped, isInTurn } from './alike';
import { optionsFor } from './options';
import type { PlanRequest } from './request';
import { wishesFor } from './wishesFor';

const at = (id: string, portId: string, pin: PortPin): Terminal => terminal(id, [{ is: 'port', port: portId, pin }]);
const board = model('board', 'controller', [at('L', 'LED', 'out')], {
  ports: [port('LED', 'lights', { way: 'gives' })],
});
const lights = model(
  'strip',
  'lights',
  [terminal('V', [takes(4.5, 5.5)]), at('DI', 'IN', 'in'), at('DO', 'NEXT', 'out')],
  {
    ports: [port('IN', 'lights', { way: 'takes' }), port('NEXT', 'lights', { way: 'gives' })],
  },
);
const catalogue = makeCatalogue([board, lights]);
const strip = fitted('strip');

function withStrips(count: number, change: (one: PlanRequest) => PlanRequest = (one) => one): PlanRequest {
  const strips = Array.from({ length: count }, (_, index): [string, Fitted] => [`LED${index + 1}`, strip]);
  const slots = { FC: fitted('board'), ...Object.fromEntries(strips) };
  const wishes = wishesFor(assemble({ ...emptyBuild, slots }, catalogue));
  return change({ slots, catalogue, cells: [4, 4], wishes, pinned: [] });
}

const strips = (request: PlanRequest) => alikeParts(request).filter((run) => run.some((slot) => /^LED/.test(slot)));
const names = (from: number, to: number) => Array.from({ length: to - from + 1 }, (_, index) => `LED${from + index}`);

it('takes strips that nothing tells apart for one run, the tenth after the ninth', () => {
  expect(strips(withStrips(12))).toEqual([names(1, 12)]);
});

it('tells apart what was chosen by hand, what lies elsewhere, and a must behind what may be', () => {
  const pinned = (request: PlanRequest): PlanRequest => ({
    ...request,
    pinned: [{ what: 'port', of: 'lights LED3', value: 'FC/LED' }],
  });
  expect(strips(withStrips(6, pinned))).toEqual([names(1, 2), names(4, 6)]);
  const elsewhere = (request: PlanRequest): PlanRequest => ({
    ...request,
    slots: { ...request.slots, LED4: { ...strip, pose: { place: 'deck', atMm: [0, 0, 0], yawDeg: 0, face: 'up' } } },
  });
  expect(strips(withStrips(6, elsewhere))).toEqual([names(1, 3), names(5, 6)]);
  const asked = (request: PlanRequest): PlanRequest => ({
    ...request,
    wishes: request.wishes.map((wish) => ({ ...wish, must: /LED[1256]$/.test(wish.id) || wish.must })),
  });
  expect(strips(withStrips(6, asked))).toEqual([names(1, 4), names(5, 6)]);
  expect(strips(withStrips(6, (one) => ({ ...one, keep: emptyBuild })))).toEqual([]);
});

it('hands data on to the next of its like only', () => {
  const request = withStrips(4);
  const parts = assemble({ ...emptyBuild, slots: request.slots }, catalogue);
  const runs = alikeParts(request);
  const hosts = (of: string) =>
    optionsFor(
      request.wishes.find((wish) => wish.of === of && wish.purpose === 'lights')!,
      parts,
    )
      .filter((option) => isInTurn(option, runs))
      .flatMap(({ ends }) => ends.map(({ slot }) => slot).filter((slot) => /^LED/.test(slot) && slot !== of));
  expect([hosts('LED1'), hosts('LED2'), hosts('LED4')]).toEqual([[], ['LED1'], ['LED3']]);
});

it('puts names of parts that are alike together, and leaves the others alone', () => {
  expect(grouped(['FC', 'LED1', 'RX', 'LED2'], (slot) => slot, [['LED1', 'LED2']])).toEqual([
    ['FC'],
    ['LED1', 'LED2'],
    ['RX'],
  ]);
});
