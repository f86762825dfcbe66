/** The job as a cord: twisted as far as it is done, loose where it is not, ferrules where gates are. */
import type { Gate, Step } from '@junctor/core';
import { stretches } from '@junctor/core';
import styled, { useTheme } from 'styled-components';
import { upright } from './theme';
import { useMatches } from './useMatches';

/** How it is drawn: on a narrow page with the names of its ferrules in two rows. */
interface CordShape {
  width: number;
  height: number;
  /** Room that every stretch keeps for its ferrule's name. */
  least: number;
  rows: 1 | 2;
}

const wide: CordShape = { width: 1232, height: 110, least: 152, rows: 1 };
const slim: CordShape = { width: 772, height: 128, least: 104, rows: 2 };
const middleY = 40;
const rowPx = 19;
/** The cord ends short of the page's edge, so that its last ferrule is whole. */
const endOf = ({ width }: CordShape) => width - 10;
const names: Readonly<Record<string, string>> = {
  kit: 'Kit',
  layout: 'Layout',
  'power path': 'Power path',
  motors: 'Motors',
  controller: 'Controller',
  continuity: 'Continuity',
  'first power': 'First power',
  'hand-over': 'Hand-over',
};

interface CordProps {
  steps: readonly Step[];
  gates: readonly Gate[];
  /** The step that is shown; null at the end. */
  shown: Step | null;
}

const Foot = styled.nav`
  padding: 0 24px;
  svg {
    width: 100%;
    height: auto;
    max-height: 128px;
    display: block;
  }
`;

export function Cord({ steps, gates, shown }: CordProps) {
  const theme = useTheme();
  const shape = useMatches(upright) ? slim : wide;
  const { width, height } = shape;
  const footY = height - 12;
  const places = placed(steps, shape);
  const left = Math.ceil(steps.reduce((sum, { done, takesS }) => sum + (done ? 0 : takesS), 0) / 60);
  const now = places.find(({ step }) => step.id === shown?.id);
  const nowX = now ? (now.from + now.to) / 2 : endOf(shape) - 8;
  const index = shown ? steps.findIndex(({ id }) => id === shown.id) + 1 : steps.length;
  return (
    <Foot aria-label="The job as a cord">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        preserveAspectRatio="xMidYMid meet"
        role="img"
        aria-label={`Step ${index} of ${steps.length}. ${gates.map((gate) => `${names[gate.id]} ${gate.state}`).join(', ')}`}
      >
        {runs(places).map((run) => (
          <Run key={run.from} {...run} />
        ))}
        {stretches.map((id, index) => {
          const last = places.filter(({ step }) => step.stretch === id).at(-1);
          const gate = gates.find((gate) => gate.id === id);
          return last && gate ? (
            <Ferrule
              key={id}
              x={last.to - 5}
              gate={gate}
              row={shape.rows === 2 ? index % 2 : 0}
              short={
                steps.filter(
                  (step) => step.stretch === id && step.verb === 'count' && step.done && step.blockedReason !== null,
                ).length
              }
            />
          ) : null;
        })}
        <path d={`M${nowX - 9} 4h18l-9 12z`} fill={theme.bronze} />
        <text
          x={Math.min(Math.max(nowX, 70), width - 60)}
          y={footY}
          textAnchor="middle"
          fontSize="16"
          fontWeight="700"
          fill={theme.bronze}
        >
          {shown ? `now · ${index} of ${steps.length}` : 'all done'}
        </text>
        {left > 0 && (
          <text
            x={nowX > width / 2 ? 0 : width}
            y={footY}
            textAnchor={nowX > width / 2 ? 'start' : 'end'}
            fontSize="16"
            fill={theme.quiet}
          >
            estimate: {left >= 60 ? `${Math.floor(left / 60)} h ${left % 60} min` : `${left} min`} left at the bench
          </text>
        )}
      </svg>
    </Foot>
  );
}

interface Place {
  step: Step;
  from: number;
  to: number;
}

/** Length is minutes at the bench; every stretch keeps room for its ferrule's name. */
function placed(steps: readonly Step[], shape: CordShape): Place[] {
  const share = (id: string) =>
    steps.filter(({ stretch }) => stretch === id).reduce((sum, { takesS }) => sum + takesS, 0);
  const total = stretches.reduce((sum, id) => sum + share(id), 0) || 1;
  const present = stretches.filter((id) => share(id) > 0);
  const { least } = shape;
  const room = endOf(shape) - least * present.length;
  let x = 0;
  return present.flatMap((id) => {
    const length = least + (room * share(id)) / total;
    const scale = length / (share(id) || 1);
    return steps
      .filter(({ stretch }) => stretch === id)
      .map((step) => {
        const from = x;
        x += step.takesS * scale;
        return { step, from, to: x };
      });
  });
}

function runs(places: readonly Place[]): { from: number; to: number; done: boolean }[] {
  const found: { from: number; to: number; done: boolean }[] = [];
  for (const { step, from, to } of places) {
    const last = found.at(-1);
    if (last?.done === step.done) last.to = to;
    else found.push({ from, to, done: step.done });
  }
  return found;
}

function Run({ from, to, done }: { from: number; to: number; done: boolean }) {
  const theme = useTheme();
  if (!done) {
    return (
      <g stroke={theme.strand} strokeWidth="1.5" fill="none">
        <path d={`M${from} ${middleY}q14 -9 28 -9H${Math.max(to, from + 28)}`} />
        <path d={`M${from} ${middleY}q14 9 28 9H${Math.max(to, from + 28)}`} />
      </g>
    );
  }
  const wave = (up: number) => {
    const points: string[] = [];
    for (let x = from; x <= to; x += 3)
      points.push(`${x.toFixed(1)} ${(middleY + up * 8 * Math.sin((x / 28) * Math.PI)).toFixed(1)}`);
    return `M${points.join('L')}`;
  };
  return (
    <g stroke={theme.ink} strokeWidth="3" fill="none">
      <path d={wave(1)} />
      <path d={wave(-1)} />
    </g>
  );
}

/** Closed once passed; an outline while it blocks; split when it blocks again. */
function Ferrule({ x, gate, short, row }: { x: number; gate: Gate; short: number; row: number }) {
  const theme = useTheme();
  const passed = gate.state === 'passed';
  const label = names[gate.id]!;
  const again = !passed && gate.unpassedBy !== null;
  return (
    <g>
      <rect
        x={x - 6}
        y={20}
        width={12}
        height={again ? 17 : 40}
        rx={2}
        fill={passed ? theme.ink : theme.ground}
        stroke={theme.ink}
        strokeWidth="2"
      />
      {again && (
        <rect x={x - 6} y={43} width={12} height={17} rx={2} fill={theme.ground} stroke={theme.ink} strokeWidth="2" />
      )}
      <text
        x={x + 6}
        y={78 + row * rowPx}
        textAnchor="end"
        fontSize="16"
        fontWeight={passed ? 700 : 400}
        fill={passed ? theme.ink : theme.quiet}
      >
        {label}
        {standingOf(short, passed, again)}
      </text>
    </g>
  );
}

function standingOf(short: number, passed: boolean, again: boolean) {
  if (short > 0) return `, ${short} short`;
  if (passed) return ' passed';
  if (again) return ' reopened';
  return '';
}
