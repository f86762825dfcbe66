/** The verdict on what was heard, judged once against what was expected. */
import { restLimitV } from './expect';
import type { Expectation, Heard, Verdict } from '../../facts/log/reading';

/**
 * pass: as a good build shows it. stop: as no good build shows it.
 * look again: silent or open, but contact is not proven. record only: nothing known to compare with.
 */
export function judgeReading(expected: Expectation, heard: Heard): Verdict {
  if (expected.from === 'none') return 'record only';
  const isProven = heard.anchors.black !== null && heard.anchors.red !== null;
  if (heard.open && !expected.open) return 'stop';
  if (heard.open) return isProven ? 'pass' : 'look again';
  if (heard.value !== undefined) return inBand(expected, heard.value) ? 'pass' : 'stop';
  if (heard.length === undefined) return 'record only';
  if (!expected.passes.includes(heard.length)) return 'stop';
  return heard.length === 'none' && !isProven ? 'look again' : 'pass';
}

function inBand({ touch, band }: Expectation, value: number): boolean {
  const [low, high] = band ?? (touch.mode === 'volts' ? [-restLimitV, restLimitV] : [-Infinity, Infinity]);
  return value >= low && value <= high;
}
