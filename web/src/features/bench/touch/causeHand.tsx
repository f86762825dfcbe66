/** The board on which most of the causes lie, each ringed with its number; the probes where none has a place. */
import type { Site, Touch } from '@junctor/core';
import { splitRef } from '@junctor/core';
import { boardHand } from '../../../bench/hands/boardHand';
import { probeHands } from '../../../bench/hands/probeHands';
import type { Bench } from '../../../bench/provider/bench';
import type { Hand } from '../../../ui/Frame';
import { terminalsOf } from './causePlaces';

export function causeHand(bench: Bench, touch: Touch, causes: readonly { site: Site }[]): Hand {
  const places = causes.flatMap(({ site }, index) =>
    terminalsOf(site, bench.state.target).map((ref) => ({ ...splitRef(ref), tag: String(index + 1) })),
  );
  const count = (slot: string) => places.filter((place) => place.slot === slot).length;
  const [most] = [...new Set(places.map(({ slot }) => slot))].sort((a, b) => count(b) - count(a));
  if (!most) return probeHands(bench, touch).left;
  const own = places.filter(({ slot }) => slot === most);
  const tags: Record<string, string> = {};
  for (const { terminal, tag } of own) tags[terminal] = tags[terminal] ? `${tags[terminal]}, ${tag}` : tag;
  const hand = boardHand(bench, most, [...new Set(own.map(({ terminal }) => terminal))], { tags });
  return { ...hand, title: 'where it can be' };
}
