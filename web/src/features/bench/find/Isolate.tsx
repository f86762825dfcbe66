/** Halving: a plug pulled, a lead lifted, and each put back. Acts like any other, with their way back on the ledger. */
import type { Act } from '@junctor/core';
import { isAttached, jointName, jointWords, openPlugs, plugWords } from '@junctor/core';
import { useState } from 'react';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { BigLines } from '../../../ui/BigLines';
import type { FoundItem } from '../../../ui/Find';
import { Find } from '../../../ui/Find';
import { matching } from '../../../ui/matching';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { lifted } from './FindIt';
import { OwnWords } from './OwnWords';

interface Choice extends FoundItem {
  acts: readonly Act[];
  step: `${string}:${string}` | null;
}

const shownAtMost = 6;

export function Isolate() {
  const bench = useBench();
  const doors = useDoors();
  const [typed, setTyped] = useState('');
  const [last, setLast] = useState<string | null>(null);
  const [staying, setStaying] = useState<string | null>(null);
  const choices = choicesOf(bench);
  const isMeant = matching(typed);
  const found = choices.filter(({ name }) => isMeant(name));
  const take = (id: string) => {
    const choice = choices.find((one) => one.id === id);
    if (!choice) return;
    setTyped('');
    if (id.startsWith('stay:')) return setStaying(id.slice('stay:'.length));
    bench.record(choice.acts, choice.step);
    setLast(choice.name);
  };
  const answers: Answer[] = [
    { key: '1', label: 'Read anywhere', act: () => doors.walk(doors.places.readAnywhere) },
    { key: 'Escape', label: 'Back', act: () => doors.close(doors.places.find) },
  ];
  return (
    <JobFrame
      place="Unplug, lift, put back"
      shown={bench.state.current}
      answers={answers}
      sentence={<strong>Which plug is pulled, which lead lifted, which put back?</strong>}
      under="Pack and USB off, charge bled. Type a few letters; the arrows choose, Enter does it. Esc leaves the field."
      left={{
        title: 'what hangs on what',
        note: `${choices.length} plugs and leads`,
        body: (
          <Find
            label="Plug, part or pad"
            listLabel="Plugs and leads"
            items={found.slice(0, shownAtMost)}
            typed={typed}
            onType={setTyped}
            onTake={take}
            empty="Nothing is called that."
            autoFocus
          />
        ),
      }}
      crossing={
        <Fact>
          <dt>just now</dt>
          <dd className="long">{last ?? 'nothing yet'}</dd>
        </Fact>
      }
      right={
        staying === null
          ? {
              title: 'why this finds it',
              note: 'half of it at a time',
              body: (
                <BigLines
                  label="Why this finds it"
                  lines={[
                    'what still reads wrong is on this side of what you opened',
                    'plugs before leads: they cost nothing',
                    'a plug that stays open for good is said so, with the reason',
                  ]}
                />
              ),
            }
          : {
              title: `plug ${plugWords(staying, bench.state.target)}`,
              note: 'stays open on purpose',
              body: (
                <OwnWords
                  key={staying}
                  label="Why it stays open"
                  give="It stays open"
                  onGive={(reason) => {
                    bench.record([{ saw: 'stays open', mate: staying, reason }], null);
                    setStaying(null);
                  }}
                />
              ),
            }
      }
    />
  );
}

/** What is open comes first: its way back. */
function choicesOf(bench: Bench): Choice[] {
  const { state, job } = bench;
  const { asBuilt, target } = state;
  const open = openPlugs({ ...state, jobId: job.id });
  const back = [
    ...open.map(({ mate }): Choice => ({
      id: `back:${mate}`,
      name: `Push plug ${plugWords(mate, target)} home`,
      note: 'pulled here',
      acts: [{ do: 'mate', id: mate, mate: target.build.mates[mate]! }],
      step: `mate:${mate}`,
    })),
    ...lifted(bench).map((step): Choice => ({
      id: step.id,
      name: `Solder back ${jointWords(step.subject, target)}`,
      note: 'lifted here',
      acts: step.effect,
      step: step.id,
    })),
    ...open.flatMap(({ mate, stays }): Choice[] =>
      stays ? [] : [{ id: `stay:${mate}`, name: `Leave plug ${plugWords(mate, target)} open…`, acts: [], step: null }],
    ),
  ];
  const plugs = Object.keys(asBuilt.build.mates).map((id): Choice => ({
    id: `pull:${id}`,
    name: `Pull plug ${plugWords(id, asBuilt)}`,
    acts: [{ do: 'unmate', id }],
    step: null,
  }));
  const leads = Object.values(asBuilt.build.wires).flatMap((wire) =>
    ([0, 1] as const).flatMap((end): Choice[] =>
      wire.ends[end].by === 'solder' && isAttached(wire.ends[end])
        ? [
            {
              id: `lift:${jointName(wire.id, end)}`,
              name: `Lift ${jointWords(jointName(wire.id, end), asBuilt)}`,
              acts: [{ do: 'free', wire: wire.id, end, left: 'clean', now: 'bare' }],
              step: null,
            },
          ]
        : [],
    ),
  );
  return [...back, ...plugs, ...leads];
}
