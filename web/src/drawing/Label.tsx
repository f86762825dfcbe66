/** A name on a board, upright; on a plate for the pad in question, with a fine line where it stands further out. */
import { useTheme } from 'styled-components';
import type { BoardLabel } from './boardLabels';

export function Label({ label: { at, text, size, plate, line, weight } }: { label: BoardLabel }) {
  const theme = useTheme();
  return (
    <g pointerEvents="none">
      {line && (
        <path
          d={`M${line[0].join(' ')}L${line[1].join(' ')}`}
          stroke={weight === 'quiet' ? theme.quiet : theme.ink}
          strokeWidth={1}
        />
      )}
      {plate && <rect x={at.x - at.w / 2} y={at.y - at.h / 2} width={at.w} height={at.h} rx={4} fill={theme.ink} />}
      <text
        x={at.x}
        y={at.y + size * 0.34}
        textAnchor="middle"
        fontSize={size}
        fontWeight={weight === 'quiet' ? 400 : 700}
        fill={plate ? theme.paper : theme.ink}
      >
        {text}
      </text>
    </g>
  );
}
