/** A quad as its own outline, all to one scale from their frames, inked as far as it is built. */
import { useTheme } from 'styled-components';
import type { FloorLine } from '@junctor/core';

/** A coaxial carrier fits; a small quad stays small. */
const pxPerMm = 0.2;
const [width, height] = [208, 196];

export function Outline({ line }: { line: FloorLine }) {
  const theme = useTheme();
  const arms = line.motors.map(({ atMm, discMm, ...motor }) => ({
    ...motor,
    x: width / 2 + atMm[0] * pxPerMm,
    y: height / 2 - atMm[1] * pxPerMm,
    r: (discMm / 2) * pxPerMm,
  }));
  const inked = arms.filter(({ fitted }) => fitted).length;
  const reach = Math.max(40, ...line.motors.map(({ atMm }) => Math.hypot(...atMm) * pxPerMm));
  const body = Math.max(9, reach * 0.24);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      width={width}
      height={height}
      role="img"
      aria-label={`${arms.length} motors, ${inked} in place`}
    >
      {arms.map(({ slot, x, y, r, fitted }) => (
        <g
          key={slot}
          stroke={fitted ? theme.ink : theme.quiet}
          strokeWidth={fitted ? 4 : 1.4}
          strokeDasharray={fitted ? undefined : '5 4'}
          fill="none"
        >
          <path d={`M${width / 2} ${height / 2}L${x} ${y}`} />
          <circle cx={x} cy={y} r={Math.max(4, r * 0.36)} fill={fitted ? theme.ink : theme.ground} />
          <circle cx={x} cy={y} r={r} strokeWidth={1.1} />
        </g>
      ))}
      <rect
        x={width / 2 - body}
        y={height / 2 - body * 1.2}
        width={body * 2}
        height={body * 2.4}
        rx={4}
        fill={line.bodyFitted ? theme.ink : theme.ground}
        stroke={theme.ink}
        strokeWidth={2}
      />
    </svg>
  );
}
