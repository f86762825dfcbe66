/** The ring walks to where the wire really went; Enter records it there, whatever was planned. */
import type { Act, Side, StepOf, TerminalRef } from '@junctor/core';
import { landedOn, padWords, printed, splitJoint, splitRef, terminalOf, wireWords } from '@junctor/core';
import { useRef, useState } from 'react';
import { useParams } from 'react-router';
import { JobFrame } from '../../../bench/frame/JobFrame';
import { NotHere } from '../../../bench/frame/NotHere';
import { terminalNamed } from '../../../bench/frame/terminalNamed';
import { sideFor } from '../../../drawing/Board';
import { jointHands } from '../../../bench/hands/jointHands';
import { useBench } from '../../../bench/provider/useBench';
import { useDoors } from '../../../bench/provider/useDoors';
import { padTowards } from '../../../drawing/view';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';
import { useKeys } from '../../../ui/useKeys';

/** Letters typed within this belong to one name. */
const typingMs = 1200;

export function OtherPad() {
  const { joint, pad } = useParams();
  const { state } = useBench();
  const step = state.steps.find((step): step is StepOf<'land'> => step.verb === 'land' && step.subject === joint);
  if (!step || step.id !== state.current?.id)
    return <NotHere what="That joint is not in hand now" why="It is made already, or its turn has not come." />;
  const ref = terminalNamed(pad, state.target);
  if (!ref) return <NotHere what="There is no such pad" why={`“${pad}” is on no part of this quad.`} />;
  return <WalkingRing step={step} first={ref} />;
}

function WalkingRing({ step, first }: { step: StepOf<'land'>; first: TerminalRef }) {
  const bench = useBench();
  const { places, walk: walkTo, close, leave } = useDoors();
  const { target } = bench.state;
  // The address follows the ring, so that a reload finds it; the ring waits for nothing.
  const [at, setAt] = useState(first);
  const [turned, setTurned] = useState(false);
  const typed = useRef({ text: '', at: 0 });
  const { slot, terminal } = splitRef(at);
  const model = target.model(slot)!;
  const side = sideFor(model, [terminal], turned);
  const { wire: id, end } = splitJoint(step.subject)!;
  const wire = target.build.wires[id]!;
  const planned = landedOn(wire.ends[end]);
  const goTo = (ref: TerminalRef, flipped = false) => {
    setTurned(flipped);
    setAt(ref);
    walkTo(places.otherPad(step.subject, ref));
  };
  const go = (pad: string, flipped?: boolean) => goTo(`${slot}.${pad}`, flipped);
  const walk = (direction: 'left' | 'right' | 'up' | 'down') => {
    const next = padTowards(model, side, terminalOf(model, terminal)!, direction);
    if (next) go(next.id, turned && next.sides.length > 1);
  };
  const turnOver = () => {
    const over: Side = side === 'top' ? 'bottom' : 'top';
    const there =
      model.terminals.find(({ id: pad, sides }) => pad === terminal && sides.includes(over)) ??
      model.terminals.find(({ sides, form }) => sides.includes(over) && form !== 'tail');
    if (there) go(there.id, there.sides.length > 1 && over === 'bottom');
  };
  const find = (key: string) => {
    const now = performance.now();
    const text = (now - typed.current.at < typingMs ? typed.current.text : '') + key;
    typed.current = { text, at: now };
    const isNamed = (name: string) => name.toLowerCase() === text;
    const found =
      model.terminals.find(({ printed: print }) => isNamed(print)) ??
      model.terminals.find(({ printed: print }) => print.toLowerCase().startsWith(text));
    if (found) go(found.id, found.sides.length > 1 && turned);
  };
  useKeys([...'abcdefghijklmnopqrstuvwxyz0123456789'].map((key) => ({ key, act: () => find(key) })));
  const take = () => {
    const landed = step.effect.map((act): Act =>
      act.do === 'land' ? { ...act, as: { ...act.as, at: { on: 'terminal', ref: at } } } : act,
    );
    bench.record(landed, step.id);
    leave();
  };
  const answers: Answer[] = [
    { key: 'Escape', label: 'As planned', act: () => close() },
    { key: 'ArrowLeft', label: 'Left', hidden: true, act: () => walk('left') },
    { key: 'ArrowRight', label: 'Right', hidden: true, act: () => walk('right') },
    { key: 'ArrowUp', label: 'Up', hidden: true, act: () => walk('up') },
    { key: 'ArrowDown', label: 'Down', hidden: true, act: () => walk('down') },
    { key: '/', label: 'Flip the board', act: turnOver },
    {
      key: 'Enter',
      main: true,
      act: take,
      blocked: target.terminal(at)!.holds === 0 ? 'Nothing can be soldered there' : null,
      label: at === planned ? `Done: on ${printed(at, target)}` : `It is on ${printed(at, target)}`,
    },
  ];
  return (
    <JobFrame
      place="Other pad"
      shown={step}
      answers={answers}
      {...jointHands(bench, step.subject, {
        ringAt: at,
        flipped: turned,
        onPick: (ref) => goTo(ref),
      })}
      sentence={
        <>
          Where did <strong>{wireWords(wire, target)}</strong> really go?
        </>
      }
      under="Arrows walk to the nearest pad, letters find it by its print. Enter records the pad in the ring."
      crossing={
        <>
          <Fact>
            <dt>planned</dt>
            <dd className="long">{planned ? padWords(planned, target) : ''}</dd>
          </Fact>
          <Fact>
            <dt>ring on</dt>
            <dd>{padWords(at, target)}</dd>
          </Fact>
        </>
      }
    />
  );
}
