import type { Assembly } from '../../../facts/assembly/assembly';
import { frameOf } from '../../../facts/assembly/frameOf';
import { layoutBasis } from '../../../physics/layout/layoutBasis';
import type { JobContext } from '../jobContext';
import { notesOf } from '../../../facts/log/notesOf';
import { lastNote } from '../jobContext';
import type { Draft, StepKind } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';

type LayStep = Draft<'lay', { kind: 'layout' }>;

const laidStep: LayStep = {
  verb: 'lay',
  subject: 'layout',
  about: { kind: 'layout' },
  place: { stretch: 'layout', group: { kind: 'bench' }, turn: 0 },
};

/**
 * Step zero: all of it laid out dry, before the first joint. Without a frame there is nothing to lay it out in; of an
 * aircraft that came in with joints the margins can be looked at, and nothing waits for them.
 */
export const lay: StepKind<LayStep> = {
  plan: (job) => (frameOf(job.target) && !hasJoint(job.start) ? untilWorkBegins([laidStep], job, signed) : []),
  state: (_, job) => signed(laidStep, job),
  words: () => 'Lay everything out dry: does it fit, does every lead reach',
  why: () => 'what does not fit is found before anything is soldered',
  takesS: () => 240,
};

function hasJoint({ build }: Assembly): boolean {
  return Object.values(build.wires).some(({ ends }) => ends.some(({ by, at }) => by === 'solder' && at.on !== 'air'));
}

function signed(_: LayStep, job: JobContext) {
  const note = lastNote(job, 'layout');
  if (!note) return open();
  const { basis, no, reason } = note.record.body;
  if (basis !== layoutBasis(job.plan.target)) return open('The plan lies otherwise since it was signed');
  if (no.length > 0 && !reason) return open(no[0]);
  if (notesOf(job.log, 'gap').some(({ placeSeq }) => placeSeq > note.placeSeq))
    return open('Something was measured since it was signed');
  return done(note.record.id);
}
