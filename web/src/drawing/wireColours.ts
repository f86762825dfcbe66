/** Wires in their true colours, with an edge that keeps each of them seen on paper. */
const colours: Readonly<Record<string, string>> = {
  red: '#c0281f', black: '#1d1f21', white: '#fbfbf7', grey: '#8b8f93', yellow: '#e8c22c', green: '#2f8a46', blue: '#2a5caa', violet: '#7a4a9e',
  orange: '#d9761e', brown: '#6d4427', tinned: '#b9bdbf',
};
/** Colours that wire comes in. */
export const wireColours: readonly string[] = Object.keys(colours).filter((name) => name !== 'tinned');
const light = new Set(['white', 'yellow', 'grey', 'tinned']);

export function wireColour(name: string): { fill: string; casing: string } {
  return { fill: colours[name] ?? '#8b8f93', casing: light.has(name) ? '#20262b' : '#f3efe6' };
}
