/** What is wanted of the parts on the heap: as they bring it with them, until somebody says otherwise. */
import type { Catalogue, Range } from '@junctor/core';
import { assemble } from '@junctor/core';
import { useState } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { useBench } from '../../../bench/provider/useBench';
import { Words } from '../../../ui/layout';
import { Rows } from '../PlannerRows';
import type { Question } from '../question';
import { rowsOf } from '../question';
import { rowAnswers } from '../rowAnswers';
import type { Heaped } from './useHeap';

interface WishesOfHeapProps {
  heaped: Heaped;
  catalogue: Catalogue;
  cells: Range;
  change: (edit: (now: Heaped) => Partial<Heaped>) => void;
  onDone: () => void;
}

export function WishesOfHeap({ heaped, catalogue, cells, change, onDone }: WishesOfHeapProps) {
  const { state } = useBench();
  const [at, setAt] = useState(0);
  const question: Question = { ...heaped, cells };
  const rows = rowsOf(question, assemble(state.asBuilt.build, catalogue));
  const row = rows[Math.min(at, rows.length - 1)] ?? null;
  const edit = ({ slots, wishes, pinned, dormant }: Question) => change(() => ({ slots, wishes, pinned, dormant }));
  // Ports are chosen when there is a plan.
  const answers = rowAnswers(row, question, edit, { planned: null, alternatives: () => undefined }).filter(
    ({ blocked }) => !blocked,
  );
  const walk = (by: 1 | -1) => () =>
    setAt((Math.min(at, rows.length - 1) + by + rows.length) % Math.max(1, rows.length));
  return (
    <JobFrame
      place="Compose"
      shown={state.current}
      answers={[
        { key: 'Escape', label: 'To the heap', act: onDone },
        { key: 'ArrowUp', label: 'Line before', hidden: true, act: walk(-1) },
        { key: 'ArrowDown', label: 'Line after', hidden: true, act: walk(1) },
        ...answers,
        { key: 'Enter', label: 'To the heap', main: true, act: onDone },
      ]}
      sentence="What is wanted of these parts?"
      under="What a part is for is wanted of it, unless you say otherwise."
      left={{
        title: 'what is wanted',
        note: `${rows.length} lines, ↑ ↓ choose one`,
        body: <Rows rows={rows} current={row} planned={null} question={question} clash={[]} />,
      }}
      crossing={null}
      right={{
        title: 'what a loss means',
        note: 'from 1 hardly missed to 10 the point of the aircraft',
        body: <Words>What must be served is never dropped. Of the rest the least is lost where not all can be.</Words>,
      }}
    />
  );
}
