/** Which part is to be replaced: found by its name. */
import { slotTitle } from '@junctor/core';
import { useState } from 'react';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { BigLines } from '../../../ui/BigLines';
import { Fact } from '../../../ui/Frame';
import { Find } from '../../../ui/Find';

const shownAtMost = 6;

export function PickSlot() {
  const bench = useBench();
  const { places, walk, close } = useDoors();
  const { asBuilt, current } = bench.state;
  const [typed, setTyped] = useState('');
  const items = Object.keys(asBuilt.build.slots)
    .map((slot) => ({ id: slot, name: `${slot}, ${slotTitle(slot, asBuilt)}`, note: asBuilt.model(slot)!.name }))
    .filter(({ name, note }) => `${name} ${note}`.toLowerCase().includes(typed.trim().toLowerCase()));
  return (
    <JobFrame
      place="Replace a part"
      shown={current}
      answers={[{ key: 'Escape', label: 'Back', act: () => close(places.find) }]}
      sentence={<strong>Which part is to be replaced?</strong>}
      under="What hangs on it, what is read with it and what is proved again is said before anything is recorded."
      left={{
        title: 'what is in it',
        note: `${Object.keys(asBuilt.build.slots).length} parts`,
        body: (
          <Find
            label="Part"
            listLabel="Parts"
            items={items.slice(0, shownAtMost)}
            typed={typed}
            onType={setTyped}
            onTake={(slot) => walk(places.replace(slot))}
            empty="No part is called that."
            autoFocus
          />
        ),
      }}
      crossing={
        <Fact>
          <dt>parts</dt>
          <dd>{items.length}</dd>
        </Fact>
      }
      right={{
        title: 'parts that kill each other',
        note: 'before the new one is powered',
        body: (
          <BigLines
            label="Parts that kill each other"
            lines={[
              'an ESC with a dead switch burns the next motor, a burnt winding the next ESC',
              'the motors of a replaced ESC are read while their leads are off',
              'a new motor is first powered through the limiter',
            ]}
          />
        ),
      }}
    />
  );
}
