/** Names one after the other; of a long list the first few, and how many more there are. */
export function enumerated(names: readonly string[], most = 8): string {
  if (names.length <= most) return names.join(', ');
  return `${names.slice(0, most - 2).join(', ')} and ${names.length - most + 2} more`;
}
