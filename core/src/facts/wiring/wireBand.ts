/** How thick a wire looks, coarsely enough to be told apart in a drawing: battery leads, phases and feeds, signals. */
export type WireBand = 'thick' | 'medium' | 'thin';

export function wireBand(awg: number): WireBand {
  if (awg < 17) return 'thick';
  return awg < 25 ? 'medium' : 'thin';
}
