/** The planner: wishes in the left hand, the wiring that serves them in the right, and what it costs between them. */
import type { Conflict, Planned } from '@junctor/core';
import { wiresBegun, planChangesTo, assemble, capital, withWayOut } from '@junctor/core';
import { useState } from 'react';
import { useChangePlan } from '../../api/queries';
import type { Answer } from '../../ui/Answers';
import { JobFrame } from '../../bench/frame/JobFrame';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';
import { Cost, Outcome, Ways } from './PlannerOutcome';
import type { Question, Row } from './question';
import { firstQuestion, rowsOf, variedWays } from './question';
import { rowAnswers } from './rowAnswers';
import { usePlanner } from './usePlanner';
import { useRivals } from './useRivals';
import { Rows, heldWords } from './PlannerRows';

export function PlannerPage() {
  const bench = useBench();
  const doors = useDoors();
  const {
    catalogue,
    state: { asBuilt, current },
    job: { id: jobId, plan },
  } = bench;
  const change = useChangePlan(jobId);
  const planner = usePlanner();
  const rivals = useRivals(assemble(plan.target, catalogue));
  const [question, setQuestion] = useState(() => firstQuestion(plan, asBuilt));
  const [at, setAt] = useState(0);
  const { state } = planner;
  const rows = rowsOf(question, assemble(asBuilt.build, rivals.all ?? catalogue));
  const row = rows[Math.min(at, rows.length - 1)] ?? null;
  const result = state.is === 'answered' ? state.result : null;
  const planned = result?.is === 'planned' ? result : null;
  const ways = state.is === 'answered' && state.result.is === 'conflict' ? variedWays(state.ways ?? []) : [];
  const edit = (next: Question) => {
    setQuestion(next);
    planner.forget();
  };
  const ask = ({ slots, wishes, pinned, dormant, cells }: Question) =>
    planner.ask({
      slots,
      wishes,
      pinned,
      dormant: dormant.map(({ slot }) => slot),
      models: (rivals.all ?? catalogue).models,
      cells,
      keep: wiresBegun(asBuilt.build, plan.target),
      built: asBuilt.build,
      ...(rivals.inStores ? { inStores: rivals.inStores } : {}),
    });
  const take = (made: Planned) =>
    change.mutate(
      {
        version: plan.version,
        changes: planChangesTo(plan, {
          target: made.target,
          links: made.links,
          wishes: question.wishes,
          pinned: question.pinned,
          cells: question.cells,
        }),
      },
      { onSuccess: () => doors.leave(doors.places.wiring()) },
    );
  const wayOut = (index: number) => {
    const way = ways[index];
    if (!way) return;
    setQuestion(withWayOut(way, question));
    ask(withWayOut(way, question));
  };
  const answers: Answer[] = [
    state.is === 'running'
      ? { key: 'Escape', label: 'Cancel', act: planner.cancel }
      : { key: 'Escape', label: 'Wiring', act: () => doors.close(doors.places.wiring()) },
    {
      key: 'ArrowUp',
      also: ['-'],
      label: 'Line before',
      hidden: true,
      act: () => setAt((at - 1 + rows.length) % rows.length),
    },
    { key: 'ArrowDown', also: ['+'], label: 'Line after', hidden: true, act: () => setAt((at + 1) % rows.length) },
    ...(ways.length > 0
      ? ways.map(({ message }, index): Answer => ({
          key: String(index + 1),
          label: message,
          hidden: true,
          act: () => wayOut(index),
        }))
      : rowAnswers(row, question, edit, { planned, alternatives: planner.alternatives })),
    { key: 'p', label: 'Parts', act: () => doors.open(doors.places.compose()) },
    planned
      ? {
          key: 'Enter',
          label: 'Take this plan',
          main: true,
          act: () => take(planned),
          blocked: change.isPending ? 'changing' : null,
        }
      : {
          key: 'Enter',
          label: 'Plan the wiring',
          main: true,
          act: () => ask(question),
          blocked: state.is === 'running' ? 'planning' : null,
        },
  ];
  const reason = row?.is === 'wish' && state.is === 'answered' ? `${row.id}: ${state.reasons[row.id] ?? ''}` : '';
  const bodyOf = () => {
    if (planned && state.is === 'answered' && state.made)
      return <Outcome planned={planned} made={state.made} why={reason} more={state.alternatives} />;
    if (result?.is === 'conflict')
      return (
        <Ways
          messages={ways.map(({ message, loss }) => `${message}${loss > 0 ? `, loses ${loss}` : ''}`)}
          onTake={wayOut}
          waiting={state.is === 'answered' && state.ways === null}
        />
      );
    return null;
  };
  const noteOf = () => {
    if (planned) return 'beside what is built now';
    if (result?.is === 'conflict') return 'each was tried; of each kind the cheapest first';
    return 'nothing planned yet';
  };
  const titleOf = () => {
    if (planned) return 'the wiring that serves it';
    if (result?.is === 'conflict') return 'ways out';
    return 'the wiring';
  };
  const underOf = () => {
    if (change.error) return `The plan was not changed: ${change.error.message}`;
    if (state.is === 'failed') return `The planner stopped: ${state.why}`;
    const keys = `Keys 1 to ${ways.length} take a way out and plan again.`;
    if (ways.length > 0)
      return result?.is === 'conflict' && result.wishes.length > 2 ? `${capital(result.why)}. ${keys}` : keys;
    return underLine(planned, row);
  };
  return (
    <JobFrame
      place="Planner"
      shown={current}
      answers={answers}
      sentence={sentence(state.is, planned, result?.is === 'conflict' ? result : null)}
      under={underOf()}
      left={{
        title: 'what is wanted',
        note: `${rows.length} lines, ↑ ↓ choose one`,
        body: (
          <Rows
            rows={rows}
            current={row}
            planned={planned}
            question={question}
            clash={result?.is === 'conflict' ? result.wishes : []}
          />
        ),
      }}
      crossing={
        <Cost
          planned={planned}
          made={state.is === 'answered' ? state.made : null}
          running={state.is === 'running' ? state : null}
        />
      }
      right={{
        title: titleOf(),
        note: noteOf(),
        body: bodyOf(),
      }}
    />
  );
}

function sentence(is: string, planned: Planned | null, conflict: Conflict | null): string {
  if (is === 'running') return 'Planning the wiring';
  if (conflict)
    return conflict.wishes.length > 2
      ? `${conflict.wishes.length} wishes cannot all be met`
      : `Not all of it can be: ${conflict.why}`;
  const dropped = planned?.wishes.filter(({ way }) => way === null).map(({ wish }) => wish.id) ?? [];
  if (planned)
    return dropped.length > 0
      ? `Served but for ${dropped.join(', ')}. Take this plan?`
      : 'Everything wanted is served. Take this plan?';
  return 'What is wanted of these parts?';
}

function underLine(planned: Planned | null, row: Row | null): string {
  if (planned)
    return 'Proven: no other wiring of these parts loses less, doubles fewer pads or takes less rework and wire.';
  if (!row) return 'These parts ask for nothing.';
  if (row.is === 'old')
    return row.kept
      ? `${row.name} stays where it is: unplugged, its wires insulated, still judged.`
      : `${row.name} comes off. Hard to reach? Leave it in, unused.`;
  if (row.is === 'held') return `${heldWords(row.pin)}: chosen by hand, and kept whatever is planned.`;
  if (row.is === 'unasked' && row.wish.purpose === 'second ground')
    return `${row.wish.id}, suggested: were the plug’s ground to part first, the charge would leave by signal pins.`;
  if (row.is === 'unasked') return `${row.wish.id} is not asked for. It could be served: ${row.wish.ways.join(', ')}.`;
  return `${row.id}: ${row.wish.must ? 'must be served' : `may be dropped, and then loses ${row.wish.lossIfDropped} of 10`}. Ways: ${row.wish.ways.join(', ')}.`;
}
