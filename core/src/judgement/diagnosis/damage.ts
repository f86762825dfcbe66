/**
 * What visible damage means: which parts go, which others may have been hurt with them, what comes before the new part
 * is
 * powered, and what replacing them takes at the bench. Parts that kill each other are replaced as a pair.
 */
import type { Build } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { PartKind } from '../../facts/catalogue/partModel';
import type { Slot } from '../../facts/terms/names';
import { splitRef } from '../../facts/terms/names';
import { partnersOf } from './partners';
import { jointS, seconds } from '../../physics/joints/seconds';
import type { Assembly } from '../../facts/assembly/assembly';

export const damages = [
  'black motor winding',
  'hole or shifted transistor',
  'charred board or lifted copper',
  'capacitor burst or gone',
] as const;
export type Damage = (typeof damages)[number];

export interface DamageJudged {
  replace: readonly Slot[];
  /** To be read like their siblings before they are believed. */
  suspect: readonly Slot[];
  because: string;
  /** What must come first. */
  first: string;
  joints: number;
  minutes: number;
}

/** The judgement of damage seen at a part. @throws {RangeError} If the build has no such part. */
export function judgeDamage(seen: Damage, slot: Slot, assembly: Assembly): DamageJudged {
  const kind = assembly.model(slot)?.kind;
  if (!kind) throw new RangeError(`no part ${slot}`);
  const judged = meaning(seen, slot, kind, assembly);
  return { ...judged, ...work(judged.replace, assembly.build) };
}

function meaning(
  seen: Damage,
  slot: Slot,
  kind: PartKind,
  assembly: Assembly,
): Omit<DamageJudged, 'joints' | 'minutes'> {
  const partners = partnersOf(slot, assembly);
  const ofKind = (wanted: PartKind) =>
    Object.keys(assembly.build.slots).filter((key) => assembly.model(key)!.kind === wanted);
  switch (seen) {
    case 'black motor winding': {
      const [driver] = partners;
      return {
        replace: driver ? [slot, driver] : [slot],
        suspect: [],
        because: driver
          ? 'the motor and its ESC have hurt each other: with one of them old, the new one dies too'
          : 'a burnt winding shorts what drives it',
        first: 'first power of the new motor only through the limiter',
      };
    }
    case 'hole or shifted transistor':
      return {
        replace: [slot],
        suspect: partners,
        because: 'a dead switch burns the next motor',
        first:
          partners.length > 0
            ? `${partners.join(', ')} only after they measure like their siblings, then through the limiter`
            : 'first power through the limiter',
      };
    case 'charred board or lifted copper':
      return {
        replace: [slot],
        suspect: ofKind('capacitor').filter((other) => other !== slot),
        because: 'the pack was shorted directly: a bead, a whisker, a twisted or cut board, a failed capacitor',
        first: 'find the cause before the new part goes in; a board that its owner has altered is said so in the log',
      };
    case 'capacitor burst or gone':
      return {
        replace: kind === 'capacitor' ? [slot] : ofKind('capacitor'),
        suspect: ofKind('esc').filter((other) => other !== slot),
        because: 'without it plugging in drives the volts past what the ESC takes',
        first: 'stripe to minus, rating above the full pack, close to the leads; then the main leads both ways',
      };
  }
}

/** Joints on the parts and on their own leads, opened and made again. */
function work(parts: readonly Slot[], build: Build): Pick<DamageJudged, 'joints' | 'minutes'> {
  const goes = new Set(parts);
  const gauges = Object.values(build.wires).flatMap((wire) => {
    const own = wire.tailOf !== undefined && goes.has(splitRef(wire.tailOf).slot);
    const opened = wire.ends.filter((end) => {
      const ref = landedOn(end);
      return end.by === 'solder' && ref !== null && (own || goes.has(splitRef(ref).slot));
    });
    return opened.map(() => wire.awg);
  });
  const jointsS = gauges.reduce((sum, awg) => sum + seconds.free + jointS(awg), 0);
  const partsS = parts.length * (seconds.take + seconds.fit);
  return { joints: gauges.length, minutes: Math.round((jointsS + partsS) / 60) };
}
