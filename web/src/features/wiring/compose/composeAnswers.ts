/** The keys of Compose, in the order of its row. */
import type { Composed, WayOut } from '@junctor/core';
import type { Answer } from '../../../ui/Answers';
import type { HeapLine } from './heapLines';
import { slotsNamed } from './heapLines';
import type { Composing } from './useComposer';

interface Keys {
  composing: Composing;
  line: HeapLine | null;
  unknown: string;
  isFinding: boolean;
  ways: readonly WayOut[];
  /** Why its plan cannot be asked for or taken; null when it can. */
  blocked: string | null;
  act: {
    leave: () => void;
    cancel: () => void;
    walk: (by: 1 | -1) => void;
    more: () => void;
    instead: (line: HeapLine) => void;
    out: (line: HeapLine) => void;
    cells: (by: 1 | -1) => void;
    wishes: () => void;
    drawUp: () => void;
    take: (way: WayOut) => void;
    askNow: () => void;
    plan: (made: Extract<Composed, { is: 'composed' }>) => void;
    closeFinding: () => void;
  };
}

export function composeAnswers({ composing, line, unknown, isFinding, ways, blocked, act }: Keys): Answer[] {
  const isRunning = composing.is === 'running';
  const made = composing.is === 'answered' && composing.made.is === 'composed' ? composing.made : null;
  const nothing = line ? null : 'nothing lies there';
  const escape = (): Answer => {
    if (isFinding) return { key: 'Escape', label: 'To the heap', act: act.closeFinding };
    if (isRunning) return { key: 'Escape', label: 'Stop', act: act.cancel };
    return { key: 'Escape', label: 'Leave', act: act.leave };
  };
  return [
    escape(),
    { key: 'a', label: 'Put on', act: act.more },
    {
      key: '8',
      label: line ? `Another for ${slotsNamed(line.slots)}` : 'Another',
      act: () => line && act.instead(line),
      blocked: nothing,
    },
    {
      key: '0',
      also: ['Delete'],
      label: line ? `Without ${slotsNamed(line.slots)}` : 'Without it',
      act: () => line && act.out(line),
      blocked: nothing,
    },
    { key: 'w', label: 'Wishes', act: act.wishes, blocked: nothing },
    {
      key: 'n',
      label: unknown ? `Draw up ${unknown}` : 'In no catalogue: draw it up',
      act: act.drawUp,
      hidden: !unknown,
    },
    { key: '+', label: 'One cell more', act: () => act.cells(1), hidden: true },
    { key: '-', label: 'One cell less', act: () => act.cells(-1), hidden: true },
    { key: 'ArrowUp', label: 'Line before', hidden: true, act: () => act.walk(-1) },
    { key: 'ArrowDown', label: 'Line after', hidden: true, act: () => act.walk(1) },
    ...ways.map((way, index): Answer => ({
      key: String(index + 1),
      label: way.message,
      hidden: true,
      act: () => act.take(way),
    })),
    made
      ? { key: 'Enter', label: 'Take this plan', main: true, act: () => act.plan(made), blocked }
      : {
          key: 'Enter',
          label: 'Put it together',
          main: true,
          act: act.askNow,
          blocked: isRunning ? 'it is being put together' : blocked,
        },
  ];
}
