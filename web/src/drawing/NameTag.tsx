/** The name of a part on a drawing, in px around its middle. */
import type { XY } from '@junctor/core';
import { useTheme } from 'styled-components';

export function NameTag({ at: [x, y], isHeld, children }: { at: XY; isHeld: boolean; children: string }) {
  const theme = useTheme();
  const wide = 10 + children.length * 9.4;
  return (
    <g>
      <rect x={x - wide / 2} y={y - 10} width={wide} height={20} rx={4} fill={isHeld ? theme.bronze : theme.ink} />
      <text x={x} y={y + 5} fontSize={15} fontWeight={700} textAnchor="middle" fill={theme.paper}>
        {children}
      </text>
    </g>
  );
}
