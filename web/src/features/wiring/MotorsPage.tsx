/**
 * Motors from above with the front marked: which output drives which corner, which way each turns, how the board lies.
 */
import { alignmentOf, alignmentWords, motorMap, tiltSigns, assemble } from '@junctor/core';
import { useState } from 'react';
import styled from 'styled-components';
import { FromAbove } from '../../drawing/FromAbove';
import { useChangePlan } from '../../api/queries';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { JobFrame } from '../../bench/frame/JobFrame';
import { useBench } from '../../bench/provider/useBench';
import { useDoors } from '../../bench/provider/useDoors';

const List = styled.ul`
  font-size: 18px;
  line-height: 25px;
  padding-top: 8px;
  li {
    padding: 4px 0;
    border-bottom: 1px solid ${({ theme }) => theme.edge};
  }
  li[aria-current='true'] {
    font-weight: 700;
  }
`;

export function MotorsPage() {
  const bench = useBench();
  const doors = useDoors();
  const { plan } = bench.job;
  const change = useChangePlan(bench.job.id);
  const [at, setAt] = useState(0);
  const reversed = plan.schools['turning senses'] === 'reversed';
  const motors = motorMap(assemble(plan.target, bench.catalogue), reversed ? 'reversed' : 'normal');
  const motor = motors[Math.min(at, motors.length - 1)] ?? null;
  const alignment = alignmentOf(assemble(plan.target, bench.catalogue));
  const crossed = motors.filter(({ output, corner }) => output !== null && output !== corner);
  const turn = () =>
    change.mutate({
      version: plan.version,
      changes: [
        {
          path: 'schools/turning senses',
          before: plan.schools['turning senses'] ?? null,
          after: reversed ? 'normal' : 'reversed',
        },
      ],
    });
  const answers: Answer[] = [
    { key: 'Escape', label: 'To the wiring', act: () => doors.close(doors.places.wiring()) },
    { key: 'ArrowUp', also: ['-'], label: 'Corner before', act: () => setAt((at - 1 + motors.length) % motors.length) },
    { key: 'ArrowDown', also: ['+'], label: 'Corner after', act: () => setAt((at + 1) % motors.length) },
    {
      key: 'Enter',
      label: reversed ? 'Plan normal turning' : 'Plan reversed turning',
      main: true,
      act: turn,
      blocked: change.isPending ? 'changing' : null,
    },
  ];
  return (
    <JobFrame
      place="Motors"
      shown={bench.state.current}
      answers={answers}
      sentence={
        motor ? (
          <>
            Corner {motor.corner}, <strong>{motor.where}</strong>, turns {motor.sense}
          </>
        ) : (
          'This build has no motors'
        )
      }
      under={
        crossed.length === 0
          ? 'Output and corner have the same number everywhere.'
          : `The software must be told: ${crossed.map(({ corner, output }) => `corner ${corner} is output ${output}`).join(', ')}.`
      }
      left={{
        title: 'from above',
        note: `to scale, leads as they run; turning senses ${reversed ? 'reversed' : 'normal'}`,
        body: <FromAbove motors={motors} current={motor} build={plan.target} catalogue={bench.catalogue} />,
      }}
      crossing={
        motor ? (
          <>
            <Fact>
              <dt>motor</dt>
              <dd>{motor.slot}</dd>
            </Fact>
            <Fact>
              <dt>output</dt>
              <dd>{motor.output ?? 'none'}</dd>
            </Fact>
            <Fact>
              <dt>ESC channel</dt>
              <dd className="long">
                {motor.channel ? `${motor.channel.slot}, channel ${motor.channel.index}` : 'none'}
              </dd>
            </Fact>
            <Fact>
              <dt>turns the wrong way?</dt>
              <dd className="long">swap two leads, or set the ESC</dd>
            </Fact>
          </>
        ) : null
      }
      right={{
        title: 'how the board lies',
        note: alignment ? `${alignment.slot}: ${alignmentWords(alignment)}` : 'no controller',
        body: alignment ? <Tilts signs={tiltSigns(alignment)} /> : null,
      }}
    />
  );
}

function Tilts({ signs }: { signs: ReturnType<typeof tiltSigns> }) {
  const word = ({ axis, polarity }: { axis: string; polarity: number }) => `${polarity > 0 ? '+' : '−'} ${axis}`;
  return (
    <List aria-label="Signs by tilting">
      <li>Tilt it by hand, on USB, propellers off:</li>
      {signs.map(({ tilt, board, wanted }) => (
        <li key={tilt}>
          {tilt}: <strong>{word(wanted)}</strong> must show
          {word(board) === word(wanted) ? '' : `; before the alignment is set it shows ${word(board)}`}
        </li>
      ))}
      <li>A wrong sign turns the aircraft over at take-off.</li>
    </List>
  );
}
