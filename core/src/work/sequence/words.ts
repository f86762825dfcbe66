/** Steps in a technician's words: short, imperative, one meaning each. */
import type { Build, Wire } from '../../facts/assembly/build';
import { landedOn } from '../../facts/assembly/build';
import type { Catalogue } from '../../facts/catalogue/catalogue';
import type { PartKind, Terminal } from '../../facts/catalogue/partModel';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitJoint, splitRef } from '../../facts/terms/names';
import type { Step } from './step';
import { amountWords } from '../../facts/catalogue/stockLine';
import type { Site } from '../../facts/terms/site';
import { findTerminal, modelIn } from '../../facts/assembly/lookUp';

export interface WordContext {
  build: Build;
  /** The quad as it came in, for what goes. */
  before?: Build;
  catalogue: Catalogue;
}

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

/** "motor M3", "the ESC", "the receiver". */
export function slotWords(slot: Slot, { build, catalogue }: WordContext): string {
  const kind = modelIn(build, slot, catalogue)?.kind;
  if (!kind) return slot;
  const alone = Object.keys(build.slots).every(
    (other) => other === slot || modelIn(build, other, catalogue)?.kind !== kind,
  );
  if (alone && kind !== 'motor') return `the ${kindNames[kind]}`;
  return slot.startsWith(kindNames[kind].toUpperCase()) ? slot : `${kindNames[kind]} ${slot}`;
}

/** What is printed there: "B3", "R2"; the terminal's id when nothing is. */
export function printed(ref: TerminalRef, { build, catalogue }: WordContext): string {
  return shown(findTerminal(build, ref, catalogue)?.printed || splitRef(ref).terminal);
}

/** A minus as wide as a plus. */
function shown(print: string): string {
  return print.replace(/-$/, '−');
}

/** "FC R2", "ESC B3": slot and print; "FC G by R2" where several pads carry the same print. */
export function terminalWords(ref: TerminalRef, context: WordContext): string {
  return `${splitRef(ref).slot} ${padWords(ref, context)}`;
}

/** The print, with the nearest pad that has a print of its own where the print alone would leave a choice. */
export function padWords(ref: TerminalRef, context: WordContext): string {
  const { slot } = splitRef(ref);
  const model = modelIn(context.build, slot, context.catalogue);
  const terminal = findTerminal(context.build, ref, context.catalogue);
  if (!model || !terminal) return printed(ref, context);
  const twins = (one: Terminal) =>
    model.terminals.filter(
      (other) =>
        other.printed === one.printed && other.id !== one.id && (other.form === 'pin') === (one.form === 'pin'),
    );
  const unique = (one: Terminal) => !twins(one).some((other) => sameFace(other, one));
  const under =
    terminal.sides.includes('top') || twins(terminal).every((other) => sameFace(other, terminal)) ? '' : ', underside';
  if (unique(terminal)) return shown(terminal.printed) + under;
  const distance = (one: Terminal) => Math.hypot(one.atMm[0] - terminal.atMm[0], one.atMm[1] - terminal.atMm[1]);
  const near = model.terminals
    .filter((one) => one.form !== 'shell' && sameFace(one, terminal) && unique(one))
    .sort((a, b) => distance(a) - distance(b))[0];
  return near ? `${shown(terminal.printed)} by ${shown(near.printed)}${under}` : shown(terminal.printed) + under;
}

function sameFace(a: Terminal, b: Terminal): boolean {
  return a.sides.some((side) => b.sides.includes(side)) && (a.form === 'pin') === (b.form === 'pin');
}

/** "the middle lead of motor M3", "the red wire of the receiver". */
export function wireWords(wire: Wire, context: WordContext): string {
  const from = landedOn(wire.ends[0]);
  const slot = from ? splitRef(from).slot : null;
  if (!slot || !from) return `the ${wire.colour} wire ${wire.id}`;
  const kind = modelIn(context.build, slot, context.catalogue)?.kind;
  if (kind === 'motor') return `lead ${splitRef(from).terminal} of motor ${slot}`;
  if (kind === 'capacitor')
    return `the ${splitRef(from).terminal === 'PLUS' ? 'plus' : 'striped minus'} leg of the capacitor`;
  if (kind === 'battery lead') return `the ${wire.colour} battery lead`;
  return `the ${wire.colour} wire`;
}

const cautionWords: Readonly<Record<string, string>> = {
  'hot iron': 'Fumes away, pack unplugged, eyes covered when you snip',
  'propellers off': 'Take all propellers off',
  ventilated: 'Open the window or start the extractor',
  'fire-safe surface': 'Set the quad on a surface that cannot burn',
  'eye protection': 'Put eye protection on',
};

/** What goes is called what it was when the quad came in. */
function asItWas(context: WordContext, known: boolean): WordContext {
  return known && context.before ? { ...context, build: context.before } : context;
}

/** The sentence of a step. */
export function stepWords(step: Step, context: WordContext): string {
  switch (step.verb) {
    case 'fit':
      return `Put ${slotWords(step.subject, context)} in its place`;
    case 'take':
      return `Take ${slotWords(step.subject, asItWas(context, step.subject in (context.before?.slots ?? {})))} off`;
    case 'lead':
      return `Take supplied lead ${step.subject} and check its order`;
    case 'land':
      return landWords(step.subject, context);
    case 'free': {
      const { wire, end } = splitJoint(step.subject)!;
      const was = asItWas(context, wire in (context.before?.wires ?? {}));
      const found = was.build.wires[wire];
      const at = found && landedOn(found.ends[end]);
      return at ? `Take ${wireWords(found, was)} off ${terminalWords(at, was)}` : `Take ${step.subject} off`;
    }
    case 'redo':
      return `Rework the joint: ${jointWords(step.subject, context)}`;
    case 'drop': {
      const was = asItWas(context, step.subject in (context.before?.wires ?? {}));
      const wire = was.build.wires[step.subject];
      const at = wire?.ends.flatMap((end) => landedOn(end) ?? []) ?? [];
      return wire && at.length > 0
        ? `Take ${wireWords(wire, was)} out, off ${at.map((ref) => terminalWords(ref, was)).join(' and ')}`
        : `Take wire ${step.subject} out`;
    }
    case 'mate':
      return `Push plug ${plugWords(step.subject, context)} home until it clicks`;
    case 'unmate':
      return `Unplug ${plugWords(step.subject, asItWas(context, step.subject in (context.before?.mates ?? {})))}`;
    case 'look':
      if (step.plug) return `Look into plug ${step.plug.replace('.', ' ')} and its lead: no bent pin`;
      return `Look at the ${step.joints.length} joints of ${step.subject === 'power path' ? 'the power path' : slotWords(step.subject, context)}`;
    case 'count':
      return `Put ${amountWords(step.line.needed, step.line.unit)} of ${step.line.name} on the table`;
    case 'weigh':
      return `Weigh ${slotWords(step.subject, context)} while it is loose`;
    case 'sign':
      return `Read the loose ${slotWords(step.subject, context).replace(/^the /, '')}: its signature`;
    case 'prove':
      return 'Prove the meter, then measure the main leads';
    case 'touch': {
      const { black, red } = step.listed.touch;
      return `Black on ${terminalWords(black, context)}, red on ${terminalWords(red, context)}`;
    }
    case 'say':
      if (step.subject.startsWith(lidLead)) return lidWords(step.subject.slice(lidLead.length), context);
      if (step.subject.startsWith('set up '))
        return `Set up ${slotWords(step.subject.slice(7), context)} while it is loose: output kind, region, channel`;
      return cautionWords[step.subject] ?? antennaWords(step.subject, context);
    case 'picture':
      return `Take a picture of ${step.subject} before anything is opened`;
    case 'pack':
      return 'Measure the pack at its plug and put the limiter in line';
    case 'permit':
      return 'Ask for the permit: limited first power';
    case 'power':
      return 'Plug in through the limiter. Hand on the plug';
    case 'house':
    case 'unhouse':
      return `Housing ${step.subject}`;
  }
}

const lidLead = 'lead in the lid ';

function lidWords(id: string, context: WordContext): string {
  const wire = context.before?.wires[id];
  return `Before the lid lifts, find and unplug ${wire ? wireWords(wire, asItWas(context, true)) : id}: it tears`;
}

function antennaWords(subject: string, context: WordContext): string {
  const slot = subject.replace('antenna on ', '');
  return `Put the antenna on ${slotWords(slot, context)}: it transmits`;
}

function landWords(joint: string, context: WordContext): string {
  const { wire, end } = splitJoint(joint)!;
  const found = context.build.wires[wire];
  const at = found && landedOn(found.ends[end]);
  if (!found || !at) return `Land ${joint}`;
  return `Solder ${wireWords(found, context)} to ${slotWords(splitRef(at).slot, context)}, pad ${padWords(at, context)}`;
}

/** "lead B of motor M3 on ESC B3". */
export function jointWords(joint: string, context: WordContext): string {
  const parts = splitJoint(joint);
  const found = parts && context.build.wires[parts.wire];
  const at = found && landedOn(found.ends[parts.end]);
  return found && at ? `${wireWords(found, context)} on ${terminalWords(at, context)}` : joint;
}

function plugWords(mateId: string, { build }: WordContext): string {
  const mate = build.mates[mateId];
  const side = mate && [mate.a, mate.b].find((one) => 'slot' in one);
  return side && 'slot' in side ? `${side.slot} ${side.connector}` : mateId;
}

/** A place in words, for findings, readings and faults. */
export function siteWords(site: Site, context: WordContext): string {
  if ('wire' in site) {
    const wire = context.build.wires[site.wire];
    if (!wire) return `wire ${site.wire}`;
    return site.end === undefined
      ? `${wireWords(wire, context)}, along its length`
      : jointWords(`${site.wire}.${site.end === 0 ? 'a' : 'b'}`, context);
  }
  if ('slot' in site) return `inside ${slotWords(site.slot, context)}${site.element ? ` (${site.element})` : ''}`;
  if ('mate' in site)
    return `plug ${plugWords(site.mate, context)}${site.position ? `, contact ${site.position}` : ''}`;
  return `between ${terminalWords(site.between[0], context)} and ${terminalWords(site.between[1], context)}`;
}
