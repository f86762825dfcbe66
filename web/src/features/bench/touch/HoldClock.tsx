/** The clock of a timed touch: how long to hold, and how long the exchanged tone may sound. */
import { Fact } from '../../../ui/Frame';
import { useSeconds } from '../useSeconds';

const holdS = 2.5;

export function HoldClock({
  startedAt,
  first,
  heldFirstMs,
}: {
  startedAt: number | null;
  first: boolean;
  heldFirstMs: number | null;
}) {
  const elapsed = useSeconds(startedAt);
  const limit = first || heldFirstMs === null ? null : heldFirstMs / 1000;
  return (
    <Fact>
      <dt>{limit ? `may sound up to ${limit.toFixed(1)} s` : 'hold'}</dt>
      <dd>{readingOf(startedAt, elapsed)}</dd>
    </Fact>
  );
}

function readingOf(startedAt: number | null, elapsed: number) {
  if (startedAt === null) return `${holdS} s`;
  if (elapsed < holdS) return `${elapsed.toFixed(1)} s`;
  return 'lift now';
}
