import type { Assembly } from '../../../facts/assembly/assembly';
import { isTransmitter } from '../../../facts/catalogue/kinds';
import type { Caution } from '../caution';
import { cautionId, cautionWords } from '../caution';
import type { JobContext } from '../jobContext';
import { lastNote, sinceLastActOrPower } from '../jobContext';
import { handOverPlace, handOverTurns } from '../handOver';
import { kitPlace, kitTurns, looseParts, notedOrSkipped } from '../looseParts';
import type { Place } from '../order';
import { offTurns, turns } from '../order';
import type { Draft, StepKind, StepState } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';
import { powerPlace, powerTurns } from '../powerPlace';
import { stackCautions } from './stackCautions';

type SayStep = Draft<'say', { kind: 'caution'; caution: Caution }>;

/** A caution or a small duty that is done and said. */
export const say: StepKind<SayStep> = {
  plan: (job) => [
    ...untilWorkBegins(setUps(job), job, say.state),
    draft({ is: 'hot iron' }, { stretch: 'power path', group: { kind: 'bench' }, turn: 0 }),
    ...untilWorkBegins(leadsInLid(job), job, say.state),
    ...frameCautions(job),
    ...stackCautions(job).map(({ caution, place }) => draft(caution, place)),
    ...beforePower(job.target).map((caution) => draft(caution, powerPlace(powerTurns.say))),
  ],
  state: ({ about, subject }, job) => {
    switch (about.caution.is) {
      case 'set up':
        return notedOrSkipped(job, 'caution', subject, `say:${subject}`);
      case 'hot iron':
      case 'lead in the lid':
      case 'frame loose':
      case 'stack screws':
      case 'mounts':
      case 'underlay':
      case 'top nuts':
        return said(subject, job);
      default:
        return saidSinceLastAct(subject, job);
    }
  },
  words: ({ about }, stages) => cautionWords(about.caution, stages),
  why: ({ about: { caution } }) => whyOf[caution.is] ?? 'the next step gives power',
  takesS: ({ about: { caution } }) => seconds[caution.is] ?? 5,
};

const whyOf: Readonly<Partial<Record<Caution['is'], string>>> = {
  'frame loose': 'later parts only go in if these are right',
  'frame tight': 'loose on purpose until now',
  'ways clear': 'a blade must never reach a lead',
  'stack screws': 'once a board stands on them they cannot be put in',
  mounts: 'they go in while the board is in the hand',
  underlay: 'the board hides it: under it now, or it comes off again',
  'top nuts': 'the stack must not shift while it is wired',
};
const seconds: Readonly<Partial<Record<Caution['is'], number>>> = {
  'set up': 300,
  'stack screws': 30,
  mounts: 20,
  'top nuts': 30,
};

function draft(caution: Caution, place: Place): SayStep {
  return { verb: 'say', subject: cautionId(caution), about: { kind: 'caution', caution }, place };
}

/** Receivers are set up while they are loose. */
function setUps(job: JobContext): SayStep[] {
  return looseParts(job)
    .filter(({ model }) => model.kind === 'receiver')
    .map(({ slot }) => draft({ is: 'set up', slot }, kitPlace(kitTurns.setUp)));
}

/** Leads that tear when a lid lifts, where anything comes off. */
function leadsInLid({ changes, start }: JobContext): SayStep[] {
  if (!changes.some(({ place }) => place.group.kind === 'what comes off')) return [];
  const inLid = Object.values(start.build.wires).filter(({ via }) => via.some((place) => place.startsWith('lid')));
  const place: Place = { stretch: 'power path', group: { kind: 'what comes off' }, turn: offTurns.lid };
  return inLid.map(({ id }) => draft({ is: 'lead in the lid', wire: id }, place));
}

/** Of a frame that is put up here; whatever was wired, its ways are looked at before the quad goes. */
function frameCautions({ changes, target }: JobContext): SayStep[] {
  const frame = changes.find(({ verb, about }) => verb === 'fit' && target.model(about.slot)?.frame);
  const isWired = changes.some(({ verb }) => verb === 'land');
  const last = handOverPlace(handOverTurns.settle + 0.5);
  return [
    ...(frame ? [draft({ is: 'frame loose' }, { ...frame.place, turn: turns.fit + 0.5 })] : []),
    ...(frame ? [draft({ is: 'frame tight' }, last)] : []),
    ...(isWired ? [draft({ is: 'ways clear' }, last)] : []),
  ];
}

/** What must be said before limited first power of this build. */
function beforePower(target: Assembly): Caution[] {
  const transmitters = Object.keys(target.build.slots).filter((slot) => isTransmitter(target.model(slot)!.kind));
  return [
    { is: 'propellers off' },
    ...transmitters.map((slot): Caution => ({ is: 'antenna', slot })),
    { is: 'ventilated' },
    { is: 'fire-safe surface' },
    { is: 'eye protection' },
  ];
}

function said(id: string, job: JobContext): StepState {
  const last = lastNote(job, 'caution', id);
  return last ? done(last.record.id) : open();
}

function saidSinceLastAct(id: string, job: JobContext): StepState {
  const last = lastNote(job, 'caution', id);
  return last ? (sinceLastActOrPower(last, job) ?? done(last.record.id)) : open();
}
