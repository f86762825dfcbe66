/**
 * Touches that could be asked for on a build as it stands: tones along each piece of copper, junctions between either
 * main lead and everything else, between neighbours, and between what one part has. With the seconds that each takes.
 */
import type { Assembly } from '../../../facts/assembly/assembly';
import { mainLeads } from '../../../facts/wiring/mainLeads';
import type { Net } from '../../../facts/wiring/netlist';
import { netlist } from '../../../facts/wiring/netlist';
import { sound } from '../../../facts/wiring/sound';
import { firstOfNode } from '../../../facts/catalogue/conductors';
import { hasRole } from '../../../facts/catalogue/roles';
import type { Slot, TerminalRef } from '../../../facts/terms/names';
import { splitRef, terminalRef } from '../../../facts/terms/names';
import type { Touch } from '../../../facts/log/reading';
import { besideInPlug, neighbourPairs } from '../neighbours';
import { contactsBehindPlugs, reachableTerminals } from '../reach';
import type { Defect } from '../defects/defect';
import { pairs } from '../defects/defect';
import { goodCopper } from './goodCopper';
import type { ProbeMode } from './meterScale';

export interface Candidate {
  touch: Touch & { mode: ProbeMode };
  /** Each way in which the hands can ask it; it says the same in all. */
  ways: readonly Way[];
  /** Seconds in which it is listened to and answered. */
  answerS: number;
  /** What it asks: another touch of this name on the same good aircraft tells nothing more. */
  asks: string;
}

/** One probe stays where it is for other touches; the other one is set down for this one. */
export interface Way {
  black: TerminalRef;
  red: TerminalRef;
  parked: 'black' | 'red';
}

export interface Candidates {
  all: readonly Candidate[];
  /** Seconds of hands to set a probe down there. */
  downS: (ref: TerminalRef) => number;
}

const leadNames = ['black', 'red'] as const;

/** Assumed: a probe is set down; it is listened to and answered; more where a pad is fine or lies in a plug. */
const [setDownS, answerS, fineS, behindS] = [1.5, 1, 1.5, 3];
/** Of parts with more pieces of copper than this only neighbours are tried against each other. */
const mostPieces = 12;

/** @param defects What should be shown: where metal may join two places these are tried against each other. */
export function candidatesFor(wired: Assembly, defects: readonly Pick<Defect, 'site'>[]): Candidates {
  const assembly = sound(wired);
  const leads = mainLeads(assembly);
  const nets = netlist(assembly);
  const behind = contactsBehindPlugs(assembly);
  const reachable = reachableTerminals(assembly);
  const downS = (ref: TerminalRef) => {
    if (behind.has(ref)) return setDownS + behindS;
    return setDownS + (assembly.terminal(ref)!.touch === 'fine' ? fineS : 0);
  };
  const { pieceOf } = goodCopper(assembly);
  const list = new CandidateList(pieceOf, leads ? [leads.minus, leads.plus] : []);
  const made = { all: list.all, downS };
  if (!leads) return made;
  // These two first: they are asked for in any case.
  list.add(leads.minus, leads.plus, 'tone');
  list.add(leads.plus, leads.minus, 'tone');
  const places = nets.nets.map((net) => ({ net, refs: placesOn(net, reachable, behind) }));
  for (const { refs } of places)
    for (const ref of refs.slice(1)) {
      list.addAlong(refs[0]!, ref);
      list.addAlong(refs.at(-1)!, ref);
    }
  const each = places.flatMap(({ refs }) => refs);
  for (const lead of [leads.minus, leads.plus])
    for (const ref of each) {
      list.addBetween(lead, ref);
    }
  const isTouched = new Set(each);
  for (const [a, b] of neighbourPairs(assembly))
    if (reachable.has(a) && reachable.has(b) && nets.netOf(a) !== nets.netOf(b)) list.addBetween(a, b);
  for (const [a, b] of besideInPlug(assembly))
    if (isTouched.has(a) && isTouched.has(b) && nets.netOf(a) !== nets.netOf(b)) list.addBetween(a, b);
  const refsOn = new Map(places.map(({ net, refs }) => [net, refs]));
  const firsts = places.flatMap(({ refs }) => refs.slice(0, 1));
  for (const slot of Object.keys(assembly.build.slots)) {
    const { terminals, frame } = assembly.model(slot)!;
    const own = new Set(terminals.flatMap(({ id }) => nets.netOf(terminalRef(slot, id)) ?? []));
    const refs = [...own].flatMap((net) => refsOn.get(net)?.slice(0, 1) ?? []);
    // What touches the frame can be anything.
    if (frame) for (const metal of refs) for (const ref of firsts) list.addBetween(metal, ref);
    else if (refs.length <= mostPieces) for (const [a, b] of pairs(refs)) list.addBetween(a, b);
  }
  for (const { site } of defects) {
    const [a, b] = 'between' in site ? site.between.map((ref) => refsOn.get(nets.netOf(ref)!) ?? []) : [];
    const isOfLead = [a, b].some((refs) => refs?.includes(leads.minus) || refs?.includes(leads.plus));
    if (a?.[0] && b?.[0] && a !== b && !isOfLead && !list.hasBetween(a, b)) list.addBetween(a[0], b[0]);
  }
  return made;
}

/**
 * Of a part that nothing is joined to: diode volts between ground or a supply and each conductor, both ways, and tones
 * between pins of one plug that lie side by side.
 */
export function candidatesOnPart(alone: Assembly, slot: Slot): Candidates {
  const { terminals } = alone.model(slot)!;
  const own = firstOfNode(terminals.filter(({ touch, form }) => touch !== 'no' || form === 'tail'));
  const downS = (ref: TerminalRef) => setDownS + (alone.terminal(ref)!.touch === 'fine' ? fineS : 0);
  const firstAt = (id: string) => own.findIndex(({ node }) => node === terminals.find((one) => one.id === id)!.node);
  const list = new CandidateList((ref) => firstAt(splitRef(ref).terminal));
  const isRail = (node: string) =>
    terminals.some((one) => one.node === node && (hasRole(one, 'ground') || hasRole(one, 'supply')));
  for (const rail of own.filter(({ node }) => isRail(node)))
    for (const { id } of own) {
      list.add(terminalRef(slot, rail.id), terminalRef(slot, id), 'diode');
      list.add(terminalRef(slot, id), terminalRef(slot, rail.id), 'diode');
    }
  for (const [a, b] of besideInPlug(alone)) {
    const [one, other] = [a, b].map((ref) => firstAt(splitRef(ref).terminal)) as [number, number];
    if (one >= 0 && other >= 0 && one !== other)
      list.addAlong(terminalRef(slot, own[one]!.id), terminalRef(slot, own[other]!.id));
  }
  return { all: list.all, downS };
}

/** Ohms between the places of each of these faults: where tone and junctions show nothing they may. */
export function candidatesInOhms(
  wired: Assembly,
  defects: readonly Pick<Defect, 'edits'>[],
  { downS }: Candidates,
): Candidates {
  const assembly = sound(wired);
  const { copper, pieceOf } = goodCopper(assembly);
  const reachable = reachableTerminals(assembly);
  const behind = contactsBehindPlugs(assembly);
  const refOn = new Map(
    netlist(assembly).nets.flatMap((net) =>
      placesOn(net, reachable, behind)
        .slice(0, 1)
        .map((ref) => [pieceOf(ref), ref] as const),
    ),
  );
  // A probe lies on a main lead for most of the others.
  const leads = mainLeads(assembly);
  for (const ref of leads ? [leads.minus, leads.plus] : []) refOn.set(pieceOf(ref), ref);
  const list = new CandidateList(pieceOf);
  for (const { edits } of defects) {
    const nodes = edits.flatMap((edit) => ('bridge' in edit ? edit.bridge : []));
    const refs = [...new Set(nodes.map((node) => copper.pieceOf(node)))].flatMap((piece) => refOn.get(piece) ?? []);
    for (const [a, b] of pairs(refs)) list.add(a, b, 'ohms', true);
  }
  return { all: list.all, downS };
}

/** Where a net can be touched: on each part once, by a bare terminal if it has one, else from behind a plug. */
function placesOn(net: Net, reachable: ReadonlySet<TerminalRef>, behind: ReadonlySet<TerminalRef>): TerminalRef[] {
  const bare = net.terminals.filter((ref) => reachable.has(ref));
  const slots = new Set(bare.map((ref) => splitRef(ref).slot));
  return [...bare, ...net.terminals.filter((ref) => behind.has(ref) && !slots.has(splitRef(ref).slot))];
}

class CandidateList {
  readonly all: Candidate[] = [];
  private readonly known = new Set<string>();

  constructor(
    private readonly pieceOf: (ref: TerminalRef) => number,
    private readonly leads: readonly TerminalRef[] = [],
  ) {}

  add(black: TerminalRef, red: TerminalRef, mode: ProbeMode, isAlong = false): void {
    const key = `${black} ${red} ${mode}`;
    if (black === red || this.known.has(key)) return;
    this.known.add(key);
    if (isAlong) this.known.add(`${red} ${black} ${mode}`);
    const ways = isAlong ? [...this.waysOf(black, red), ...this.waysOf(red, black)] : this.waysOf(black, red);
    const touch = { black, red, mode, power: 'off' } as const;
    this.all.push({ touch, ways, answerS, asks: this.asked(touch, isAlong) });
  }

  /** Against a main lead it is the probe on that lead which stays. */
  private waysOf(black: TerminalRef, red: TerminalRef): Way[] {
    const onLead = ([black, red] as const).filter((ref) => this.leads.includes(ref));
    const parked = leadNames.filter((name) => onLead.length === 0 || onLead[0] === { black, red }[name]);
    return parked.map((name) => ({ black, red, parked: name }));
  }

  /** Along one piece of copper each two places ask for what lies between them. */
  private asked({ black, red, mode }: Pick<Candidate['touch'], 'black' | 'red' | 'mode'>, isAlong: boolean): string {
    const pieces = [this.pieceOf(black), this.pieceOf(red)];
    if (pieces[0] === pieces[1]) return `${black} ${red}`;
    return `${mode} ${(isAlong ? pieces.sort((a, b) => a - b) : pieces).join(' ')}`;
  }

  /** Whether something is asked between two of them. */
  hasBetween(some: readonly TerminalRef[], others: readonly TerminalRef[]): boolean {
    return some.some((a) => others.some((b) => this.known.has(`${a} ${b} tone`) || this.known.has(`${b} ${a} tone`)));
  }

  /** So few volts are left where it sounds that no junction conducts: it says the same either way round. */
  addAlong(a: TerminalRef, b: TerminalRef): void {
    this.add(a, b, 'tone', true);
  }

  /** A tone, which is quick; where no copper joins them also what lies between them, either way. */
  addBetween(a: TerminalRef, b: TerminalRef): void {
    this.addAlong(a, b);
    if (this.pieceOf(a) === this.pieceOf(b)) return;
    this.add(a, b, 'diode');
    this.add(b, a, 'diode');
  }
}
