/** What a reading anywhere amounts to: what was expected of what is there, what was read, the ways on. */
import type { Reading } from '@junctor/core';
import { betweenWords, expectedWords, heardWords, probeWords, siteWords } from '@junctor/core';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { probeHands } from '../../../bench/hands/probeHands';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { BigLines } from '../../../ui/BigLines';
import { Fact } from '../../../ui/Frame';

const shownAtMost = 6;

const verdictWords: Readonly<Record<Reading['verdict'], string>> = {
  pass: 'as a good one shows it',
  stop: 'no good one shows that',
  'look again': 'silent, contact not proven',
  'record only': 'kept: nothing known to compare it with',
};

export function ReadResult({ reading, onAgain }: { reading: Reading; onAgain: () => void }) {
  const bench = useBench();
  const doors = useDoors();
  const { asBuilt, short } = bench.state;
  const { touch, heard, expected, verdict } = reading;
  const words = `${probeWords(touch.black, asBuilt)} to ${probeWords(touch.red, asBuilt)}: ${heardWords(heard)}`;
  const { places } = doors;
  const between = verdict === 'stop' ? betweenWords(touch, asBuilt) : [];
  const on = expected.because.map((site) => siteWords(site, asBuilt));
  const where = (between.length > 0 ? between : on).slice(0, shownAtMost);
  return (
    <JobFrame
      place="Read anywhere"
      shown={bench.state.current}
      answers={[
        { key: '1', label: 'Read again', act: onAgain },
        { key: '2', label: 'Unplug, lift', act: () => doors.walk(places.isolate) },
        { key: '3', label: 'Replace a part', act: () => doors.walk(places.replace()) },
        { key: '*', also: ['p'], label: 'Log a fault', act: () => doors.open(places.fault(words)) },
        { key: 'Enter', also: ['Escape'], label: 'Back to finding', main: true, act: () => doors.leave(places.find) },
      ]}
      left={probeHands(bench, touch).left}
      right={{
        title: between.length > 0 ? 'what hangs between them' : 'what lies on the way',
        note: between.length > 0 ? 'one of these, or a bridge' : 'a place of these would change it',
        body: <BigLines label="Where it can come from" lines={where} />,
      }}
      sentence={<strong>{words}</strong>}
      under={
        short ? (
          <strong role="alert">Short between + and −. No battery until the main leads have been read good.</strong>
        ) : (
          `Kept: ${verdictWords[verdict]}.`
        )
      }
      crossing={
        <>
          <Fact>
            <dt>expected</dt>
            <dd className="long">{expected.from === 'none' ? 'not known' : expectedWords(expected)}</dd>
          </Fact>
          <Fact>
            <dt>so it is</dt>
            <dd className="long">{verdictWords[verdict]}</dd>
          </Fact>
        </>
      }
    />
  );
}
