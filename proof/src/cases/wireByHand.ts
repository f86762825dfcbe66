/**
 * Builds wired by hand, in a short notation, for judging the program by: nobody's planner made them.
 * A wire is `RX.TX>FC.RX1`; a lead of a part (motor, capacitor, buzzer) is named the same way and is the part's own.
 * A lead with a plug at its start is `GPS.J1>FC.5V,FC.RX2,-,FC.G`, contact 1 first, `-` for a contact left out;
 * with plugs at both ends `ESC.J1>FC.J1`, or `GPS.J1>FC.J4@1,3,2,4` when contacts are exchanged. A mate is
 * `VTX.ANT=ANT.PLUG`. A link is `receiver RX/LINK FC/UART1`.
 */
import type { Catalogue, Housing, Link, Mate, PlanDraft, TerminalRef, Wire, WireEnd, Assembly } from '@junctor/core';
import { assemble, emptyBuild, tailWireId } from '@junctor/core';

export interface HandWired {
  name: string;
  slots: Readonly<Record<string, string>>;
  cells: readonly [number, number];
  wires: string;
  leads?: string;
  mates?: string;
  links: string;
}

const solder = (ref: string): WireEnd => ({
  at: { on: 'terminal', ref: ref as TerminalRef },
  by: 'solder',
  lay: 'flat',
});
const crimp = (housing: string, position: number): WireEnd => ({
  at: { on: 'cavity', housing, position },
  by: 'crimp',
});
const body = { awg: 28, colour: 'white', insulation: 'silicone', lengthMm: 80, via: [] } as const;

/**
 * The plan that a hand-wired build amounts to. @throws {RangeError} For a part, terminal or connector that does not
 * exist.
 */
export function wireByHand(hand: HandWired, catalogue: Catalogue): PlanDraft {
  const slots = Object.fromEntries(
    Object.entries(hand.slots).map(([slot, model]) => [slot, { model, revision: 1, part: null, pose: null }]),
  );
  const made: { wires: Record<string, Wire>; housings: Record<string, Housing>; mates: Record<string, Mate> } = {
    wires: {},
    housings: {},
    mates: {},
  };
  const start = assemble({ ...emptyBuild, slots }, catalogue);
  words(hand.wires).forEach((text, index) => {
    const [from, to] = text.split('>') as [TerminalRef, TerminalRef];
    check(start, from);
    check(start, to);
    const slot = from.split('.')[0]!;
    const terminal = from.slice(slot.length + 1);
    const tail = start.model(slot)!.tails.find((tail) => tail.terminal === terminal);
    const id = tail ? tailWireId(slot, terminal) : `W${index + 1}`;
    const factory: WireEnd = { at: { on: 'terminal', ref: from }, by: 'factory' };
    made.wires[id] = tail
      ? {
          ...body,
          id,
          awg: tail.awg,
          colour: tail.colour,
          insulation: tail.insulation,
          from: 'tail',
          tailOf: from,
          lengthMm: tail.lengthMm,
          ends: [factory, solder(to)],
        }
      : { ...body, id, awg: awgFor(from, hand), from: 'stock', ends: [solder(from), solder(to)] };
  });
  words(hand.leads ?? '').forEach((text, index) => lead(start, made, text, `C${index + 1}`));
  for (const text of words(hand.mates ?? '')) {
    const [a, b] = text
      .split('=')
      .map((side) => ({ slot: side.split('.')[0]!, connector: side.slice(side.indexOf('.') + 1) }));
    made.mates[text] = { a: a!, b: b!, shift: 0, mirrored: false, glued: false };
  }
  const links = hand.links
    .split(';')
    .map((word) => word.trim())
    .filter(Boolean)
    .map((text): Link => {
      const ends = text
        .split(' ')
        .filter((word) => word.includes('/'))
        .map((word) => ({ slot: word.split('/')[0]!, port: word.split('/')[1]! }));
      return {
        id: text,
        purpose: text
          .split(' ')
          .filter((word) => !word.includes('/'))
          .join(' '),
        ends,
        wires: [],
        set: {},
      };
    });
  return {
    target: { ...start.build, ...made },
    front: null,
    links,
    cells: hand.cells,
    schools: {},
    wishes: [],
    pinned: [],
  };
}

function words(text: string): string[] {
  return text.trim().split(/\s+/).filter(Boolean);
}

/** Battery wires of separate ESCs and boards are thick, signals thin. */
function awgFor(from: string, hand: HandWired): number {
  const model = hand.slots[from.split('.')[0]!] ?? '';
  if (/\.B[PM]$/.test(from)) return model.includes('esc') ? 14 : 12;
  if (/\.(VBAT|VB1)$/.test(from)) return 24;
  if (/\.(VIN|GND|5V)$/.test(from)) return 26;
  return 28;
}

function check(assembly: Assembly, ref: TerminalRef): void {
  const slot = ref.split('.')[0]!;
  if (!assembly.model(slot)?.terminals.some(({ id }) => `${slot}.${id}` === ref))
    throw new RangeError(`no terminal ${ref}`);
}

function lead(
  assembly: Assembly,
  made: { wires: Record<string, Wire>; housings: Record<string, Housing>; mates: Record<string, Mate> },
  text: string,
  id: string,
): void {
  const [from, to] = text.split('>') as [string, string];
  const plug = (at: string, name: string) => {
    const [slot, connectorId] = [at.split('.')[0]!, at.slice(at.indexOf('.') + 1)];
    const connector = assembly.model(slot)!.connectors.find((connector) => connector.id === connectorId);
    if (!connector) throw new RangeError(`no connector ${at}`);
    made.housings[name] = {
      id: name,
      family: connector.family,
      pitchMm: connector.pitchMm,
      ways: connector.pins.length,
      key: connector.key,
    };
    made.mates[`J${name}`] = {
      a: { slot, connector: connectorId },
      b: { housing: name },
      shift: 0,
      mirrored: false,
      glued: false,
    };
    return connector.pins.length;
  };
  const ways = plug(from, `${id}E`);
  const [farPlug, order] = to.split('@') as [string, string?];
  const far = order || !to.includes(',') ? null : to.split(',');
  if (!far) plug(farPlug, `${id}F`);
  const positions = order?.split(',').map(Number);
  for (let position = 1; position <= ways; position++) {
    const target = far?.[position - 1];
    if (target === '-') continue;
    if (target) check(assembly, target as TerminalRef);
    made.wires[`${id}-${position}`] = {
      ...body,
      id: `${id}-${position}`,
      from: 'supplied',
      bundle: id,
      ends: [
        crimp(`${id}E`, position),
        target ? solder(target) : crimp(`${id}F`, positions?.[position - 1] ?? position),
      ],
    };
  }
}
