/** What a look found: which joint, what is wrong with it, and for a bridge between which pads. */
import type { StepOf } from '@junctor/core';
import {
  jointPlace,
  jointWords,
  landedOn,
  lookedAt,
  neighboursOf,
  padWords,
  splitJoint,
  splitRef,
  terminalRef,
} from '@junctor/core';
import { useState } from 'react';
import { JobFrame } from '../../../bench/frame/JobFrame';
import type { Hands } from '../../../bench/hands/hands';
import type { Bench } from '../../../bench/provider/bench';
import { useBench } from '../../../bench/provider/useBench';
import type { Answer } from '../../../ui/Answers';
import { Fact } from '../../../ui/Frame';

interface NotGoodProps {
  step: StepOf<'look'>;
  hands: Hands;
  onClose: () => void;
  onSaid: (of: string, defects: readonly string[]) => void;
}

const jointDefects = [
  'bridge',
  'not wetted',
  'peaked or dull',
  'bare wire past the pad',
  'pad lifted',
  'ball or whisker',
];
const plugDefects = ['bent pin', 'contact not home', 'wrong order', 'latch broken', 'dirt in it'];
/** As many as have a digit beside the one for more. */
const perPage = 7;

export function NotGood({ step, hands, onClose, onSaid }: NotGoodProps) {
  const bench = useBench();
  const { target } = bench.state;
  const subjects = lookedAt(step);
  const plug = step.about.kind === 'plug';
  const [of, setOf] = useState<string | null>(subjects.length === 1 ? subjects[0]! : null);
  const [bridging, setBridging] = useState(false);
  const [page, setPage] = useState(0);
  const pages = Math.ceil(subjects.length / perPage);
  const shown = subjects.slice(page * perPage, (page + 1) * perPage);
  const pads = of ? padsNear(bench, of) : [];
  const answersOf = (): Answer[] => {
    if (of === null)
      return [
        ...shown.map((subject, index): Answer => ({
          key: String(index + 1),
          label: plug ? subject.replace('.', ' ') : jointPlace(subject, target),
          act: () => setOf(subject),
        })),
        ...(pages > 1
          ? [{ key: '+', label: `More: ${page + 1} of ${pages}`, act: () => setPage((page + 1) % pages) }]
          : []),
      ];
    if (bridging)
      return [
        ...pads.slice(0, perPage).map((pad, index): Answer => ({
          key: String(index + 1),
          label: `to ${pad}`,
          act: () => onSaid(of, [`bridge to ${pad}`]),
        })),
        { key: '0', label: 'To something else', act: () => onSaid(of, ['bridge']) },
      ];
    return (plug ? plugDefects : jointDefects).map((defect, index): Answer => ({
      key: String(index + 1),
      label: defect,
      act: () => (defect === 'bridge' ? setBridging(true) : onSaid(of, [defect])),
    }));
  };
  const sentenceOf = () => {
    if (of === null) return 'Which one is not good?';
    if (bridging) return 'Between which pads is the bridge?';
    return plug ? 'What is wrong with the plug?' : `What is wrong with ${jointWords(of, target)}?`;
  };
  return (
    <JobFrame
      place="Look"
      shown={step}
      answers={[{ key: 'Escape', label: 'Close', act: onClose }, ...answersOf()]}
      {...hands}
      sentence={<strong>{sentenceOf()}</strong>}
      under="The others of the row are taken as good. Nothing is recorded until it is said."
      crossing={
        <Fact>
          <dt>of this row</dt>
          <dd>{subjects.length}</dd>
        </Fact>
      }
    />
  );
}

/** Pads so near to the joint's own that solder can bridge them, nearest first. */
function padsNear({ state: { target } }: Bench, joint: string): string[] {
  const parts = splitJoint(joint);
  const ref = parts && landedOn(target.build.wires[parts.wire]!.ends[parts.end]);
  if (!ref) return [];
  const { slot } = splitRef(ref);
  const model = target.model(slot);
  const terminal = target.terminal(ref);
  if (!model || !terminal) return [];
  return neighboursOf(model, terminal).map((near) => padWords(terminalRef(slot, near.terminal.id), target));
}
