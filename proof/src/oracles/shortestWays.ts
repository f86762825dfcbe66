/** Shortest ways through a frame by walking every way that passes no point twice. */
import type { FrameBody } from '@junctor/core';

/** Millimetres from one routing point to another; Infinity where no way leads. */
export function shortestByWalking({ route: { points, edges } }: FrameBody, from: string, to: string): number {
  const walk = (at: string, seen: ReadonlySet<string>): number => {
    if (at === to) return 0;
    let best = Infinity;
    for (const [a, b] of edges) {
      const next = nextOf(at, a, b);
      if (next === null || seen.has(next)) continue;
      const [p, q] = [points[at]!, points[next]!];
      const mm = Math.sqrt((p[0] - q[0]) ** 2 + (p[1] - q[1]) ** 2 + (p[2] - q[2]) ** 2);
      best = Math.min(best, mm + walk(next, new Set([...seen, next])));
    }
    return best;
  };
  return walk(from, new Set([from]));
}

function nextOf(at: string, a: string, b: string): string | null {
  if (at === a) return b;
  return at === b ? a : null;
}
