/** "1 motor", "4 motors". */
export function countWords(count: number, what: string): string {
  return `${count} ${what}${count === 1 ? '' : 's'}`;
}
