/**
 * In which order the steps of a job are done. Places are compared piece by piece: stretch, group, turn within the
 * group,
 * then joints: all near ends first, then all far ends, freeing before landing before rework of the same joint.
 */
import type { JointAbout } from '../../facts/assembly/difference';
import type { Builds, Group } from './group';
import { compareNames } from '../../facts/terms/names';
import { kindRank, nameOf } from './group';
import type { Stretch } from './stretch';
import { stretches } from './stretch';

export interface Place {
  stretch: Stretch;
  group: Group;
  /** Within its group: lower first. Steps of one turn stay as they were planned. */
  turn: number;
  joint?: JointAbout & { turn: number };
}

/** Turns of work on a part: unplug, take off, put on, solder, look, plug. */
export const turns = {
  unmate: 0,
  take: 1,
  drop: 2,
  unhouse: 3,
  fit: 4,
  house: 5,
  lead: 6,
  joint: 7,
  look: 8,
  mate: 9,
} as const;

/** Turns of one joint. */
export const jointTurns = { free: 0, land: 1, redo: 2 } as const;

/**
 * Turns of what comes off: a picture, leads in the lid, plugs, the iron, then the part that nothing holds any more;
 * with the leads off, its partners are read.
 */
export const offTurns = { picture: 0, lid: 1, unmate: 2, free: 3, drop: 4, take: 5, unhouse: 6, sign: 7 } as const;

/** The look at the whole power path comes after its last part, plugs after everything else. */
const groupOrder: readonly Group['kind'][] = [
  'kit',
  'bench',
  'what comes off',
  'part',
  'loose',
  'power path',
  'plug',
  'continuity',
  'first power',
  'hand-over',
];

/** Negative when the first is done first. `highFirst`: plugs that are pushed home before the others. */
export function comparePlaces(a: Place, b: Place, builds: Builds, highFirst: (mate: string) => boolean): number {
  return (
    stretches.indexOf(a.stretch) - stretches.indexOf(b.stretch) ||
    compareGroups(a.group, b.group, builds, highFirst) ||
    a.turn - b.turn ||
    compareJoints(a.joint, b.joint)
  );
}

function compareGroups(a: Group, b: Group, builds: Builds, highFirst: (mate: string) => boolean): number {
  const kinds = groupOrder.indexOf(a.kind) - groupOrder.indexOf(b.kind);
  if (kinds !== 0) return kinds;
  if (a.kind === 'plug' && b.kind === 'plug') {
    const [first, second] = [highFirst(a.mate), highFirst(b.mate)];
    if (first !== second) return first ? -1 : 1;
  }
  return kindRank(builds, a) - kindRank(builds, b) || compareNames(nameOf(a), nameOf(b));
}

function compareJoints(a: Place['joint'], b: Place['joint']): number {
  if (!a || !b) return 0;
  if (a.end !== b.end) return a.end - b.end;
  if (a.wire !== b.wire) return a.wire < b.wire ? -1 : 1;
  return a.turn - b.turn;
}
