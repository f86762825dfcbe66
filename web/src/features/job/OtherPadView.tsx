/** The ring walks to where the wire really went; Enter records it there, whatever was planned. */
import type { Act, Side, TerminalRef } from '@junctor/core';
import { landedOn, padWords, printed, splitJoint, splitRef, terminalOf, wireWords } from '@junctor/core';
import { useRef } from 'react';
import { padTowards } from '../../drawing/view';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { useKeys } from '../../ui/useKeys';
import { handsFor } from './hands';
import { JobFrame } from './JobFrame';
import type { Mode, SetMode } from './mode';
import { work } from './mode';
import type { Bench } from './useBench';
import { sideFor } from './boardHand';

type OtherPad = Extract<Mode, { is: 'other pad' }>;

export function OtherPadView({ bench, mode, setMode }: { bench: Bench; mode: OtherPad; setMode: SetMode }) {
  const { target, current } = bench.state;
  const typed = useRef({ text: '', at: 0 });
  const { slot, terminal } = splitRef(mode.ref);
  const model = target.model(slot)!;
  const side = sideFor(model, [terminal], mode.flipped);
  const go = (ref: TerminalRef, flipped = false) => setMode({ is: 'other pad', ref, flipped });
  const walk = (direction: 'left' | 'right' | 'up' | 'down') => {
    const next = padTowards(model, side, terminalOf(model, terminal)!, direction);
    if (next) go(`${slot}.${next.id}`, mode.flipped && next.sides.length > 1);
  };
  const turnOver = () => {
    const over: Side = side === 'top' ? 'bottom' : 'top';
    const there =
      model.terminals.find(({ id, sides }) => id === terminal && sides.includes(over)) ??
      model.terminals.find(({ sides, form }) => sides.includes(over) && form !== 'tail');
    if (there) go(`${slot}.${there.id}`, there.sides.length > 1 && over === 'bottom');
  };
  useKeys(
    [...'abcdefghijklmnopqrstuvwxyz0123456789'].map((key) => ({
      key,
      act: () => {
        const now = performance.now();
        const text = (now - typed.current.at < 1200 ? typed.current.text : '') + key;
        typed.current = { text, at: now };
        const found =
          model.terminals.find((terminal) => terminal.printed.toLowerCase() === text) ??
          model.terminals.find((terminal) => terminal.printed.toLowerCase().startsWith(text));
        if (found) go(`${slot}.${found.id}`, found.sides.length > 1 && mode.flipped);
      },
    })),
  );
  const joint = current && 'subject' in current ? splitJoint(current.subject) : null;
  const wire = joint && target.build.wires[joint.wire];
  if (!current || !('effect' in current) || !joint || !wire) {
    return null;
  }
  const planned = landedOn(wire.ends[joint.end]);
  const take = () => {
    const landed = current.effect.map((act): Act =>
      act.do === 'land' ? { ...act, as: { ...act.as, at: { on: 'terminal', ref: mode.ref } } } : act,
    );
    bench.record(landed, current.id);
    setMode(work);
  };
  const holds = target.terminal(mode.ref)!.holds;
  const answers: Answer[] = [
    { key: 'Escape', label: 'As planned', act: () => setMode(work) },
    { key: 'ArrowLeft', label: 'Left', hidden: true, act: () => walk('left') },
    { key: 'ArrowRight', label: 'Right', hidden: true, act: () => walk('right') },
    { key: 'ArrowUp', label: 'Up', hidden: true, act: () => walk('up') },
    { key: 'ArrowDown', label: 'Down', hidden: true, act: () => walk('down') },
    { key: '/', label: 'Flip the board', act: turnOver },
    {
      key: 'Enter',
      main: true,
      act: take,
      blocked: holds === 0 ? 'Nothing can be soldered there' : null,
      label: mode.ref === planned ? `Done: on ${printed(mode.ref, target)}` : `It is on ${printed(mode.ref, target)}`,
    },
  ];
  return (
    <JobFrame
      bench={bench}
      shown={current}
      answers={answers}
      {...handsFor(bench, current, { ringAt: mode.ref, flipped: mode.flipped, onPick: (ref) => go(ref) })}
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
            <dd>{padWords(mode.ref, target)}</dd>
          </Fact>
        </>
      }
    />
  );
}
