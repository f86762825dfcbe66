import { lookUp } from '../terms/lookUp';
/** How the colours of wires are drawn. */
export const wireHex: Readonly<Record<string, string>> = {
  red: '#c0281f',
  black: '#1d1f21',
  white: '#fbfbf7',
  grey: '#8b8f93',
  yellow: '#e8c22c',
  green: '#2f8a46',
  blue: '#2a5caa',
  violet: '#7a4a9e',
  orange: '#d9761e',
  brown: '#6d4427',
  tinned: '#b9bdbf',
};

/** A colour that nobody has named is drawn grey. */
export function hexOf(colour: string): string {
  return lookUp(wireHex, colour) ?? wireHex.grey!;
}
