/** UUIDv7 from a seed: the same demo data on every machine. */
import { v7 } from 'uuid';

/** A source of ids; each call gives a new one for the time in ms. */
export function seededIds(seed: number): (atMs: number) => string {
  let state = seed >>> 0;
  const next = () => {
    // mulberry32, a public-domain generator.
    state = (state + 0x6d2b79f5) >>> 0;
    let mixed = Math.imul(state ^ (state >>> 15), state | 1);
    mixed ^= mixed + Math.imul(mixed ^ (mixed >>> 7), mixed | 61);
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4294967296;
  };
  let seq = 0;
  return (atMs) =>
    v7({ msecs: atMs, seq: seq++, random: Uint8Array.from({ length: 16 }, () => Math.floor(next() * 256)) });
}
