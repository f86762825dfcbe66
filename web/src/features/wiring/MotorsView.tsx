/** Motors from above with the front marked: which output drives which corner, which way each turns, how the board lies. */
import type { MotorPlace } from '@junctor/core';
import { alignmentOf, alignmentWords, motorMap, tiltSigns } from '@junctor/core';
import { useState } from 'react';
import styled, { useTheme } from 'styled-components';
import { useChangePlan } from '../../api/queries';
import type { Answer } from '../../ui/Answers';
import { Fact } from '../../ui/Frame';
import { JobFrame } from '../job/JobFrame';
import type { SetMode } from '../job/mode';
import type { Bench } from '../job/useBench';

const List = styled.ul`font-size: 18px; line-height: 25px; padding-top: 8px; li { padding: 4px 0; border-bottom: 1px solid ${({ theme }) => theme.edge}; } li[aria-current='true'] { font-weight: 700; }`;
const size = 400;

export function MotorsView({ bench, setMode }: { bench: Bench; setMode: SetMode }) {
  const { plan } = bench.job;
  const change = useChangePlan(bench.job.id);
  const [at, setAt] = useState(0);
  const reversed = plan.schools['turning senses'] === 'reversed';
  const motors = motorMap(plan.target, bench.catalogue, reversed ? 'reversed' : 'normal');
  const motor = motors[Math.min(at, motors.length - 1)] ?? null;
  const alignment = alignmentOf(plan.target, bench.catalogue);
  const crossed = motors.filter(({ output, corner }) => output !== null && output !== corner);
  const turn = () => change.mutate({ version: plan.version, changes: [{ path: 'schools/turning senses', before: plan.schools['turning senses'] ?? null, after: reversed ? 'normal' : 'reversed' }] });
  const answers: Answer[] = [
    { key: 'Escape', label: 'To the wiring', act: () => setMode({ is: 'wiring', wire: null }) },
    { key: 'ArrowUp', also: ['-'], label: 'Corner before', act: () => setAt((at - 1 + motors.length) % motors.length) },
    { key: 'ArrowDown', also: ['+'], label: 'Corner after', act: () => setAt((at + 1) % motors.length) },
    { key: 'Enter', label: reversed ? 'Plan normal turning' : 'Plan reversed turning', main: true, act: turn, blocked: change.isPending ? 'changing' : null },
  ];
  return (
    <JobFrame
      bench={bench} shown={bench.state.current} answers={answers}
      sentence={motor ? <>Corner {motor.corner}, <strong>{motor.where}</strong>, turns {motor.sense}</> : 'This build has no motors'}
      under={crossed.length === 0 ? 'Output and corner have the same number everywhere.' : `The software must be told: ${crossed.map(({ corner, output }) => `corner ${corner} is output ${output}`).join(', ')}.`}
      left={{ title: 'from above', note: `turning senses ${reversed ? 'reversed' : 'normal'}; the arrow is the front`, body: <FromAbove motors={motors} current={motor} /> }}
      crossing={motor ? (
        <>
          <Fact><dt>motor</dt><dd>{motor.slot}</dd></Fact>
          <Fact><dt>output</dt><dd>{motor.output ?? 'none'}</dd></Fact>
          <Fact><dt>ESC channel</dt><dd className="long">{motor.channel ? `${motor.channel.slot}, channel ${motor.channel.index}` : 'none'}</dd></Fact>
          <Fact><dt>turns the wrong way?</dt><dd className="long">swap two leads, or set the ESC</dd></Fact>
        </>
      ) : null}
      right={{ title: 'how the board lies', note: alignment ? `${alignment.slot}: ${alignmentWords(alignment)}` : 'no controller', body: alignment ? <Tilts signs={tiltSigns(alignment)} /> : null }}
    />
  );
}

function FromAbove({ motors, current }: { motors: readonly MotorPlace[]; current: MotorPlace | null }) {
  const theme = useTheme();
  const reach = Math.max(100, ...motors.map(({ atMm }) => (atMm ? Math.hypot(...atMm) : 0)));
  const px = (mm: number) => (mm / reach) * (size / 2 - 76);
  return (
    <svg viewBox={`0 0 ${size} ${size}`} width="100%" height="100%" role="img" aria-label={motors.map(({ corner, where, output, sense }) => `corner ${corner} ${where}, output ${output ?? 'none'}, ${sense}`).join('; ')}>
      <path d={`M${size / 2} 14l16 30h-32z`} fill={theme.ink} />
      <rect x={size / 2 - 26} y={size / 2 - 34} width={52} height={68} rx={5} fill={theme.board} stroke={theme.ink} strokeWidth={2} />
      {motors.filter(({ atMm }) => atMm).map((motor) => {
        const offset = motor.level === 'lower' ? 26 : 0;
        const [x, y] = [size / 2 + px(motor.atMm![0]), size / 2 - px(motor.atMm![1]) + offset];
        return (
          <g key={motor.slot} fill="none" stroke={theme.ink} strokeWidth={motor.level === 'lower' ? 1.5 : 2.5} strokeDasharray={motor.level === 'lower' ? '6 4' : undefined}>
            {motor.level === 'upper' && <path d={`M${size / 2} ${size / 2}L${x} ${y}`} strokeWidth={5} opacity={0.25} />}
            <circle cx={x} cy={y} r={30} fill={theme.paper} />
            <TurnMark x={x} y={y} clockwise={motor.sense === 'clockwise'} />
            {motor === current && <circle cx={x} cy={y} r={45} stroke={theme.bronze} strokeWidth={3} strokeDasharray="none" />}
            <text x={x} y={y + 7} textAnchor="middle" fontSize={20} fontWeight={700} fill={theme.ink} stroke="none">{motor.corner}</text>
            <text x={x} y={y + 62} textAnchor="middle" fontSize={15} fill={theme.ink} stroke="none">{motor.level === 'lower' ? '' : `output ${motor.output ?? '–'}`}</text>
          </g>
        );
      })}
    </svg>
  );
}

/** Three quarters of a circle with a head at its end. */
function TurnMark({ x, y, clockwise }: { x: number; y: number; clockwise: boolean }) {
  const r = 36;
  const [from, to] = clockwise ? [[-r, 0], [0, r]] : [[r, 0], [0, r]];
  const head = clockwise ? `M${x + 10} ${y + r - 9}L${x} ${y + r}L${x + 10} ${y + r + 7}` : `M${x - 10} ${y + r - 9}L${x} ${y + r}L${x - 10} ${y + r + 7}`;
  return <path d={`M${x + from![0]!} ${y + from![1]!}A${r} ${r} 0 1 ${clockwise ? 1 : 0} ${x + to![0]!} ${y + to![1]!}${head}`} strokeWidth={2.5} strokeDasharray="none" />;
}

function Tilts({ signs }: { signs: ReturnType<typeof tiltSigns> }) {
  const word = ({ axis, sign }: { axis: string; sign: number }) => `${sign > 0 ? '+' : '−'} ${axis}`;
  return (
    <List aria-label="Signs by tilting">
      <li>Tilt it by hand, on USB, propellers off:</li>
      {signs.map(({ tilt, board, wanted }) => <li key={tilt}>{tilt}: <strong>{word(wanted)}</strong> must show{word(board) === word(wanted) ? '' : `; before the alignment is set it shows ${word(board)}`}</li>)}
      <li>A wrong sign turns the aircraft over at take-off.</li>
    </List>
  );
}
