/** A wire was cut otherwise than planned: the plan takes what the rule says, and the difference is kept. */
import { isAttached, jointName, lengthDoubt, lengthNote, wireWords } from '@junctor/core';
import { useParams } from 'react-router';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { NotHere } from '../../../bench/frame/NotHere';
import { jointHands } from '../../../bench/hands/jointHands';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { usePlanEdits } from '../../../bench/provider/usePlanEdits';
import { Fact } from '../../../ui/Frame';
import { Typed, usePrompts } from '../prompts/Prompts';

export function LengthPage() {
  const { wire: id } = useParams();
  const { state } = useBench();
  const isCut = Object.hasOwn(state.target.build.wires, id!) && state.target.build.wires[id!]!.from === 'stock';
  if (!isCut)
    return <NotHere what="No wire of this name is cut here" why="The plan has changed, or it came with its part." />;
  const made = Object.hasOwn(state.asBuilt.build.wires, id!) ? state.asBuilt.build.wires[id!] : undefined;
  if (made?.ends.some(isAttached))
    return <NotHere what="It is on already" why="A wire that is on is as long as it is: take it off to cut another." />;
  return <Measuring id={id!} />;
}

function Measuring({ id }: { id: string }) {
  const bench = useBench();
  const doors = useDoors();
  const edits = usePlanEdits(bench);
  const { target, current } = bench.state;
  const wire = target.build.wires[id]!;
  const words = wireWords(wire, target);
  const state = usePrompts(
    [
      {
        id: 'mm',
        asks: `How long is ${words} cut`,
        hint: 'From end to end, before it is stripped.',
        unit: 'mm',
        possible: [5, 3000],
        doubt: (mm) => lengthDoubt(target, wire, mm, bench.job.plan.schools),
      },
    ],
    ({ mm }) => {
      const before = bench.job.plan.target.wires[id]!;
      const after = { ...before, lengthMm: Number(mm) };
      edits.make([{ path: `wires/${id}`, before, after }], () => {
        bench.record([lengthNote(before, Number(mm))], current?.id ?? null);
        doors.leave(doors.places.now);
      });
    },
  );
  return (
    <JobFrame
      place="Bench"
      shown={current}
      answers={[{ key: 'Escape', label: 'Bench', act: () => doors.leave(doors.places.now) }, ...state.answers]}
      sentence={<strong>How long is {words} cut?</strong>}
      under={
        edits.failed ??
        state.problem ??
        'What the rule says takes the place of what was planned; the difference is kept.'
      }
      left={jointHands(bench, jointName(id, wire.ends[0].at.on === 'terminal' ? 0 : 1), {}).left}
      crossing={
        <Fact>
          <dt>planned</dt>
          <dd>{wire.lengthMm === null ? 'not said' : `${wire.lengthMm} mm`}</dd>
        </Fact>
      }
      right={{ title: 'what the rule says', note: 'type it, then Enter', body: <Typed state={state} /> }}
    />
  );
}
