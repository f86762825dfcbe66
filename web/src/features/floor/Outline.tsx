/** A quad as its own outline: a cross from its motor count, inked as far as it is built. */
import { useTheme } from 'styled-components';
import type { FloorLine } from '@junctor/core';

export function Outline({ line }: { line: FloorLine }) {
  const theme = useTheme();
  const count = Math.max(line.motors.length, 1);
  const arms = line.motors.map((motor, index) => {
    const angle = Math.PI / 4 + (2 * Math.PI * index) / count;
    return { ...motor, x: 100 + 68 * Math.cos(angle), y: 80 - 56 * Math.sin(angle) };
  });
  const inked = arms.filter(({ fitted }) => fitted).length;
  return (
    <svg viewBox="0 0 200 160" width="200" height="160" role="img" aria-label={`${count} motors, ${inked} in place`}>
      {arms.map(({ slot, x, y, fitted }) => (
        <g key={slot} stroke={fitted ? theme.ink : theme.quiet} strokeWidth={fitted ? 5 : 1.5} strokeDasharray={fitted ? undefined : '5 4'} fill="none">
          <path d={`M100 80L${x} ${y}`} />
          <circle cx={x} cy={y} r={15} fill={fitted ? theme.ink : theme.ground} />
          <circle cx={x} cy={y} r={27} strokeWidth={1.2} />
        </g>
      ))}
      <rect x={82} y={58} width={36} height={44} rx={5} fill={line.bodyFitted ? theme.ink : theme.ground} stroke={theme.ink} strokeWidth={2} />
    </svg>
  );
}
