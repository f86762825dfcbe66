/** Wires in their true colours, with an edge that keeps each of them seen on paper. */
import { hexOf, wireHex } from '@junctor/core';

/** Colours that wire comes in. */
export const wireColours: readonly string[] = Object.keys(wireHex).filter((name) => name !== 'tinned');
const light = new Set(['white', 'yellow', 'grey', 'tinned']);

/** Round a light wire, in either theme; a dark one is edged in the theme's ink. */
export const darkEdge = '#20262b';

export function wireColour(name: string): { fill: string; light: boolean } {
  return { fill: hexOf(name), light: light.has(name) };
}
