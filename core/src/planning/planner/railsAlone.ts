/**
 * The model with pads and signals left out: which rail feeds what must be fed, as if each board had as many pads as
 * anybody wants. Whatever the whole model allows this allows; where this has nothing the whole has nothing, and that is
 * found at once, since pads and ports that are alike need not be tried one for the other.
 */
import { splitRef } from '../../facts/terms/names';
import type { Need } from './needs';
import type { WiringInput } from './wiringVariables';

export function railsAlone(input: WiringInput): WiringInput {
  const chosen = new Set(input.pinned.filter(({ what }) => what === 'terminal').map(({ value }) => value));
  return {
    ...input,
    needs: input.needs.filter(({ is }) => is === 'supply').map((need) => ({ ...need, pads: onePerRail(need, chosen) })),
    wishes: [],
    options: [],
    alike: [],
    roomyFor: new Set(input.wishes.flatMap(({ must, of }) => (must ? [of] : []))),
  };
}

/** One pad stands for all of its rail on its board; one that was chosen by hand stands for itself. */
function onePerRail({ pads }: Need, chosen: ReadonlySet<string>): Need['pads'] {
  const ofRail = new Map<string, Need['pads'][number]>();
  for (const pad of pads) {
    const key = `${splitRef(pad.ref).slot} ${pad.rail}`;
    if (!ofRail.has(key) || chosen.has(pad.ref)) ofRail.set(key, pad);
  }
  return [...ofRail.values()];
}
