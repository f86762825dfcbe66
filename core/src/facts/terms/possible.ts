/** Between these lies everything that anybody has ever measured at a bench; a number beyond them is asked again. */
import type { Range } from './names';

export const possible = {
  partG: [0.05, 20_000],
  craftG: [20, 60_000],
  ohms: [0, 100e6],
  diodeV: [-5, 5],
  packV: [0.5, 60],
  leadsV: [-60, 60],
  amount: [0, 100_000],
} as const satisfies Record<string, Range>;

/** What stands on the main leads from here on is no left-over charge: something is plugged in. */
export const poweredV = 2.5;
