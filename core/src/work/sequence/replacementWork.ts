/** What replacing a part takes, said before it is begun. */
import type { Assembly } from '../../facts/assembly/assembly';
import { difference } from '../../facts/assembly/difference';
import type { Slot } from '../../facts/terms/names';
import { workedPlaces } from '../../facts/wiring/workedPlaces';
import { touchesAfterWork } from '../../judgement/checks/afterWork';
import { partnersOf } from '../../judgement/diagnosis/partners';
import { jointS, seconds } from '../../physics/joints/seconds';
import type { TouchList } from '../../judgement/checks/touchList';
import { withoutPart } from './replacements';
import { lookUp } from '../../facts/terms/lookUp';

export interface ReplacementWork {
  /** Opened, and made again. */
  joints: number;
  plugs: number;
  minutes: number;
  partners: readonly Slot[];
  /** Touches of the list that are asked after it; null while that is not made. */
  touches: number | null;
}

/** @throws {RangeError} If the slot is empty. */
export function replacementOf(asBuilt: Assembly, list: TouchList | null, slot: Slot): ReplacementWork {
  if (!lookUp(asBuilt.build.slots, slot)) throw new RangeError(`no part ${slot}`);
  const off = difference(asBuilt.build, withoutPart(asBuilt, slot).build);
  const freed = off.flatMap((change) => (change.verb === 'free' ? [change.about] : []));
  const worked = workedPlaces(
    off.flatMap(({ effect }) => effect),
    [asBuilt],
  );
  const jointsS = freed.reduce(
    (sum, { wire }) => sum + seconds.free + jointS(lookUp(asBuilt.build.wires, wire)?.awg),
    0,
  );
  const plugs = off.filter(({ verb }) => verb === 'unmate').length;
  return {
    joints: freed.length,
    plugs,
    minutes: Math.ceil((jointsS + 2 * plugs * seconds.plug + seconds.take + seconds.fit) / 60),
    partners: partnersOf(slot, asBuilt),
    touches: list && touchesAfterWork({ list, worked, target: asBuilt }).length,
  };
}
