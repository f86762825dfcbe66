/** How far a job is, as its quad hangs on the Floor: what there is of it, what comes next, what stands against it. */
import { frameOf } from '../../facts/assembly/frameOf';
import { isMotor, liesByArrow } from '../../facts/catalogue/kinds';
import type { Assembly } from '../../facts/assembly/assembly';
import type { Slot, XY } from '../../facts/terms/names';
import type { JobState } from '../../work/sequence/deriveJob';
import { isSameGroup } from '../../work/sequence/group';
import type { Step } from '../../work/sequence/stepTable';
import { stepWords } from '../words/stepWords';

export interface JobProgress {
  /** Slots of the motors, for the outline, with their place from the quad's middle and their disc; true once fitted. */
  motors: readonly { slot: Slot; fitted: boolean; atMm: XY; discMm: number }[];
  bodyFitted: boolean;
  /** Next sentence; null when nothing is left to do. */
  next: string | null;
  nextMinutes: number;
  leftMinutes: number;
  done: number;
  all: number;
  /** What stands against it: findings of kill or stop, in words. */
  against: readonly string[];
}

export function progressOf(state: JobState): JobProgress {
  const { steps, current, asBuilt, target, findings } = state;
  const open = steps.filter(({ done }) => !done);
  const here = open.filter(
    ({ group, stretch }) => current && isSameGroup(group, current.group) && stretch === current.stretch,
  );
  return {
    motors: motorPlaces(target).map((place) => ({ ...place, fitted: Object.hasOwn(asBuilt.build.slots, place.slot) })),
    bodyFitted: Object.keys(asBuilt.build.slots).some((slot) => isBody(asBuilt, slot)),
    next: current && stepWords(current, state),
    nextMinutes: minutes(here),
    leftMinutes: minutes(open),
    done: steps.length - open.length,
    all: steps.length,
    against: findings.filter(({ severity }) => severity !== 'warn').map(({ message }) => message),
  };
}

function minutes(steps: readonly Step[]): number {
  return Math.ceil(steps.reduce((sum, { takesS }) => sum + takesS, 0) / 60);
}

/** The stack in the middle: an ESC or a controller. */
function isBody(asBuilt: Assembly, slot: Slot): boolean {
  return liesByArrow(asBuilt.model(slot)!.kind);
}

/** A middling quad's motors stand on a circle of this radius, where no frame says better. */
const circleMm = 180;
const discMm = 204;
/** The lower motor of a coaxial pair is drawn that much further out, so that both are seen. */
const lowerOut = 1.08;

/** Where motors are seen from above: at the frame's corners where the plan has one. */
function motorPlaces(target: Assembly): { slot: Slot; atMm: XY; discMm: number }[] {
  const slots = Object.keys(target.build.slots);
  const frame = frameOf(target);
  const motors = slots.filter((slot) => isMotor(target.model(slot)!.kind));
  return motors.map((slot, index) => {
    const corner = frame?.corners.find((place) => place.index === Number(slot.replace(/\D/g, '')));
    if (corner) {
      const out = corner.level === 'lower' ? lowerOut : 1;
      return { slot, atMm: [corner.atMm[0] * out, corner.atMm[1] * out], discMm: corner.discMm };
    }
    const angle = Math.PI / 4 + (2 * Math.PI * index) / motors.length;
    return { slot, atMm: [circleMm * Math.cos(angle), circleMm * Math.sin(angle)], discMm };
  });
}
