/** The leads of a part, or the wires of a bundle, as they lie in the hand: hollow while planned, filled once landed. */
import type { WireBand } from '@junctor/core';
import { wireBand } from '@junctor/core';
import { useTheme } from 'styled-components';
import { boardSize } from './boardSize';
import { darkEdge, wireColour } from './wireColours';

export interface LeadRow {
  id: string;
  message: string;
  colour: string;
  awg: number;
  state: 'planned' | 'current' | 'landed' | 'differs';
  /** Ends in a crimped contact instead of solder. */
  contact?: boolean;
}

export function Leads({ rows }: { rows: readonly LeadRow[] }) {
  const { width, height } = boardSize;
  const pitch = Math.min(96, (height - 20) / Math.max(rows.length, 1));
  return (
    <svg width="100%" height="100%" viewBox={`0 0 ${width} ${height}`} role="list" aria-label="leads">
      {rows.map((row, index) => (
        <Row key={row.id} row={row} y={16 + pitch * index + pitch * 0.62} pitch={pitch} width={width} />
      ))}
    </svg>
  );
}

const fromPx: Readonly<Record<LeadRow['state'], number>> = { current: 62, planned: 96, landed: 40, differs: 40 };
const widestPx: Readonly<Record<WireBand, number>> = { thick: 22, medium: 15, thin: 9 };

function Row({ row, y, pitch, width }: { row: LeadRow; y: number; pitch: number; width: number }) {
  const theme = useTheme();
  const { fill, light } = wireColour(row.colour);
  const thick = Math.min(pitch * 0.3, widestPx[wireBand(row.awg)]);
  const from = fromPx[row.state];
  const size = pitch > 60 ? 18 : 16;
  const current = row.state === 'current';
  const hollow = `M${width} ${y - thick / 2}H${from}V${y + thick / 2}H${width}`;
  return (
    <g role="listitem" aria-label={`${row.message}, ${row.state}`} data-lead={row.id} data-state={row.state}>
      <text x={from + 46} y={y - thick / 2 - 7} fontSize={size} fontWeight={current ? 700 : 400} fill={theme.ink}>
        {row.message}
      </text>
      {row.state === 'planned' ? (
        <g fill="none">
          <path d={hollow} stroke={light ? darkEdge : theme.ink} strokeWidth={4.6} />
          <path d={hollow} stroke={fill} strokeWidth={2.4} />
        </g>
      ) : (
        <g>
          <rect
            x={from}
            y={y - thick / 2 - 1.5}
            width={width - from}
            height={thick + 3}
            fill={light ? darkEdge : theme.ink}
          />
          <rect x={from + 1.5} y={y - thick / 2} width={width - from} height={thick} fill={fill} />
        </g>
      )}
      {row.state === 'landed' && row.contact && (
        <rect
          x={from - 16}
          y={y - thick * 0.8}
          width={24}
          height={thick * 1.6}
          fill={theme.pad}
          stroke={theme.ink}
          strokeWidth={1.4}
        />
      )}
      {row.state === 'landed' && !row.contact && (
        <ellipse
          cx={from}
          cy={y}
          rx={12}
          ry={thick * 0.75 + 3}
          fill={theme.solder}
          stroke={theme.ink}
          strokeWidth={1.4}
        />
      )}
      {row.state === 'differs' && (
        <path d={`M${from - 16} ${y + 12}l32 -24m-24 28l32 -24`} stroke={theme.ink} strokeWidth={2} />
      )}
      {current && (
        <g>
          <rect
            x={from - 24}
            y={y - thick * 0.32}
            width={26}
            height={thick * 0.64}
            fill={theme.bare}
            stroke={theme.ink}
            strokeWidth={1}
          />
          <circle
            cx={from - 12}
            cy={y}
            r={Math.min(28, pitch * 0.42)}
            fill="none"
            stroke={theme.bronze}
            strokeWidth={4}
          />
        </g>
      )}
    </g>
  );
}
