import type { Assembly } from '../../../facts/assembly/assembly';
import type { StackLayer } from '../../../facts/assembly/build';
import { frameOf } from '../../../facts/assembly/frameOf';
import { layersUnder, stackOf } from '../../../physics/layout/stack';
import { groupedBy } from '../../../facts/terms/groupedBy';
import { isTransmitter } from '../../../facts/catalogue/kinds';
import type { Caution } from '../caution';
import { cautionId, cautionWords } from '../caution';
import type { JobContext } from '../jobContext';
import { lastNote, sinceLastActOrPower } from '../jobContext';
import { kitPlace, kitTurns, looseParts, notedOrSkipped } from '../looseParts';
import type { Place } from '../order';
import { offTurns, turns } from '../order';
import type { Draft, StepKind, StepState } from '../step';
import { done, open } from '../step';
import { untilWorkBegins } from '../untilWorkBegins';
import { powerPlace, powerTurns } from '../powerPlace';

type SayStep = Draft<'say', { kind: 'caution'; caution: Caution }>;

/** A caution or a small duty that is done and said. */
export const say: StepKind<SayStep> = {
  plan: (job) => [
    ...untilWorkBegins(setUps(job), job, say.state),
    draft({ is: 'hot iron' }, { stretch: 'power path', group: { kind: 'bench' }, turn: 0 }),
    ...untilWorkBegins(leadsInLid(job), job, say.state),
    ...underlays(job),
    ...beforePower(job.target).map((caution) => draft(caution, powerPlace(powerTurns.say))),
  ],
  state: ({ about, subject }, job) => {
    switch (about.caution.is) {
      case 'set up':
        return notedOrSkipped(job, 'caution', subject, `say:${subject}`);
      case 'hot iron':
      case 'lead in the lid':
      case 'underlay':
        return said(subject, job);
      default:
        return saidSinceLastAct(subject, job);
    }
  },
  words: ({ about }, stages) => cautionWords(about.caution, stages),
  why: ({ about }) =>
    about.caution.is === 'underlay'
      ? 'the board hides it: under it now, or it comes off again'
      : 'the next step gives power',
  takesS: ({ about }) => (about.caution.is === 'set up' ? 300 : 5),
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

/** Tape, washers and nuts that the layout wants under a board, just before the board goes on. */
function underlays({ changes, target }: JobContext): SayStep[] {
  const frame = frameOf(target);
  const stack = frame && stackOf(target, frame)?.stack;
  if (!stack) return [];
  return changes.flatMap(({ verb, about, place }) => {
    if (verb !== 'fit') return [];
    const under = layersUnder(stack, about.slot).flatMap((layer) => underlayOf(layer) ?? []);
    // Two of a kind are one step: each step has a name of its own.
    return [...groupedBy(under, ({ name }) => name)].map(([name, alike]) => {
      const mm = alike.reduce((sum, one) => sum + one.mm, 0);
      const caution = { is: 'underlay', slot: about.slot, layer: name, mm } as const;
      return draft(caution, { ...place, turn: turns.fit - 0.5 });
    });
  });
}

function underlayOf(layer: StackLayer): { name: string; mm: number } | null {
  if ('tape' in layer) return { name: layer.tape, mm: layer.mm };
  if ('nut' in layer) return { name: layer.nut, mm: layer.mm };
  return 'washer' in layer ? { name: layer.washer, mm: layer.mm } : null;
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
