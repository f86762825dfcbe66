/** What the planner is asked: lines, what the keys do with them, and ways out taken. */
import { assemble, withWayOut } from '@junctor/core';
import type { Plan } from '@junctor/core';
import { describe, expect, it } from 'vitest';
import { catalogue, demoPlan } from '../../testing/demo';
import {
  askedOrNot,
  changedWish,
  firstQuestion,
  keptOrNot,
  nextLoss,
  pinnedPort,
  rowsOf,
  variedWays,
  without,
} from './question';

const asFound = demoPlan('culvert-as-found').target;
const plan: Plan = { ...demoPlan('culvert-conversion'), jobId: 'job', version: 1 };
const first = firstQuestion(plan, assemble(asFound, catalogue));
const ids = (question: typeof first) => rowsOf(question, assemble(asFound, catalogue)).map(({ id }) => id);
const wish = (question: typeof first, id: string) => question.wishes.find((asked) => asked.id === id)!;

describe('lines of the planner', () => {
  it('are the wishes of the parts, then the parts that come off', () => {
    expect(ids(first)).toEqual([
      'receiver RX',
      'video VTX',
      'on-screen data VTX',
      'buzzer BZ',
      'positioning GPS',
      'old RX',
      'old VTX',
      'old CAM',
      'old ANT1',
    ]);
    expect(first.dormant).toEqual([]);
  });

  it('name what could be wished besides, once it is not', () => {
    const without = askedOrNot(first, wish(first, 'positioning GPS'));
    expect(ids(without)).toContain('not positioning GPS');
    const again = askedOrNot(
      without,
      rowsOf(without, assemble(asFound, catalogue)).find((row) => row.is === 'unasked')!.wish,
    );
    expect(wish(again, 'positioning GPS')).toMatchObject({ must: false, lossIfDropped: 6 });
  });
});

it('offers of each kind of way out the cheapest first, and as many as there are keys', () => {
  const drop = (wish: string, loss: number) => ({ do: 'drop' as const, wishes: [wish], loss, message: '' });
  const board = { do: 'exchange' as const, slots: ['FC'], model: 'm', revision: 1, loss: 4, message: '' };
  const drops = Array.from({ length: 9 }, (_, index) => drop(`w${index}`, 3));
  expect(variedWays([...drops, board])).toEqual([drops[0], board, ...drops.slice(1, 7)]);
  expect(variedWays([])).toEqual([]);
});

describe('a choice by hand', () => {
  it('has a line of its own, but for a port, which stands with its wish', () => {
    const pinned = [
      { what: 'port', of: 'receiver RX', value: 'FC/UART2' },
      { what: 'terminal', of: 'RX.TX', value: 'FC.RX2' },
      { what: 'gauge', of: 'RX.5V', value: '26' },
    ] as const;
    const held = { ...first, pinned };
    expect(ids(held).filter((id) => id.startsWith('held'))).toEqual(['held terminal RX.TX', 'held gauge RX.5V']);
    expect(pinnedPort(held.pinned, wish(first, 'receiver RX'))).toBe('FC UART2');
    expect(without(held.pinned, pinned[1])).toEqual([pinned[0], pinned[2]]);
  });
});

describe('a part that stays in', () => {
  const kept = keptOrNot(first, 'VTX');

  it('moves what was planned for its place beside it, and back', () => {
    expect([Object.keys(kept.slots).includes('VTX'), kept.slots.VTX2, kept.dormant]).toEqual([
      false,
      first.slots.VTX,
      [{ slot: 'VTX', moved: 'VTX2' }],
    ]);
    expect(kept.wishes.map(({ id }) => id)).toEqual([
      'receiver RX',
      'video VTX2',
      'on-screen data VTX2',
      'buzzer BZ',
      'positioning GPS',
    ]);
    const back = keptOrNot(kept, 'VTX');
    expect([back.slots, back.wishes, back.dormant]).toEqual([expect.objectContaining(first.slots), first.wishes, []]);
  });

  it('is known again from a plan that keeps one', () => {
    const idle = {
      ...plan,
      target: {
        ...asFound,
        wires: Object.fromEntries(
          Object.entries(asFound.wires).filter(([, { ends }]) => !JSON.stringify(ends).includes('"VTX.')),
        ),
        mates: {},
      },
    };
    expect(firstQuestion(idle, assemble(asFound, catalogue)).dormant).toContainEqual({ slot: 'VTX', moved: null });
  });
});

describe('choices', () => {
  it('let a port go with the wish, and step through how much it matters', () => {
    const held = { ...first, pinned: [{ what: 'port' as const, of: 'receiver RX', value: 'FC/UART3' }] };
    expect(pinnedPort(held.pinned, wish(held, 'receiver RX'))).toBe('FC UART3');
    expect(askedOrNot(held, wish(held, 'receiver RX')).pinned).toEqual([]);
    expect([1, 3, 6, 10].map(nextLoss)).toEqual([2, 5, 8, 1]);
    expect(wish(changedWish(first, wish(first, 'buzzer BZ'), { must: true }), 'buzzer BZ').must).toBe(true);
  });

  it('follow a way out', () => {
    const message = '';
    expect(
      wish(withWayOut({ do: 'drop', wishes: ['receiver RX'], loss: 10, message }, first), 'receiver RX').must,
    ).toBe(false);
    expect(
      wish(
        withWayOut({ do: 'allow', wish: 'video VTX', way: 'straight to the transmitter', loss: 3, message }, first),
        'video VTX',
      ).ways,
    ).toContain('straight to the transmitter');
    expect(
      withWayOut({ do: 'exchange', slots: ['FC'], model: 'another', revision: 2, loss: 4, message }, first).slots.FC,
    ).toMatchObject({ model: 'another', revision: 2, part: null });
    expect(
      withWayOut(
        { do: 'unpin', pin: { what: 'port', of: 'x', value: 'FC/UART1' }, loss: 0, message },
        {
          ...first,
          pinned: [
            { what: 'port', of: 'x', value: 'FC/UART1' },
            { what: 'colour', of: 'x', value: 'grey' },
          ],
        },
      ).pinned,
    ).toEqual([{ what: 'colour', of: 'x', value: 'grey' }]);
    const more = withWayOut({ do: 'add', slots: ['REG'], model: 'one', revision: 1, loss: 2, message }, first);
    expect(more.slots.REG).toEqual({ model: 'one', revision: 1, part: null, pose: null });
    const less = withWayOut({ do: 'leave out', parts: ['GPS'], loss: 6, message }, first);
    expect([Object.keys(less.slots).includes('GPS'), wish(less, 'positioning GPS'), less.dormant]).toEqual([
      false,
      undefined,
      [],
    ]);
    expect(withWayOut({ do: 'cells', cells: [4, 4], loss: 3, message }, first).cells).toEqual([4, 4]);
  });
});
