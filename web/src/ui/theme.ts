/** Colours, type and sizes. Bronze is the only accent; red is kept for a short between plus and minus. */
import 'styled-components';

export const theme = {
  ground: '#f3efe6',
  paper: '#faf7ef',
  edge: '#cfc7b4',
  ink: '#20262b',
  quiet: '#5d574d',
  board: '#e2dccb',
  pad: '#b9b19d',
  padDone: '#8d8672',
  solder: '#dad6cd',
  bronze: '#7a4a00',
  danger: '#9b1c1c',
  sans: "'Atkinson Hyperlegible Next Variable', sans-serif",
  mono: "'Atkinson Hyperlegible Mono Variable', monospace",
} as const;

type Theme = { readonly [K in keyof typeof theme]: string };

declare module 'styled-components' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  export interface DefaultTheme extends Theme {}
}
