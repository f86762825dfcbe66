/**
 * Colours, type and sizes, for a lit bench and for a dim room. Bronze is the only accent; red is kept for a short
 * between plus and minus. Wires keep their true colours in both.
 */
import 'styled-components';

const fonts = {
  sans: "'Atkinson Hyperlegible Next Variable', sans-serif",
  mono: "'Atkinson Hyperlegible Mono Variable', monospace",
} as const;

const light = {
  ...fonts,
  /** What the browser draws itself: scroll bars, file fields. */
  scheme: 'light',
  ground: '#f3efe6',
  paper: '#faf7ef',
  edge: '#cfc7b4',
  ink: '#20262b',
  quiet: '#5d574d',
  strand: '#6f6858',
  board: '#e2dccb',
  shell: '#d3ccba',
  pad: '#b9b19d',
  padDone: '#8d8672',
  solder: '#dad6cd',
  bare: '#b9bdbf',
  bronze: '#7a4a00',
  danger: '#9b1c1c',
  onDanger: '#ffffff',
} as const;

type Theme = { readonly [K in keyof typeof light]: string };

const dim: Theme = {
  ...fonts,
  scheme: 'dark',
  ground: '#16191c',
  paper: '#1f2427',
  edge: '#454c50',
  ink: '#ece6d8',
  quiet: '#aaa394',
  strand: '#968f80',
  board: '#32373a',
  shell: '#42484b',
  pad: '#5f665f',
  padDone: '#7f8378',
  solder: '#c4c1b8',
  bare: '#9aa0a3',
  bronze: '#e0a24a',
  danger: '#9b1c1c',
  onDanger: '#ffffff',
};

export const themes = { light, dim } as const;
export type ThemeName = keyof typeof themes;

/** Taller than wide, or narrow: the hands stand one above the other. */
export const upright = 'screen and (max-width: 900px), screen and (max-width: 1100px) and (orientation: portrait)';

/** No room for two columns of words. */
export const narrow = 'screen and (max-width: 900px)';

declare module 'styled-components' {
  // eslint-disable-next-line @typescript-eslint/no-empty-object-type
  export interface DefaultTheme extends Theme {}
}
