/** A look or a picture of anything, at any time: kept like a look that was asked for. */
import type { Note } from '@junctor/core';
import { isAttached, jointName, jointWords, plugWords, slotTitle } from '@junctor/core';
import { useRef, useState } from 'react';
import { keepPicture } from '../../../files/picture';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { LookFor } from '../../../bench/hands/LookFor';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import type { Answer } from '../../../ui/Answers';
import { FileField } from '../../../ui/form';
import type { FoundItem } from '../../../ui/Find';
import { Find } from '../../../ui/Find';
import { matching } from '../../../ui/matching';
import { Fact } from '../../../ui/Frame';
import { OwnWords } from './OwnWords';

const shownAtMost = 6;

export function Seen() {
  const bench = useBench();
  const doors = useDoors();
  const [typed, setTyped] = useState('');
  const [of, setOf] = useState<FoundItem | null>(null);
  const [notGood, setNotGood] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const field = useRef<HTMLDivElement>(null);
  const isMeant = matching(typed);
  const found = thingsOf(bench).filter(({ name }) => isMeant(name));
  const keep = (note: Note, message: string) => {
    bench.record([note], null);
    setSaid(message);
    setOf(null);
    setNotGood(false);
    setTyped('');
  };
  const look = (grade: 'good' | 'redo', defects: readonly string[]) =>
    of &&
    keep({ saw: 'look', of: of.id, grade, defects }, `${of.name}: ${grade === 'good' ? 'good' : defects.join(', ')}`);
  const picture = async (file: File) => {
    const kept = await keepPicture(file);
    if ('problem' in kept) setSaid(`not kept: ${kept.problem}`);
    else if (of) keep({ saw: 'picture', of: of.name, blob: kept.id }, `picture of ${of.name}`);
  };
  const back: Answer = {
    key: 'Escape',
    label: 'Back',
    act: () => (of ? setOf(null) : doors.close(doors.places.find)),
  };
  const answers: Answer[] = of
    ? [
        back,
        { key: '2', label: 'Not good…', act: () => setNotGood(true) },
        { key: 'k', label: 'A picture', act: () => field.current?.querySelector('input')?.click() },
        { key: 'Enter', label: 'It is good', main: true, act: () => look('good', []) },
      ]
    : [back];
  return (
    <JobFrame
      place="Look, picture"
      shown={bench.state.current}
      answers={answers}
      sentence={<strong>{of ? `What do you see: ${of.name}?` : 'What do you look at?'}</strong>}
      under={of ? 'A joint that is not good is asked for rework.' : 'A part, a joint or a plug, by a few letters.'}
      left={{
        title: of ? of.name : 'parts, joints, plugs',
        note: 'as it is now',
        body: of ? (
          <div ref={field}>
            <FileField label="A picture of it" accept="image/*" onFile={(file) => void picture(file)} />
          </div>
        ) : (
          <Find
            label="Part, joint or plug"
            listLabel="What can be looked at"
            items={found.slice(0, shownAtMost)}
            typed={typed}
            onType={setTyped}
            onTake={(id) => setOf(thingsOf(bench).find((one) => one.id === id) ?? null)}
            empty="Nothing is called that."
            autoFocus
          />
        ),
      }}
      crossing={
        <Fact>
          <dt>just now</dt>
          <dd className="long">{said ?? 'nothing yet'}</dd>
        </Fact>
      }
      right={
        of && notGood
          ? {
              title: 'what is not good',
              note: of.name,
              body: <OwnWords key={of.id} label="What you see" give="Keep it" onGive={(saw) => look('redo', [saw])} />,
            }
          : { title: 'what to look for', note: 'with the magnifier, both sides', body: <LookFor /> }
      }
    />
  );
}

function thingsOf({ state: { asBuilt } }: Bench): FoundItem[] {
  const parts = Object.keys(asBuilt.build.slots).map((slot): FoundItem => ({
    id: slot,
    name: slotTitle(slot, asBuilt),
  }));
  const plugs = Object.keys(asBuilt.build.mates).map((id): FoundItem => ({
    id,
    name: `plug ${plugWords(id, asBuilt)}`,
  }));
  const joints = Object.values(asBuilt.build.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((end): FoundItem[] =>
      isAttached(wire.ends[end]) && wire.ends[end].by === 'solder'
        ? [{ id: jointName(wire.id, end), name: jointWords(jointName(wire.id, end), asBuilt) }]
        : [],
    ),
  );
  return [...parts, ...plugs, ...joints];
}
