import { useEffect, useState } from 'react';

/** Seconds since a moment of performance.now(), ticking; 0 until it is set. */
export function useSeconds(since: number | null): number {
  const [now, setNow] = useState(0);
  useEffect(() => {
    if (since === null) return undefined;
    const timer = setInterval(() => setNow(performance.now()), 100);
    return () => clearInterval(timer);
  }, [since]);
  return since === null ? 0 : Math.max(0, (now - since) / 1000);
}
