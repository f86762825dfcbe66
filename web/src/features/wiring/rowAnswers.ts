/** What the keys do with the line of the planner that is in question. */
import type { Planned, Wish } from '@junctor/core';
import type { Answer } from '../../ui/Answers';
import type { Question, Row } from './question';
import { askedOrNot, changedWish, keptOrNot, nextLoss, pinnedPort, without } from './question';

export function rowAnswers(
  row: Row | null,
  question: Question,
  edit: (next: Question) => void,
  { planned, alternatives }: { planned: Planned | null; alternatives: (wish: Wish) => void },
): Answer[] {
  if (!row) return [];
  if (row.is === 'old')
    return [
      {
        key: '1',
        label: row.kept ? `Take ${row.slot} off` : `Leave ${row.slot} in, unused`,
        act: () => edit(keptOrNot(question, row.slot)),
      },
    ];
  if (row.is === 'held')
    return [
      { key: '1', label: 'Let it go', act: () => edit({ ...question, pinned: without(question.pinned, row.pin) }) },
    ];
  const { wish } = row;
  if (row.is === 'unasked') return [{ key: '1', label: 'Ask for it', act: () => edit(askedOrNot(question, wish)) }];
  const held = pinnedPort(question.pinned, wish);
  const before = planned ? null : 'Plan first';
  return [
    {
      key: '1',
      label: wish.must ? 'May be dropped' : 'Must be served',
      act: () => edit(changedWish(question, wish, { must: !wish.must })),
    },
    { key: '2', label: 'Other ports', blocked: before, act: () => alternatives(wish) },
    {
      key: '3',
      label: held ? 'Let its port go' : 'Hold its port',
      blocked: held ? null : before,
      act: () => edit({ ...question, pinned: togglePin(question.pinned, wish, planned) }),
    },
    {
      key: '4',
      label: `Matters ${nextLoss(wish.lossIfDropped)} of 10`,
      act: () => edit(changedWish(question, wish, { lossIfDropped: nextLoss(wish.lossIfDropped) })),
    },
    { key: '5', label: 'Not wanted', act: () => edit(askedOrNot(question, wish)) },
  ];
}

function togglePin(pinned: Question['pinned'], wish: Wish, planned: Planned | null) {
  const others = pinned.filter(({ what, of }) => what !== 'port' || of !== wish.id);
  const port = planned?.wishes.find((plannedWish) => plannedWish.wish.id === wish.id)?.port;
  return others.length < pinned.length || !port
    ? others
    : [...others, { what: 'port' as const, of: wish.id, value: port }];
}
