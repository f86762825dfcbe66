/**
 * The continuity list of a build, in the order of work: anchors first, main leads both ways, then everything else
 * so that each net has sounded before silence on it is asked. Which touches; never what they must read.
 */
import { landedOn } from '../../facts/assembly/build';
import type { Terminal } from '../../facts/catalogue/partModel';
import { isMotor } from '../../facts/catalogue/kinds';
import type { Slot, TerminalRef } from '../../facts/terms/names';
import { splitRef, terminalRef } from '../../facts/terms/names';
import type { Net, Netlist } from '../../facts/wiring/netlist';
import { netlist } from '../../facts/wiring/netlist';
import { sound } from '../../facts/wiring/sound';
import { compileSound } from '../../physics/circuit/compile';
import { expectIn } from './expect';
import { neighbourPairs } from './neighbours';
import type { Touch } from '../../facts/log/reading';
import { referenceMeter } from './referenceMeter';
import { contactsBehindPlugs, reachableTerminals } from './reach';
import { hasRole, phaseChannel } from '../../facts/catalogue/roles';
import { mainLeads } from '../../facts/wiring/mainLeads';
import type { Assembly } from '../../facts/assembly/assembly';

export type TouchReason =
  | 'first anchor'
  | 'main leads'
  | 'main leads exchanged'
  | 'ground'
  | 'wire end to end'
  | 'same net'
  | 'rail to ground'
  | 'sister phase'
  | 'phase to rail'
  | 'neighbours';

/** Touches across the pack's own contacts: the ones that nobody can waive. */
export function isOfMainLeads(reason: TouchReason): boolean {
  return reason === 'main leads' || reason === 'main leads exchanged';
}

const tones: ReadonlySet<TouchReason> = new Set([
  'first anchor',
  'ground',
  'wire end to end',
  'same net',
  'sister phase',
]);

/** True for touches that sound on a good build: anchors for silences on the same nets. */
export function soundsWhenGood(reason: TouchReason): boolean {
  return tones.has(reason);
}

export interface ListedTouch {
  touch: Touch;
  reason: TouchReason;
}

export interface ContinuityList {
  touches: readonly ListedTouch[];
  /** Neighbours that no tone can anchor: shown as "contact not proven", not asked. */
  notProven: readonly (readonly [TerminalRef, TerminalRef])[];
}

/** Empty when the build has no battery lead. */
export function continuityTouches(assembly: Assembly): ContinuityList {
  const leads = mainLeads(assembly);
  if (!leads) return { touches: [], notProven: [] };
  // A short that was found is asked for like any other silence: it is no wiring.
  const view = makeView(sound(assembly));
  const list = new TouchList();
  const ground = view.nets.netOf(leads.minus)!;
  const battery = view.nets.netOf(leads.plus)!;
  const grounds = view.probable(ground).filter((ref) => ref !== leads.minus);
  const fed = view.probable(battery).filter((ref) => ref !== leads.plus);

  list.add('first anchor', leads.minus, view.easiest(grounds));
  list.add('first anchor', view.easiest(fed), leads.plus);
  list.add('main leads', leads.minus, leads.plus);
  list.addAgain('main leads exchanged', leads.plus, leads.minus);
  for (const ref of grounds) list.add('ground', leads.minus, ref);
  for (const ref of view.behindPlugs(ground)) list.add('ground', leads.minus, ref);
  for (const ref of view.behindPlugs(battery)) list.add('same net', ref, leads.plus);
  for (const [a, b] of view.wireEnds()) list.add('wire end to end', a, b);

  const rails = view.suppliesOutside(battery, ground);
  for (const { refs } of rails) list.add('same net', refs[0], refs[1]);
  for (const { net, refs } of rails)
    for (const ref of view.behindPlugs(net))
      list.add(
        'same net',
        refs.find((other) => other !== ref),
        ref,
      );
  for (const { refs } of rails) list.add('rail to ground', leads.minus, refs[0]);

  const phases = view.phases();
  for (const sisters of phases) sisters.slice(1).forEach((ref, index) => list.add('sister phase', sisters[index], ref));
  const anchored = phases.filter(({ length }) => length > 1).flat();
  for (const rail of [leads.minus, leads.plus]) for (const ref of anchored) list.add('phase to rail', rail, ref);

  const notProven: [TerminalRef, TerminalRef][] = [];
  for (const [a, b] of view.neighbours()) {
    // A bridge joins two nets wherever it lies: one touch between them sees it.
    if (list.touches.some(({ touch }) => view.sameNets(touch, a, b))) continue;
    if (!view.canBeAnchored(a, list) || !view.canBeAnchored(b, list)) notProven.push([a, b]);
    else if (view.nets.netOf(b) === ground) list.add('neighbours', b, a);
    else list.add('neighbours', a, b);
  }
  const { told, untold } = tellable(list.touches, assembly);
  return { touches: told, notProven: [...notProven, ...untold] };
}

/**
 * Touches that a reading can decide, and pairs where the answer hangs on an inside that nobody knows. The main leads
 * are asked for in any case: nothing else opens their gate.
 */
function tellable(
  touches: readonly ListedTouch[],
  assembly: Assembly,
): { told: readonly ListedTouch[]; untold: [TerminalRef, TerminalRef][] } {
  const circuit = compileSound(assembly);
  if (!circuit.branches.some(({ element }) => element.is === 'unknown switch')) return { told: touches, untold: [] };
  const isUntold = ({ touch, reason }: ListedTouch) =>
    !isOfMainLeads(reason) && expectIn(circuit, touch, { meter: referenceMeter }).from === 'none';
  return {
    told: touches.filter((listed) => !isUntold(listed)),
    untold: touches.filter(isUntold).map(({ touch: { black, red } }) => [black, red]),
  };
}

/** Keeps each pair once; a touch with its probes exchanged counts as the same unless it is asked for. */
class TouchList {
  readonly touches: ListedTouch[] = [];
  private readonly pairs = new Set<string>();

  add(reason: TouchReason, black: TerminalRef | undefined, red: TerminalRef | undefined): void {
    if (!black || !red || black === red || this.pairs.has([black, red].sort().join('~'))) return;
    this.addAgain(reason, black, red);
  }

  addAgain(reason: TouchReason, black: TerminalRef, red: TerminalRef): void {
    this.pairs.add([black, red].sort().join('~'));
    this.touches.push({ reason, touch: { black, red, mode: 'tone', power: 'off' } });
  }
}

interface View {
  nets: Netlist;
  probable(net: Net): TerminalRef[];
  /** Where a part has nothing bare on a net: its contact in a plug, touched from behind. */
  behindPlugs(net: Net): TerminalRef[];
  easiest(refs: readonly TerminalRef[]): TerminalRef | undefined;
  wireEnds(): [TerminalRef, TerminalRef][];
  suppliesOutside(...without: Net[]): { net: Net; refs: TerminalRef[] }[];
  phases(): TerminalRef[][];
  neighbours(): (readonly [TerminalRef, TerminalRef])[];
  /** True when a touch lies between the same two nets as a pair of terminals. */
  sameNets(touch: Touch, a: TerminalRef, b: TerminalRef): boolean;
  canBeAnchored(ref: TerminalRef, list: TouchList): boolean;
}

function makeView(assembly: Assembly): View {
  const nets = netlist(assembly);
  const terminal = (ref: TerminalRef): Terminal => assembly.terminal(ref)!;
  const reachable = (ref: TerminalRef) => reachableTerminals(assembly).has(ref);
  const probable = (net: Net) => net.terminals.filter(reachable);
  const behind = contactsBehindPlugs(assembly);
  const behindPlugs = (net: Net) => {
    const bare = new Set(probable(net).map((ref) => splitRef(ref).slot));
    return firstOfSlot(net.terminals.filter((ref) => behind.has(ref) && !bare.has(splitRef(ref).slot)));
  };
  const ease = (ref: TerminalRef) => (terminal(ref).touch === 'easy' ? 0 : 1);
  return {
    nets,
    probable,
    behindPlugs,
    easiest: (refs) => [...refs].sort((a, b) => ease(a) - ease(b))[0],
    wireEnds: () =>
      Object.values(assembly.build.wires).flatMap((wire) => {
        const [a, b] = [landedOn(wire.ends[0]), landedOn(wire.ends[1])];
        return a && b && reachable(a) && reachable(b) ? [[a, b] as [TerminalRef, TerminalRef]] : [];
      }),
    suppliesOutside: (...without) =>
      nets.nets
        .filter((net) => !without.includes(net) && net.terminals.some((ref) => hasRole(terminal(ref), 'supply')))
        .map((net) => ({ net, refs: [...probable(net), ...behindPlugs(net)] }))
        .filter(({ refs }) => refs.length >= 2),
    phases: () => phaseGroups(assembly).map((group) => group.filter(reachable)),
    neighbours: () =>
      neighbourPairs(assembly).filter(([a, b]) => reachable(a) && reachable(b) && nets.netOf(a) !== nets.netOf(b)),
    sameNets: ({ black, red }, a, b) => {
      const pair = new Set([nets.netOf(a), nets.netOf(b)]);
      return pair.has(nets.netOf(black)) && pair.has(nets.netOf(red)) && nets.netOf(black) !== nets.netOf(red);
    },
    canBeAnchored: (ref, list) => {
      const net = nets.netOf(ref);
      const soundsOn = (other: TerminalRef) => nets.netOf(other) === net;
      return list.touches.some(
        ({ touch, reason }) => soundsWhenGood(reason) && (soundsOn(touch.black) || soundsOn(touch.red)),
      );
    },
  };
}

function firstOfSlot(refs: readonly TerminalRef[]): TerminalRef[] {
  const seen = new Set<Slot>();
  return refs.filter((ref) => !seen.has(splitRef(ref).slot) && Boolean(seen.add(splitRef(ref).slot)));
}

/** The phase pads of each channel, of ESCs and of boards that drive motors themselves. */
function phaseGroups(assembly: Assembly): TerminalRef[][] {
  const groups = new Map<string, TerminalRef[]>();
  for (const slot of Object.keys(assembly.build.slots)) {
    const model = assembly.model(slot)!;
    if (isMotor(model.kind)) continue;
    for (const { id } of model.terminals) {
      const channel = phaseChannel(model, id);
      if (channel === null) continue;
      const key = `${slot}/${channel}`;
      groups.set(key, [...(groups.get(key) ?? []), terminalRef(slot, id)]);
    }
  }
  return [...groups.values()];
}
