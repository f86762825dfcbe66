/** What proves later that records kept on this tablet are a person's own, whoever is signed in by then. */
const keyOf = (personId: string) => `junctor.hand.${personId}`;

export function keepHand(personId: string, hand: string): void {
  try {
    localStorage.setItem(keyOf(personId), hand);
  } catch {
    // Without it their records wait until they sign in again.
  }
}

export function handOf(personId: string): string | null {
  return localStorage.getItem(keyOf(personId));
}

/** What they have recorded carries its own; nothing more is made in their name here. */
export function forgetHand(personId: string): void {
  localStorage.removeItem(keyOf(personId));
}
