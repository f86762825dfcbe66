/** Rails under what feeds them, each with what it carries against its limit. */
import type { Rail } from '@junctor/core';
import { planShare, railWords } from '@junctor/core';
import { useTheme } from 'styled-components';

const rowHeight = 46;
const [width, barFrom, barWidth] = [520, 250, 200];
/** Rails seen at once; the others are walked to. */
export const railsAtOnce = 9;

export function SupplyTree({ rails, current }: { rails: readonly Rail[]; current: Rail | null }) {
  const theme = useTheme();
  const depth = (rail: Rail): number => (rail.parent ? 1 + depth(rails.find(({ id }) => id === rail.parent)!) : 0);
  const most = Math.max(0.5, ...rails.map(({ out, limitA }) => Math.max(limitA ?? 0, out.empty.peak)));
  const px = (amps: number) => Math.min(barWidth, (amps / most) * barWidth);
  const from = Math.max(
    0,
    Math.min(rails.findIndex((rail) => rail === current) - railsAtOnce + 3, rails.length - railsAtOnce),
  );
  return (
    <svg
      viewBox={`0 ${from * rowHeight} ${width} ${railsAtOnce * rowHeight}`}
      width="100%"
      height="100%"
      role="img"
      aria-label={`Supply tree: ${rails.map((rail) => `${railWords(rail, rails)} ${rail.out.empty.typical.toFixed(2)} A`).join(', ')}`}
    >
      <defs>
        <pattern id="peak" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="2" height="6" fill={theme.ink} />
        </pattern>
      </defs>
      {rails.map((rail, row) => {
        const [x, y] = [10 + depth(rail) * 26, row * rowHeight + 8];
        const parent = rails.findIndex(({ id }) => id === rail.parent);
        return (
          <g key={rail.id} fontSize={17} fill={theme.ink}>
            {parent >= 0 && (
              <path
                d={`M${x - 18} ${parent * rowHeight + 34}V${y + 14}H${x - 4}`}
                fill="none"
                stroke={theme.quiet}
                strokeWidth={2}
              />
            )}
            {rail === current && (
              <rect
                x={0}
                y={y - 5}
                width={width}
                height={rowHeight - 6}
                fill="none"
                stroke={theme.bronze}
                strokeWidth={2.5}
                rx={5}
              />
            )}
            <text x={x} y={y + 20} fontWeight={rail === current ? 700 : 400}>
              {railWords(rail, rails)}
            </text>
            {rail.limitA !== null && (
              <rect
                x={barFrom}
                y={y + 5}
                width={px(rail.limitA)}
                height={20}
                fill="none"
                stroke={theme.ink}
                strokeWidth={1.5}
              />
            )}
            <rect x={barFrom} y={y + 5} width={px(rail.out.empty.peak)} height={20} fill="url(#peak)" opacity={0.55} />
            <rect x={barFrom} y={y + 5} width={px(rail.out.empty.typical)} height={20} fill={theme.ink} />
            {rail.limitA !== null && (
              <path
                d={`M${barFrom + px(rail.limitA * planShare)} ${y}V${y + 30}`}
                stroke={theme.bronze}
                strokeWidth={3}
              />
            )}
            <text x={barFrom + barWidth + 8} y={y + 20}>
              {rail.out.empty.typical.toFixed(2)} A
            </text>
          </g>
        );
      })}
    </svg>
  );
}
