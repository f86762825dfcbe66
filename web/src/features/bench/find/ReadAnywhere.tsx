/**
 * A reading anywhere, at any time: two terminals, a mode, what the meter says. Judged where the core knows what to
 * expect of what is there now, else kept.
 */
import type { Expectation, Heard, Note, Reading, TerminalRef, Touch } from '@junctor/core';
import {
  anchorsFor,
  chargeBefore,
  coreVersion,
  isAcrossMains,
  judgeReading,
  mainLeads,
  possible,
  probeWords,
  soundsShorted,
  splitRef,
} from '@junctor/core';
import { useState } from 'react';
import { compute } from '../../../compute/compute';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { asBuiltBench } from '../../../bench/hands/hands';
import { placeHand } from '../../../bench/hands/partHands';
import type { Answer } from '../../../ui/Answers';
import { BigLines } from '../../../ui/BigLines';
import { Fact } from '../../../ui/Frame';
import type { FoundItem } from '../../../ui/Find';
import { Find } from '../../../ui/Find';
import { matching } from '../../../ui/matching';
import type { Prompt } from '../prompts/Prompts';
import { Typed, usePrompts } from '../prompts/Prompts';
import { lengthAnswers } from '../touch/lengthAnswers';
import { ShortField } from '../touch/ShortScreen';
import { ReadResult } from './ReadResult';

type Mode = Touch['mode'];

const modes: readonly { key: string; mode: Mode; power: Touch['power']; label: string }[] = [
  { key: '1', mode: 'tone', power: 'off', label: 'tone' },
  { key: '2', mode: 'ohms', power: 'off', label: 'ohms' },
  { key: '3', mode: 'diode', power: 'off', label: 'diode volts' },
  { key: '4', mode: 'volts', power: 'off', label: 'volts, nothing plugged in' },
  { key: '5', mode: 'volts', power: 'limited, all', label: 'volts, powered' },
];

export function ReadAnywhere() {
  const bench = useBench();
  const [black, setBlack] = useState<TerminalRef | null>(null);
  const [red, setRed] = useState<TerminalRef | null>(null);
  const [how, setHow] = useState<(typeof modes)[number] | null>(null);
  const [reading, setReading] = useState<Reading | null>(null);
  const again = () => {
    setBlack(null);
    setRed(null);
    setHow(null);
    setReading(null);
  };
  if (!black || !red) {
    const pick = (ref: TerminalRef) => (black ? setRed(ref) : setBlack(ref));
    return <PickTerminal key={black ?? 'black'} probe={black ? 'red' : 'black'} other={black} onPick={pick} />;
  }
  if (!how) return <PickMode black={black} red={red} onPick={setHow} onBack={again} />;
  const touch: Touch = { black, red, mode: how.mode, power: how.power };
  if (!reading) return <Answered key={touchKeyOf(touch)} touch={touch} onRead={setReading} />;
  if (soundsShorted(reading) && isAcrossMains(touch, bench.state.asBuilt))
    return <Shorted reading={reading} onAgain={again} />;
  return <ReadResult reading={reading} onAgain={again} />;
}

function touchKeyOf({ black, red, mode, power }: Touch): string {
  return `${black} ${red} ${mode} ${power}`;
}

/** The red field first; what was read, and the ways on, behind it. */
function Shorted({ reading, onAgain }: { reading: Reading; onAgain: () => void }) {
  const [seen, setSeen] = useState(false);
  return seen ? <ReadResult reading={reading} onAgain={onAgain} /> : <ShortField onFind={() => setSeen(true)} />;
}

const shownAtMost = 6;

function PickTerminal({
  probe,
  other,
  onPick,
}: {
  probe: 'black' | 'red';
  other: TerminalRef | null;
  onPick: (ref: TerminalRef) => void;
}) {
  const bench = useBench();
  const doors = useDoors();
  const [typed, setTyped] = useState('');
  const isMeant = matching(typed);
  const items = terminalsOf(bench).filter(({ id, name }) => id !== other && isMeant(name));
  const answers: Answer[] = [{ key: 'Escape', label: 'Back', act: () => doors.close(doors.places.find) }];
  return (
    <JobFrame
      place="Read anywhere"
      shown={bench.state.current}
      answers={answers}
      sentence={<strong>{probe === 'black' ? 'Black probe: on what?' : 'Red probe: on what?'}</strong>}
      under="Type part and print: “esc b3”, “bat +”. The arrows choose, Enter takes it. Esc leaves the field."
      left={{
        title: `${probe} probe`,
        note: other ? `black on ${probeWords(other, bench.state.asBuilt)}` : 'what there is now',
        body: (
          <Find
            label="Terminal"
            listLabel="Terminals"
            items={items.slice(0, shownAtMost)}
            typed={typed}
            onType={setTyped}
            onTake={(id) => onPick(id as TerminalRef)}
            empty="Nothing is called that."
            autoFocus
          />
        ),
      }}
      crossing={
        <Fact>
          <dt>terminals</dt>
          <dd>{items.length}</dd>
        </Fact>
      }
      right={
        other
          ? placeHand(asBuiltBench(bench), other, [splitRef(other).terminal])
          : {
              title: 'before any tone or ohms',
              note: 'pack and USB off',
              body: <BigLines label="Before" lines={before} />,
            }
      }
    />
  );
}

const before = [
  'bleed the main leads below 20 mV, below 2 mV for a few ohms',
  'never ohms on a powered rail',
  'a surprise is repeated before it is believed',
];

/** Main leads first, then part by part. */
function terminalsOf({ state: { asBuilt } }: Bench): FoundItem[] {
  const leads = mainLeads(asBuilt);
  const first = leads ? [leads.minus, leads.plus] : [];
  const all = Object.keys(asBuilt.build.slots).flatMap((slot) =>
    asBuilt.model(slot)!.terminals.map(({ id }): TerminalRef => `${slot}.${id}`),
  );
  return [...new Set([...first, ...all])].map((ref) => ({ id: ref, name: probeWords(ref, asBuilt) }));
}

function PickMode({
  black,
  red,
  onPick,
  onBack,
}: {
  black: TerminalRef;
  red: TerminalRef;
  onPick: (how: (typeof modes)[number]) => void;
  onBack: () => void;
}) {
  const { state } = useBench();
  const at = (ref: TerminalRef) => probeWords(ref, state.asBuilt);
  return (
    <JobFrame
      place="Read anywhere"
      shown={state.current}
      answers={[
        { key: 'Escape', label: 'Other places', act: onBack },
        ...modes.map((how): Answer => ({ key: how.key, label: how.label, act: () => onPick(how) })),
      ]}
      sentence={
        <>
          Black on <strong>{at(black)}</strong>, red on <strong>{at(red)}</strong>: how?
        </>
      }
      under="As the meter is set."
      both={{ title: 'the mode of the meter', note: 'by key', body: null }}
    />
  );
}

/** What is expected of what is there now, once it is known; nothing of a powered rail. */
async function expectationOf(bench: Bench, touch: Touch): Promise<Expectation> {
  const none: Expectation = { touch, from: 'none', passes: [], band: null, chargeAfterV: {}, because: [] };
  if (touch.power !== 'off') return none;
  const { chargeV, pauseS } = chargeBefore(bench.state.log, new Date().toISOString());
  const request = {
    models: bench.catalogue.models,
    build: bench.state.asBuilt.build,
    touch,
    meter: bench.meter,
    chargeV,
    pauseS,
  };
  return compute()
    .expectation(request)
    .catch(() => none);
}

function Answered({ touch, onRead }: { touch: Touch; onRead: (reading: Reading) => void }) {
  const bench = useBench();
  const { asBuilt, log } = bench.state;
  const keep = async (given: string) => {
    const expected = await expectationOf(bench, touch);
    const anchors = anchorsFor(touch, log, bench.job.id);
    const base = { heldMs: null, by: 'key' as const, wrong: 0.01, anchors };
    const heard: Heard =
      touch.mode === 'tone'
        ? { ...base, length: given as Heard['length'] & string }
        : { ...base, ...shown(given), unit: touch.mode === 'ohms' ? 'ohm' : 'V' };
    const verdict = judgeReading(expected, heard);
    const reading: Reading = { touch, meterId: bench.meter.id, heard, expected, verdict, coreVersion };
    const note: Note = { saw: 'reading', reading };
    bench.record([note], null);
    onRead(reading);
  };
  const asks = `Black on ${probeWords(touch.black, asBuilt)}, red on ${probeWords(touch.red, asBuilt)}`;
  const prompt: Prompt<'heard'> =
    touch.mode === 'tone'
      ? { id: 'heard', asks, hint: 'How long does it sound?', choices: lengthAnswers }
      : {
          id: 'heard',
          asks,
          hint: 'Hold until it settles.',
          unit: touch.mode === 'ohms' ? 'Ω' : 'V',
          possible: touch.mode === 'ohms' ? possible.ohms : possible.leadsV,
          ...(touch.mode === 'volts' ? {} : { open: 'no number: open' }),
        };
  const state = usePrompts([prompt], ({ heard }) => void keep(heard));
  return (
    <JobFrame
      place="Read anywhere"
      shown={bench.state.current}
      answers={[...state.answers]}
      sentence={<strong>{asks}</strong>}
      under={state.problem ?? prompt.hint}
      both={{
        title: touch.mode,
        note: 'what the meter shows',
        body: 'unit' in prompt ? <Typed state={state} /> : null,
      }}
    />
  );
}

/** A number, or that the meter shows none. */
function shown(given: string): Pick<Heard, 'value' | 'open'> {
  return given === 'open' ? { open: true } : { value: Number(given) };
}
