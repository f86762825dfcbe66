/** Faults: which are open, which records mended one, which show it mended. Never closed by a sentence. */
import type { Assembly } from '../../facts/assembly/assembly';
import { landedOn } from '../../facts/assembly/build';
import { findEntry } from '../../facts/log/entries';
import type { ActEntry, Entry, LogState, NoteOf } from '../../facts/log/logState';
import { notesOf } from '../../facts/log/notesOf';
import type { Id, TerminalRef } from '../../facts/terms/names';
import { splitJoint, terminalRef } from '../../facts/terms/names';
import { netlist } from '../../facts/wiring/netlist';
import { withdrawnOf } from '../../facts/log/withdrawn';
import type { Site } from '../../facts/terms/site';
import { lookUp } from '../../facts/terms/lookUp';

/** Faults that nobody has mended or accepted yet, of whatever job. */
export function openFaults(log: LogState): NoteOf<'fault'>[] {
  return notesOf(log, 'fault').filter(({ record }) => record.body.fault.state === 'found');
}

/** Open faults that were taken back, with the terminals of their place: they hold until those are read again. */
export function unsaidFaults(log: LogState): { by: Id; seq: number; refs: ReadonlySet<TerminalRef> }[] {
  return withdrawnOf(log, 'fault')
    .filter(({ takenBack }) => takenBack)
    .map(({ by, seq, entry, then }) => ({ by, seq, refs: new Set(placesIn(entry.record.body.fault.site, then)) }));
}

/** The acts since a fault was found that touched its place: what can have mended it. */
export function mendingOf(fault: NoteOf<'fault'>, log: LogState): ActEntry[] {
  const refs = placesThen(fault, log);
  const since = log.acts.filter(({ placeSeq }) => placeSeq > fault.placeSeq);
  return since.filter((act) => {
    const touched = act.touched();
    return (
      refs.some((ref) => touched.has(ref)) || act.joints.some((joint) => isOf(joint, fault.record.body.fault.site))
    );
  });
}

/** Good readings and looks at its place, and power that passed, since it was mended: what shows it mended. */
export function provingOf(fault: NoteOf<'fault'>, log: LogState): Entry[] {
  const mending = mendingOf(fault, log);
  const last = Math.max(fault.placeSeq, ...mending.map(({ madeSeq }) => madeSeq));
  const refs = new Set(placesThen(fault, log));
  for (const act of mending) act.touched().forEach((ref) => refs.add(ref));
  const joints = new Set(mending.flatMap((act) => act.joints));
  const later = <E extends Entry>(notes: readonly E[]) => notes.filter(({ madeSeq }) => madeSeq > last);
  return [
    ...later(notesOf(log, 'look')).filter(({ record: { body } }) => body.grade === 'good' && joints.has(body.of)),
    ...later(notesOf(log, 'reading')).filter(({ record: { body } }) => {
      const { touch, verdict } = body.reading;
      return verdict === 'pass' && (refs.has(touch.black) || refs.has(touch.red));
    }),
    ...later(notesOf(log, 'power')).filter(
      ({ record: { id, body } }) => body.verdict === 'pass' && !log.unpermitted.has(id),
    ),
  ];
}

export function idsOf(entries: readonly Entry[]): Id[] {
  return entries.map(({ record }) => record.id);
}

/**
 * The terminals of a fault's place as things were when it was found: those of a part, else all that hung on the same
 * nets. What is taken off one of them later was done at its place, also when it hangs on nothing any more.
 */
function placesThen(fault: NoteOf<'fault'>, log: LogState): TerminalRef[] {
  return placesIn(fault.record.body.fault.site, findEntry(log, fault.record.id)?.before.asBuilt ?? log.asBuilt);
}

function placesIn(site: Site, then: Assembly): TerminalRef[] {
  const refs = placesOf(site, then);
  if ('slot' in site) return refs;
  const nets = netlist(then);
  return [...new Set(refs.flatMap((ref) => [ref, ...(nets.netOf(ref)?.terminals ?? [])]))];
}

/** The terminals of a place where something can be wrong. */
function placesOf(site: Site, assembly: Assembly): TerminalRef[] {
  const { build } = assembly;
  if ('between' in site) return [...site.between];
  if ('wire' in site) return (lookUp(build.wires, site.wire)?.ends ?? []).flatMap((end) => landedOn(end) ?? []);
  const own = (slot: string, ids: readonly string[]) => ids.map((id) => terminalRef(slot, id));
  if ('slot' in site) return own(site.slot, assembly.model(site.slot)?.terminals.map(({ id }) => id) ?? [site.slot]);
  const mate = lookUp(build.mates, site.mate);
  return (mate ? [mate.a, mate.b] : []).flatMap((side) =>
    'slot' in side ? own(side.slot, assembly.connector(side.slot, side.connector)?.pins ?? []) : [],
  );
}

function isOf(joint: string, site: Site): boolean {
  const parts = splitJoint(joint);
  return 'wire' in site && parts?.wire === site.wire && (site.end === undefined || site.end === parts.end);
}
