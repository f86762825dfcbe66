/** See all: one board with every wire of it, old and new on one drawing, filtered by rail, signal or what changes. */
import type { BoardWire, Side } from '@junctor/core';
import { capital, boardsOf, boardWires, netlist, padWords, slotTitle, terminalOf, terminalWords } from '@junctor/core';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { terminalMarks } from '../../drawing/marks';
import { WholeBoard } from '../../drawing/WholeBoard';
import type { Answer } from '../../ui/Answers';
import { JobFrame } from '../../bench/frame/JobFrame';
import { NotHere } from '../../bench/frame/NotHere';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';
import { upright } from '../../ui/theme';
import { useMatches } from '../../ui/useMatches';
import { kindOf } from './wireKind';

const filters = [
  ['all', 'All'],
  ['rails', 'Rails'],
  ['signals', 'Signals'],
  ['changes', 'Changes'],
] as const;
type Filter = (typeof filters)[number][0];

export function WholeBoardPage() {
  const { slot } = useParams();
  const { state } = useBench();
  const doors = useDoors();
  const isTall = useMatches(upright);
  const boards = useMemo(() => boardsOf(state), [state]);
  const marks = useMemo(() => terminalMarks(state), [state]);
  // Without a name the first board is shown.
  const at = Math.max(
    0,
    boards.findIndex((candidate) => candidate.slot === slot),
  );
  const [filter, setFilter] = useState<Filter>('all');
  const [side, setSide] = useState<Side>('top');
  const [chosen, setChosen] = useState(0);
  const board = boards[at];
  const all = useMemo(() => (board ? boardWires(board, state) : []), [board, state]);
  const nets = board ? netlist(state[board.from]) : null;
  if (slot && boards.length > 0 && boards[at]!.slot !== slot)
    return <NotHere what="No such board is wired here" why={`“${slot}” is no board of this quad.`} />;
  if (!board || !nets)
    return (
      <JobFrame
        place="See all"
        shown={state.current}
        answers={[{ key: 'Escape', label: 'To the wiring', act: () => doors.close(doors.places.wiring()) }]}
        sentence="Nothing is wired to a board"
        under=""
        both={{ title: 'no board', note: '', body: null }}
      />
    );
  const here = state[board.from];
  const model = here.model(board.slot)!;
  const onSide = all.filter(({ terminal }) => terminalOf(model, terminal)!.sides.includes(side));
  const wires = onSide.filter((boardWire) =>
    matches(filter, boardWire, () => kindOf(nets.netOf(`${board.slot}.${boardWire.terminal}`), here)),
  );
  const now = wires[Math.min(chosen, wires.length - 1)] ?? null;
  const go = (to: number) => {
    doors.walk(doors.places.board(boards[(to + boards.length) % boards.length]!.slot));
    setSide('top');
    setChosen(0);
  };
  const otherBuild = (boardWire: BoardWire) => {
    if (boardWire.becomes === 'comes off') return state.start;
    if (boardWire.becomes === 'differs') return state.asBuilt;
    return state.target;
  };
  const say = (boardWire: BoardWire) =>
    `${padWords(`${board.slot}.${boardWire.terminal}`, here)} ${boardWire.other ? `to ${terminalWords(boardWire.other, otherBuild(boardWire))}` : 'in the air'}: ${becomesWords(boardWire)}`;
  const answers: Answer[] = [
    { key: 'Escape', label: 'Wiring', act: () => doors.close(doors.places.wiring()) },
    { key: '-', label: 'Before', act: () => go(at - 1) },
    { key: '+', label: 'Next', act: () => go(at + 1) },
    { key: '9', also: ['f'], label: 'Flip', act: () => setSide(side === 'top' ? 'bottom' : 'top') },
    {
      key: 'ArrowUp',
      label: 'Wire before',
      hidden: true,
      act: () => setChosen(Math.max(0, Math.min(chosen, wires.length - 1) - 1)),
    },
    {
      key: 'ArrowDown',
      label: 'Wire after',
      hidden: true,
      act: () => setChosen(Math.min(wires.length - 1, chosen + 1)),
    },
    ...filters.map(([name, label], index): Answer => ({
      key: String(index + 1),
      label: filter === name ? `● ${label}` : label,
      act: () => setFilter(name),
    })),
    {
      key: 'Enter',
      label: now ? 'Walk from this wire' : 'No wire',
      main: true,
      blocked: now ? null : 'No wire here',
      act: () => now && doors.leave(doors.places.wiring(now.joint)),
    },
  ];
  const under = all.length - onSide.length;
  const headlineOf = () => {
    if (now) return `${now.wire.colour} ${now.wire.awg} AWG: ${say(now)}`;
    if (filter === 'all') return 'Nothing on this side.';
    return 'Nothing of that kind on this side.';
  };
  return (
    <JobFrame
      place="See all"
      shown={state.current}
      answers={answers}
      sentence={
        <>
          <strong>{capital(slotTitle(board.slot, here))}</strong>: {count(all)}
        </>
      }
      under={headlineOf()}
      both={{
        title: `${slotTitle(board.slot, here)}${board.from === 'start' ? ', which comes off' : ''}`,
        note: `${model.name}, ${side === 'top' ? 'top side' : 'underside'}${under > 0 ? `; ${under} more on the other side` : ''}; board ${at + 1} of ${boards.length}, ↑ ↓ choose a wire`,
        body: (
          <WholeBoard
            slot={board.slot}
            model={model}
            side={side}
            marks={board.from === 'target' ? marks : new Map()}
            wires={wires}
            current={now?.joint ?? null}
            say={say}
            isTall={isTall}
            onPick={(boardWire) => setChosen(wires.indexOf(boardWire))}
          />
        ),
      }}
    />
  );
}

function matches(filter: Filter, { becomes }: BoardWire, kind: () => string): boolean {
  if (filter === 'all') return true;
  if (filter === 'changes') return becomes !== 'stays';
  return (kind() === 'signal') === (filter === 'signals');
}

function becomesWords({ becomes, done }: BoardWire): string {
  switch (becomes) {
    case 'stays':
      return done ? 'stays' : 'stays, but is off now';
    case 'comes off':
      return done ? 'is off' : 'comes off';
    case 'goes on':
      return done ? 'landed' : 'goes on';
    case 'differs':
      return '▲ found, not planned';
  }
}

/** "12 stay, 4 of 6 to take off, 9 of 9 to land". */
function count(wires: readonly BoardWire[]): string {
  const of = (becomes: BoardWire['becomes']) => wires.filter((wire) => wire.becomes === becomes);
  const left = (list: readonly BoardWire[]) => list.filter(({ done }) => !done).length;
  const [stay, off, on, odd] = [of('stays'), of('comes off'), of('goes on'), of('differs')];
  const parts = [
    stay.length > 0 ? `${stay.length} stay` : '',
    off.length > 0 ? `${left(off)} of ${off.length} to take off` : '',
    on.length > 0 ? `${left(on)} of ${on.length} to land` : '',
    odd.length > 0 ? `${odd.length} not as planned` : '',
  ].filter(Boolean);
  return parts.join(', ') || 'no wires';
}
