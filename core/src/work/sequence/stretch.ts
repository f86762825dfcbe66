/** The stretches of the cord, in order. Each ends in the gate of its name. */
export const stretches = [
  'kit',
  'layout',
  'power path',
  'motors',
  'controller',
  'continuity',
  'first power',
  'hand-over',
] as const;
export type Stretch = (typeof stretches)[number];
