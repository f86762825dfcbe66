/** Found as one types: every word that was typed must be in it, in any order. */
export function matching(typed: string): (text: string) => boolean {
  const words = typed.toLowerCase().split(/\s+/).filter(Boolean);
  return (text) => {
    const lower = text.toLowerCase();
    return words.every((word) => lower.includes(word));
  };
}
