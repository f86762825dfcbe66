/** The acts that a job wants, each in its place: from its start to its end, and back from wherever it went astray. */
import type { Change } from '../../facts/assembly/difference';
import { changeId } from '../../facts/assembly/difference';
import type { Builds, Group } from './group';
import { groupOfWire, stretchOfGroup } from './group';
import type { Place } from './order';
import type { Replacement } from './replacements';
import { jointTurns, offTurns, turns } from './order';
import { lookUp } from '../../facts/terms/lookUp';

export type PlacedChange = Change & { place: Place };

const takesAway: ReadonlySet<string> = new Set(Object.keys(offTurns));

interface Wanted {
  fromStart: readonly Change[];
  left: readonly Change[];
  replacements: readonly Pick<Replacement, 'off' | 'on'>[];
}

/**
 * Everything that was to be done, and what is left that was not. What came in and shall go, and what a replaced part
 * hangs on, is taken off first.
 */
export function placedChanges({ fromStart, left, replacements }: Wanted, builds: Builds): PlacedChange[] {
  const off = replacements.flatMap((one) => one.off);
  const on = replacements.flatMap((one) => one.on);
  // What is left comes last: it says what will be recorded.
  const all = new Map([...fromStart, ...off, ...on, ...left].map((change) => [changeId(change), change]));
  const old = new Set([...fromStart.filter(({ verb }) => takesAway.has(verb)), ...off].map(changeId));
  return [...all].map(([id, change]) => ({
    ...change,
    place: old.has(id) ? placeOfOld(change) : placeOfChange(change, builds),
  }));
}

function placeOfOld({ verb }: Change): Place {
  const turn = offTurns[verb as keyof typeof offTurns];
  return { stretch: 'power path', group: { kind: 'what comes off' }, turn };
}

function placeOfChange(change: Change, builds: Builds): Place {
  const group = groupOf(change, builds);
  const place = { stretch: stretchOfGroup(builds, group), group };
  if (change.verb === 'free' || change.verb === 'land')
    return { ...place, turn: turns.joint, joint: { ...change.about, turn: jointTurns[change.verb] } };
  return { ...place, turn: turns[change.verb] };
}

function groupOf({ about }: Change, builds: Builds): Group {
  switch (about.kind) {
    case 'slot':
      return { kind: 'part', slot: about.slot };
    case 'lead':
      return { kind: 'loose', name: about.lead };
    case 'housing':
      return { kind: 'loose', name: about.housing };
    case 'mate':
      return { kind: 'plug', mate: about.mate };
    case 'joint':
    case 'wire': {
      const wire = builds.map(({ build }) => lookUp(build.wires, about.wire)).find(Boolean);
      return wire ? groupOfWire(wire, builds) : { kind: 'loose', name: about.wire };
    }
  }
}
