/** The sheet that goes to the customer with the quad: what was said, found, done, read, replaced, and left open. */
import type { Assembly } from '../../facts/assembly/assembly';
import { siteWords } from '../../facts/assembly/itemWords';
import { slotTitle } from '../../facts/assembly/slotWords';
import { findEntry } from '../../facts/log/entries';
import { workOf } from '../../facts/log/jobStart';
import type { NoteKind, NoteOf } from '../../facts/log/logState';
import { notesOf, ofJob } from '../../facts/log/notesOf';
import type { Destination, FaultEntry, Symptom } from '../../facts/log/records';
import type { Id } from '../../facts/terms/names';
import type { JobState } from '../../work/sequence/deriveJob';
import { probeWords } from '../../judgement/checks/reach';
import { isOfMainLeads } from '../../judgement/checks/touchList';
import { heardWords } from './readingWords';
import { recordWords } from './recordWords';
import { lookUp } from '../../facts/terms/lookUp';

export interface SheetSection {
  title: string;
  lines: readonly string[];
}

const stateWords: Readonly<Record<FaultEntry['state'], string>> = {
  found: 'still open',
  mended: 'mended, not proved yet',
  proved: 'mended, and shown by readings',
  accepted: 'left as it is',
};

const shortStands = 'A short between plus and minus of the battery leads stands: no battery on it until it is found';

/**
 * Sections in the order in which they are read; those with nothing to say are left out.
 * @param serials Of the parts that have one, by their id.
 */
export function customerSheet(state: JobState, jobId: Id, serials: ReadonlyMap<Id, string>): SheetSection[] {
  const { log } = state;
  const own = <S extends NoteKind>(kind: S): NoteOf<S>[] => notesOf(log, kind).filter(ofJob(jobId));
  const then = (id: Id): Assembly => findEntry(log, id)?.before.asBuilt ?? state.asBuilt;
  const history = own('history').at(-1)?.record.body;
  const sections: SheetSection[] = [
    {
      title: 'What you told us',
      lines: [
        ...own('symptom').map(({ record: { body } }) => `${body.words}: ${answerWords(body)}`),
        ...(history
          ? [`How it died: ${history.died}${history.changedLast ? `; changed last: ${history.changedLast}` : ''}`]
          : []),
      ],
    },
    {
      title: 'What was wrong',
      lines: [
        ...(state.short ? [shortStands] : []),
        ...own('fault').map(({ record: { id, body } }) => faultLine(body.fault, then(id))),
      ],
    },
    { title: 'What was done', lines: workLines(state, jobId) },
    { title: 'Parts', lines: partLines(state, jobId, serials) },
    { title: 'What was read', lines: readingLines(state, jobId) },
    {
      title: 'Weight',
      lines: own('weight')
        .filter(({ record }) => ['dry', 'with pack', 'with propellers'].includes(record.body.what))
        .map(({ record: { body } }, index, all) => {
          const before =
            all.findIndex((one) => one.record.body.what === body.what) === index && isRepeated(all, body.what);
          return `${body.what}${before ? ', as it came in' : ''}: ${body.grams} g`;
        }),
    },
    {
      title: 'Left open, in your hands',
      lines: own('open point').map(
        ({ record: { body } }) => `${body.text}: ${body.state}${body.how ? `, ${body.how}` : ''}`,
      ),
    },
  ];
  return sections.filter(({ lines }) => lines.length > 0);
}

function answerWords({ answer }: Symptom): string {
  if (!answer) return 'not answered yet';
  return answer.how === 'gone' ? 'gone' : answer.words;
}

const whereWords: Readonly<Record<Destination | 'bench', string>> = {
  customer: 'goes back to you',
  bench: 'not said yet',
  stock: 'into our stores',
  scrap: 'scrap',
};

function isRepeated(all: readonly NoteOf<'weight'>[], what: string): boolean {
  return all.filter(({ record }) => record.body.what === what).length > 1;
}

function faultLine(fault: FaultEntry, then: Assembly): string {
  const parts = [
    `${fault.symptom}, ${siteWords(fault.site, then)}: ${stateWords[fault.state]}`,
    fault.cause && `cause: ${fault.cause}`,
    fault.done && `done: ${fault.done}`,
    fault.acceptedBecause && `left because: ${fault.acceptedBecause}`,
    fault.minutes > 0 && `${fault.minutes} min`,
    fault.costMinor > 0 && `${(fault.costMinor / 100).toFixed(2)} in money`,
  ];
  return parts.filter(Boolean).join('; ');
}

/** Work by its kind, counted: a customer does not read every joint. */
function workLines({ log }: JobState, jobId: Id): string[] {
  const acts = workOf(log, jobId);
  const count = (is: (body: (typeof acts)[number]['record']['body']) => boolean) =>
    acts.filter(({ record }) => is(record.body)).length;
  const lines: [number, string, string][] = [
    [count((body) => body.do === 'land' && body.as.by === 'solder'), 'joint made', 'joints made'],
    [count((body) => body.do === 'free'), 'joint or contact opened', 'joints or contacts opened'],
    [count((body) => body.do === 'reheat'), 'joint reworked', 'joints reworked'],
    [count((body) => body.do === 'mate'), 'plug pushed home', 'plugs pushed home'],
  ];
  return lines.filter(([n]) => n > 0).map(([n, one, many]) => `${n} ${n === 1 ? one : many}`);
}

/** Parts in and out, and where the old ones go. */
function partLines({ log, asBuilt }: JobState, jobId: Id, serials: ReadonlyMap<Id, string>): string[] {
  const named = (part: Id | null) => (part !== null && serials.has(part) ? `, serial ${serials.get(part)}` : '');
  const acts = workOf(log, jobId);
  const replaced = notesOf(log, 'replace').filter(ofJob(jobId));
  const oldSerial = (slot: string) => {
    const said = replaced.findLast(({ record }) => record.body.slot === slot)?.record.body.oldSerial;
    return said ? `, serial ${said}` : '';
  };
  const goes = new Map(
    notesOf(log, 'goes')
      .filter(ofJob(jobId))
      .map(({ record: { body } }) => [body.act, body.to]),
  );
  return acts.flatMap(({ record }): string[] => {
    const { body, id } = record;
    const before = findEntry(log, id)?.before.asBuilt ?? asBuilt;
    if (body.do === 'fit') {
      const model = before.catalogue.model(body.fitted);
      return [`in: ${model.name}${named(body.fitted.part)}, as ${body.slot}`];
    }
    const was = body.do === 'take off' ? lookUp(before.build.slots, body.slot) : undefined;
    if (body.do !== 'take off' || !was) return [];
    const to = goes.get(id) ?? body.to;
    const where = whereWords[to];
    const serial = named(was.part) || oldSerial(body.slot);
    return [`out: ${before.model(body.slot)!.name}${serial}, was ${slotTitle(body.slot, before)}: ${where}`];
  });
}

/** The main leads in words, the rest counted, power with its signs. */
function readingLines({ log, steps, asBuilt, touches }: JobState, jobId: Id): string[] {
  const readings = notesOf(log, 'reading').filter(ofJob(jobId));
  const passed = readings.filter(({ record }) => record.body.reading.verdict === 'pass').length;
  const mains = steps.filter((step) => step.verb === 'touch' && step.done && isOfMainLeads(step.listed));
  const power = notesOf(log, 'power').findLast(ofJob(jobId));
  return [
    ...mains.flatMap((step) => {
      const reading = readings.findLast(({ record }) => step.by.includes(record.id))?.record.body.reading;
      if (!reading) return [];
      const { black, red } = reading.touch;
      return [
        `${probeWords(black, asBuilt)} to ${probeWords(red, asBuilt)}: ${heardWords(reading.heard)}, as it should be`,
      ];
    }),
    ...(readings.length > 0 ? [`${passed} readings passed of ${readings.length} taken`] : []),
    ...(touches.history.length > 0
      ? [`${touches.history.length} touches of the whole list were not asked: this work did not reach them`]
      : []),
    ...(power ? [recordWords(power.record, asBuilt)] : []),
  ];
}
