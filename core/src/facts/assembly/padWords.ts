/** What pads are called at the bench: their print, with a neighbour's where the print alone would leave a choice. */
import type { PartModel, Terminal } from '../catalogue/partModel';
import type { TerminalRef } from '../terms/names';
import { splitRef } from '../terms/names';
import type { Assembly } from './assembly';

/** What is printed there: "B3", "R2"; the terminal's id when nothing is. */
export function printed(ref: TerminalRef, assembly: Assembly): string {
  return shown(assembly.terminal(ref)?.printed || splitRef(ref).terminal);
}

/** A minus as wide as a plus. */
function shown(print: string): string {
  return print.replace(/-$/, '−');
}

/** "FC R2", "ESC B3": slot and print; "FC G by R2" where several pads carry the same print. */
export function terminalWords(ref: TerminalRef, assembly: Assembly): string {
  return `${splitRef(ref).slot} ${padWords(ref, assembly)}`;
}

/** The print, with the nearest pad that has a print of its own where the print alone would leave a choice. */
export function padWords(ref: TerminalRef, assembly: Assembly): string {
  const { slot } = splitRef(ref);
  const model = assembly.model(slot);
  const terminal = assembly.terminal(ref);
  if (!model || !terminal) return printed(ref, assembly);
  let words = padWordsOf.get(terminal);
  if (words === undefined) padWordsOf.set(terminal, (words = clearWords(terminal, model)));
  return words;
}

/** A pad's words follow from its model alone, and each step and finding asks for them. */
const padWordsOf = new WeakMap<Terminal, string>();

function clearWords(terminal: Terminal, model: PartModel): string {
  const twins = (terminal: Terminal) =>
    model.terminals.filter(
      (other) =>
        other.printed === terminal.printed &&
        other.id !== terminal.id &&
        (other.form === 'pin') === (terminal.form === 'pin'),
    );
  const unique = (terminal: Terminal) => !twins(terminal).some((other) => sameFace(other, terminal));
  const under =
    terminal.sides.includes('top') || twins(terminal).every((other) => sameFace(other, terminal)) ? '' : ', underside';
  if (unique(terminal)) return shown(terminal.printed) + under;
  const near = model.terminals
    .filter((pad) => pad.form !== 'shell' && sameFace(pad, terminal) && unique(pad))
    .sort((a, b) => distanceMm(a, terminal) - distanceMm(b, terminal))[0];
  if (!near) return shown(terminal.printed) + under;
  // Of several with one print beside the same pad the nearest is meant by that alone; the others are counted.
  const before = (other: Terminal) =>
    distanceMm(other, near) - distanceMm(terminal, near) || (other.id < terminal.id ? -1 : 1);
  const rank = twins(terminal).filter((other) => sameFace(other, terminal) && before(other) < 0).length;
  const by = rank === 0 ? 'by' : `${counted[rank] ?? `no. ${rank + 1}`} from`;
  return `${shown(terminal.printed)} ${by} ${shown(near.printed)}${under}`;
}

const counted = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth'];

function distanceMm(a: Terminal, b: Terminal): number {
  return Math.hypot(a.atMm[0] - b.atMm[0], a.atMm[1] - b.atMm[1]);
}

function sameFace(a: Terminal, b: Terminal): boolean {
  return a.sides.some((side) => b.sides.includes(side)) && (a.form === 'pin') === (b.form === 'pin');
}
