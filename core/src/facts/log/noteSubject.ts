/** What a note is about, as a key: notes of one kind with one subject follow each other. */
import type { Touch } from './reading';
import type { MeasuredGap, Note } from './records';

/** A touch is told by its terminals, in their order, its mode and the power it was read under. */
export function touchKey({ black, red, mode, power }: Touch): string {
  return `${black}~${red}~${mode}~${power}`;
}

/** A length that can be measured is told by its margin and its parts. */
export function gapKey({ kind, slots }: Pick<MeasuredGap, 'kind' | 'slots'>): string {
  return `${kind} ${slots.join(' ')}`;
}

/** Empty for kinds of which there is one thing only. */
export function subjectOf(note: Note): string {
  switch (note.saw) {
    case 'reading':
      return touchKey(note.reading.touch);
    case 'look':
    case 'picture':
      return note.of;
    case 'caution':
      return note.id;
    case 'kit':
      return note.line;
    case 'weight':
      return note.what;
    case 'signature':
      return note.slot;
    case 'gap':
      return gapKey(note);
    case 'length':
      return note.wire;
    case 'skip':
      return note.step;
    case 'waiver':
      return note.finding;
    case 'permit':
      return note.gate;
    case 'replace':
      return note.slot;
    case 'stays open':
      return note.mate;
    case 'goes':
      return note.act;
    case 'layout':
    case 'cut':
    case 'power':
    case 'meter proof':
    case 'pack':
    case 'fault':
    case 'symptom':
    case 'history':
    case 'untouched':
    case 'open point':
    case 'handed over':
    case 'taken back':
      return '';
  }
}
