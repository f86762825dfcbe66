/** What is drawn from the side: bars from mm forward and up, and the names of parts. */
import type { XY } from '@junctor/core';
import { NameTag } from './NameTag';

/** In px from mm forward and up. */
export interface View {
  x: (forwardMm: number) => number;
  y: (upMm: number) => number;
  scale: number;
}

interface BarProps {
  view: View;
  from: XY;
  to: XY;
  fill: string;
  stroke: string;
  width?: number;
}

export function Bar({ view, from, to, fill, stroke, width = 1 }: BarProps) {
  return (
    <rect
      x={view.x(to[0])}
      y={view.y(to[1])}
      width={(to[0] - from[0]) * view.scale}
      height={(to[1] - from[1]) * view.scale}
      fill={fill}
      stroke={stroke}
      strokeWidth={width}
    />
  );
}

export function Tag({ view, at, isHeld, children }: { view: View; at: XY; isHeld: boolean; children: string }) {
  return (
    <NameTag at={[view.x(at[0]), view.y(at[1])]} isHeld={isHeld}>
      {children}
    </NameTag>
  );
}
