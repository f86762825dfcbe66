/** What wires, their joints and places of an aircraft are called at the bench: short, one meaning each, never an id. */
import { jointName, splitJoint, splitRef } from '../terms/names';
import type { Site } from '../terms/site';
import type { Assembly } from './assembly';
import type { Wire } from './build';
import { landedOn } from './build';
import { padWords, terminalWords } from './padWords';
import { cavityWords, leadWords, plugWords, pushedHomeWords } from './plugWords';
import { slotWords } from './slotWords';
import { lookUp } from '../terms/lookUp';

/** "lead B of motor M3", "the red battery lead", "the green wire of the camera’s lead", "the red wire". */
export function wireWords(wire: Wire, assembly: Assembly): string {
  const from = wire.tailOf ?? null;
  const kind = from && assembly.model(splitRef(from).slot)?.kind;
  if (from && kind) {
    const { slot, terminal } = splitRef(from);
    if (kind === 'motor') return `lead ${terminal} of motor ${slot}`;
    if (kind === 'capacitor') return `the ${terminal === 'PLUS' ? 'plus' : 'striped minus'} leg of the capacitor`;
    if (kind === 'battery lead') return `the ${wire.colour} battery lead`;
    return `the ${wire.colour} lead of ${slotWords(slot, assembly)}`;
  }
  if (wire.bundle) return `the ${wire.colour} wire of ${leadWords(wire.bundle, assembly)}`;
  return `the ${wire.colour} wire`;
}

/** "lead B of motor M3 on ESC B3", "the red wire of the camera’s lead in plug FC J1, cavity 1 of 6". */
export function jointWords(joint: string, assembly: Assembly): string {
  const parts = splitJoint(joint);
  const wire = parts && lookUp(assembly.build.wires, parts.wire);
  if (!wire) return 'a joint that is not there any more';
  const { at } = wire.ends[parts.end];
  if (at.on === 'terminal') return `${wireWords(wire, assembly)} on ${terminalWords(at.ref, assembly)}`;
  if (at.on === 'air') return `the loose end of ${wireWords(wire, assembly)}`;
  return `${wireWords(wire, assembly)} in ${contactWords(at.housing, at.position, assembly)}`;
}

/** "RX 5V": a joint by where it is, short enough for a key. */
export function jointPlace(joint: string, assembly: Assembly): string {
  const parts = splitJoint(joint);
  const at = parts && lookUp(assembly.build.wires, parts.wire)?.ends[parts.end].at;
  return at?.on === 'terminal' ? terminalWords(at.ref, assembly) : jointWords(joint, assembly);
}

/** "plug FC J1, cavity 2 of 6". */
export function contactWords(housing: string, position: number, assembly: Assembly): string {
  return `${pushedHomeWords(housing, assembly)}, ${cavityWords(housing, position, assembly)}`;
}

/** "the red contact of the video unit’s lead": a wire by its crimped end. */
export function crimpWords(wire: Wire, assembly: Assembly): string {
  return `the ${wire.colour} contact${wire.bundle ? ` of ${leadWords(wire.bundle, assembly)}` : ''}`;
}

/** "the green wire, receiver RX": a wire by its colour and where its ends are. */
export function wireEndsWords(wire: Wire, assembly: Assembly): string {
  const at = wire.ends.flatMap((end) => landedOn(end) ?? []);
  const words = wireWords(wire, assembly);
  return at.length === 0 ? words : `${words}, ${at.map((ref) => terminalWords(ref, assembly)).join(' to ')}`;
}

/** A place in words, for findings, readings and faults. */
export function siteWords(site: Site, assembly: Assembly): string {
  if ('wire' in site) {
    const wire = lookUp(assembly.build.wires, site.wire);
    if (!wire) return 'a wire that is not there any more';
    if (site.end === undefined) return `${wireWords(wire, assembly)}, along its length`;
    const own = jointWords(jointName(site.wire, site.end), assembly);
    if (site.onto) return `${own}, put on ${padWords(site.onto, assembly)}`;
    return site.for ? `${own}, for ${jointWords(site.for, assembly)}` : own;
  }
  if ('slot' in site) return `inside ${slotWords(site.slot, assembly)}${site.element ? ` (${site.element})` : ''}`;
  if ('mate' in site)
    return `plug ${plugWords(site.mate, assembly)}${site.position ? `, contact ${site.position}` : ''}`;
  return `between ${terminalWords(site.between[0], assembly)} and ${terminalWords(site.between[1], assembly)}`;
}

/** One thing that can be wrong, with its place: "joint open: lead C of motor M4 on ESC C4". */
export function faultWords({ kind, site }: { kind: string; site: Site }, assembly: Assembly): string {
  return `${kind}: ${faultPlaceWords(site, assembly)}`;
}

/** Its place alone, where the kind says already that it lies inside: "winding WC of motor M4". */
export function faultPlaceWords(site: Site, assembly: Assembly): string {
  if (!('slot' in site)) return siteWords(site, assembly);
  if (!site.element) return slotWords(site.slot, assembly);
  const element = assembly.model(site.slot)?.elements.find(({ id }) => id === site.element);
  return `${element?.is ?? 'element'} ${site.element} of ${slotWords(site.slot, assembly)}`;
}
