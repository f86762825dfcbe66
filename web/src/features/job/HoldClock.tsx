/** The clock of a timed touch: how long to hold, and how long the exchanged tone may sound. */
import { useEffect, useState } from 'react';
import { Fact } from '../../ui/Frame';

const holdS = 2.5;

export function HoldClock({ startedAt, first, heldFirstMs }: { startedAt: number | null; first: boolean; heldFirstMs: number | null }) {
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (startedAt === null) return undefined;
    const timer = setInterval(() => setNow(performance.now()), 100);
    return () => clearInterval(timer);
  }, [startedAt]);
  const elapsed = startedAt === null ? 0 : Math.max(0, (now - startedAt) / 1000);
  const limit = first || heldFirstMs === null ? null : heldFirstMs / 1000;
  return (
    <Fact>
      <dt>{limit ? `may sound up to ${limit.toFixed(1)} s` : 'hold'}</dt>
      <dd>{startedAt === null ? `${holdS} s` : elapsed < holdS ? `${elapsed.toFixed(1)} s` : 'lift now'}</dd>
    </Fact>
  );
}
