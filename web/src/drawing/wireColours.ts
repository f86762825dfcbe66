/** Wires in their true colours, with an edge that keeps each of them seen on paper. */
import { hexOf, wireHex } from '@junctor/core';

/** Colours that wire comes in. */
export const wireColours: readonly string[] = Object.keys(wireHex).filter((name) => name !== 'tinned');
const light = new Set(['white', 'yellow', 'grey', 'tinned']);

export function wireColour(name: string): { fill: string; casing: string } {
  return { fill: hexOf(name), casing: light.has(name) ? '#20262b' : '#f3efe6' };
}
