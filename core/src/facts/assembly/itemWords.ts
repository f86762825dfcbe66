/** What things of an aircraft are called at the bench: short, one meaning each. */
import type { PartKind, PartModel, Terminal } from '../catalogue/partModel';
import type { Slot, TerminalRef } from '../terms/names';
import { splitJoint, splitRef } from '../terms/names';
import type { Site } from '../terms/site';
import type { Assembly } from './assembly';
import type { Wire } from './build';
import { landedOn } from './build';

const kindNames: Readonly<Record<PartKind, string>> = {
  controller: 'flight controller',
  'single board': 'single board',
  esc: 'ESC',
  distribution: 'distribution board',
  motor: 'motor',
  capacitor: 'capacitor',
  'battery lead': 'battery lead',
  receiver: 'receiver',
  'video unit': 'video unit',
  camera: 'camera',
  positioning: 'positioning unit',
  lights: 'light strip',
  'light controller': 'light controller',
  buzzer: 'buzzer',
  regulator: 'regulator',
  adapter: 'adapter board',
  antenna: 'antenna',
  frame: 'frame',
  propeller: 'propeller',
  pack: 'pack',
};

/** "motor M3", "ESC", "receiver": for a title, where `slotWords` is for a sentence. */
export function slotTitle(slot: Slot, assembly: Assembly): string {
  const kind = assembly.model(slot)?.kind;
  if (!kind) return slot;
  if (isOnlyOne(slot, kind, assembly)) return kindNames[kind];
  return slot.startsWith(kindNames[kind].toUpperCase()) ? slot : `${kindNames[kind]} ${slot}`;
}

/** "motor M3", "the ESC", "the receiver". */
export function slotWords(slot: Slot, assembly: Assembly): string {
  const kind = assembly.model(slot)?.kind;
  const title = slotTitle(slot, assembly);
  return kind && isOnlyOne(slot, kind, assembly) ? `the ${title}` : title;
}

/** Motors are always called by their number. */
function isOnlyOne(slot: Slot, kind: PartKind, assembly: Assembly): boolean {
  const others = Object.keys(assembly.build.slots).filter((other) => other !== slot);
  return kind !== 'motor' && others.every((other) => assembly.model(other)?.kind !== kind);
}

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
  const distance = (pad: Terminal) => Math.hypot(pad.atMm[0] - terminal.atMm[0], pad.atMm[1] - terminal.atMm[1]);
  const near = model.terminals
    .filter((pad) => pad.form !== 'shell' && sameFace(pad, terminal) && unique(pad))
    .sort((a, b) => distance(a) - distance(b))[0];
  return near ? `${shown(terminal.printed)} by ${shown(near.printed)}${under}` : shown(terminal.printed) + under;
}

function sameFace(a: Terminal, b: Terminal): boolean {
  return a.sides.some((side) => b.sides.includes(side)) && (a.form === 'pin') === (b.form === 'pin');
}

/** "the middle lead of motor M3", "the red wire of the receiver". */
export function wireWords(wire: Wire, assembly: Assembly): string {
  const from = landedOn(wire.ends[0]);
  const slot = from ? splitRef(from).slot : null;
  if (!slot || !from) return `the ${wire.colour} wire ${wire.id}`;
  const kind = assembly.model(slot)?.kind;
  if (kind === 'motor') return `lead ${splitRef(from).terminal} of motor ${slot}`;
  if (kind === 'capacitor')
    return `the ${splitRef(from).terminal === 'PLUS' ? 'plus' : 'striped minus'} leg of the capacitor`;
  if (kind === 'battery lead') return `the ${wire.colour} battery lead`;
  return `the ${wire.colour} wire`;
}

/** "lead B of motor M3 on ESC B3". */
export function jointWords(joint: string, assembly: Assembly): string {
  const parts = splitJoint(joint);
  const found = parts && assembly.build.wires[parts.wire];
  const at = found && landedOn(found.ends[parts.end]);
  return found && at ? `${wireWords(found, assembly)} on ${terminalWords(at, assembly)}` : joint;
}

export function plugWords(mateId: string, { build }: Assembly): string {
  const mate = build.mates[mateId];
  const side = mate && [mate.a, mate.b].find((pad) => 'slot' in pad);
  return side && 'slot' in side ? `${side.slot} ${side.connector}` : mateId;
}

/** A place in words, for findings, readings and faults. */
export function siteWords(site: Site, assembly: Assembly): string {
  if ('wire' in site) {
    const wire = assembly.build.wires[site.wire];
    if (!wire) return `wire ${site.wire}`;
    return site.end === undefined
      ? `${wireWords(wire, assembly)}, along its length`
      : jointWords(`${site.wire}.${site.end === 0 ? 'a' : 'b'}`, assembly);
  }
  if ('slot' in site) return `inside ${slotWords(site.slot, assembly)}${site.element ? ` (${site.element})` : ''}`;
  if ('mate' in site)
    return `plug ${plugWords(site.mate, assembly)}${site.position ? `, contact ${site.position}` : ''}`;
  return `between ${terminalWords(site.between[0], assembly)} and ${terminalWords(site.between[1], assembly)}`;
}
