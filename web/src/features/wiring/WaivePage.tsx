/**
 * May it stay as it is? What a rule says, where, and the reason why it is let stay: kept with the name of whoever says
 * so.
 */
import type { Finding, TerminalRef } from '@junctor/core';
import { splitRef, waiverObjection, whyRule } from '@junctor/core';
import { useState } from 'react';
import { useParams } from 'react-router';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { severityWord } from '../../bench/frame/FindingsLine';
import { NotHere } from '../../bench/frame/NotHere';
import { placeHand } from '../../bench/hands/partHands';
import { JobFrame } from '../../bench/frame/JobFrame';
import type { Bench } from '../../bench/provider/bench';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';
import { nameOf, useSaid } from './FindingHere';
import { Words } from '../../ui/layout';
import { OwnWords } from '../../ui/OwnWords';

const reasons: Readonly<Record<'stop' | 'warn', readonly string[]>> = {
  stop: ['Not used here', 'Another job sets it right', 'The customer wants it so'],
  warn: ['Measured: it works here', 'The customer wants it so', 'Only until the part comes'],
};

export function WaivePage() {
  const { finding } = useParams();
  const said = useSaid(useBench()).find((candidate) => candidate.finding.key === finding);
  return said ? (
    <Waiving finding={said.finding} waiver={said.waiver?.record.id ?? null} />
  ) : (
    <NotHere what="No rule says that any more" why="It was mended, or the plan has changed." />
  );
}

function Waiving({ finding, waiver }: { finding: Finding; waiver: string | null }) {
  const bench = useBench();
  const doors = useDoors();
  const [reason, setReason] = useState('');
  const { severity } = finding;
  const objection = waiverObjection(finding, bench.person.role);
  const back = () => doors.leave(doors.places.wiring(finding.wires[0] ?? null));
  const waive = () => {
    if (severity === 'kill') return;
    bench.record([{ saw: 'waiver', finding: finding.key, severity, reason: reason.trim() }], null);
    back();
  };
  const unwaive = () => {
    bench.record([{ saw: 'taken back', reason: 'it holds again' }], null, waiver!);
    back();
  };
  const offered = severity === 'kill' ? [] : reasons[severity];
  const answers: Answer[] = [
    { key: 'Escape', label: 'Leave it open', act: back },
    ...(waiver
      ? []
      : offered.map((offer, index): Answer => ({ key: String(index + 1), label: offer, act: () => setReason(offer) }))),
    waiver
      ? { key: 'Enter', label: 'Waive it no longer', main: true, act: unwaive }
      : {
          key: 'Enter',
          label: 'Waive it',
          main: true,
          act: waive,
          blocked: objection ?? (reason.trim().length < 3 ? 'Say why first' : null),
        },
  ];
  const [at] = finding.at;
  const bodyOf = () => {
    if (waiver) return <Words $large>{reasonOf(bench, waiver)}</Words>;
    if (objection) return null;
    return (
      <OwnWords
        label="Why, by key or in your own words"
        value={reason}
        onChange={setReason}
        onEnter={() => reason.trim().length >= 3 && waive()}
      />
    );
  };
  return (
    <JobFrame
      place="Finding"
      shown={bench.state.current}
      answers={answers}
      sentence={
        waiver ? (
          <>
            Waived by <strong>{nameOf(bench, waiver)}</strong>. Does that still hold?
          </>
        ) : (
          <strong>May this stay as it is?</strong>
        )
      }
      under={
        !waiver && objection ? (
          <strong role="alert">{objection}. The way out is a remedy, or the plan changed.</strong>
        ) : (
          'Whoever waives it is named with the reason: on the permit, in the quad book.'
        )
      }
      left={{
        ...(at ? placeHand(bench, at, ringsOf(finding.at, at)) : { note: '', body: null }),
        title: 'where it is',
      }}
      crossing={
        <>
          <Fact>
            <dt>{severityWord[severity]}</dt>
            <dd className="long">{finding.message}</dd>
          </Fact>
          <Fact>
            <dt>why the rule</dt>
            <dd className="long">{whyRule(finding.rule)}</dd>
          </Fact>
        </>
      }
      right={{
        title: 'why it may stay',
        note: waiver ? 'as it was said' : `said by ${bench.person.name}`,
        body: bodyOf(),
      }}
    />
  );
}

function ringsOf(all: readonly TerminalRef[], at: TerminalRef): string[] {
  return all.filter((ref) => splitRef(ref).slot === splitRef(at).slot).map((ref) => splitRef(ref).terminal);
}

function reasonOf(bench: Bench, recordId: string): string {
  const body = bench.records.find(({ id }) => id === recordId)?.body;
  return body && 'saw' in body && body.saw === 'waiver' ? body.reason : '';
}
