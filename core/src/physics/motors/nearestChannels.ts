/**
 * Which channel of a board each motor goes to so that the leads run straightest: least total distance, exactly, by
 * dynamic programming over the sets of channels that are taken. Distances in mm.
 */

/**
 * For each motor the index of its channel. @param distance distance[motor][channel]; at least as many channels as
 * motors.
 */
export function nearestChannels(distance: readonly (readonly number[])[]): number[] {
  const channels = distance[0]?.length ?? 0;
  let best = new Map<number, { cost: number; chosen: number[] }>([[0, { cost: 0, chosen: [] }]]);
  for (const row of distance) {
    const next = new Map<number, { cost: number; chosen: number[] }>();
    for (const [taken, { cost, chosen }] of best) {
      for (let channel = 0; channel < channels; channel++) {
        if (taken & (1 << channel)) continue;
        const set = taken | (1 << channel);
        const total = cost + row[channel]!;
        // On equal ways the lower number stays with the lower motor.
        if (total < (next.get(set)?.cost ?? Infinity) - 1e-9)
          next.set(set, { cost: total, chosen: [...chosen, channel] });
      }
    }
    best = next;
  }
  return [...best.values()].reduce((a, b) => (b.cost < a.cost - 1e-9 ? b : a), {
    cost: Infinity,
    chosen: [] as number[],
  }).chosen;
}
