/** Wires that are not there and would mend. */
import type { Build, Wire, WireEnd } from '../../facts/assembly/build';
import type { TerminalRef, WireId } from '../../facts/terms/names';
import { splitRef, tailWireId } from '../../facts/terms/names';
import { joinMm } from '../../physics/layout/wireLength';
import type { Wanted } from './joinable';
import { hasRole } from '../../facts/catalogue/roles';
import type { Remedy, Scene } from './scene';
import { spoken, under } from './scene';
import { lookUp } from '../../facts/terms/lookUp';

/** Of the pads that would do, the nearest. */
const maxPads = 6;

/** A wire for a terminal that wants a partner and has none; those of the parts in question first. */
export function missing(scene: Scene): Remedy[] {
  const { target, nets, sense, slots } = scene;
  const alone = sense.wanted.filter(({ own, pads }) => !pads.some((pad) => nets.netOf(pad) === nets.netOf(own)));
  const here = ({ own }: Wanted) => slots.has(splitRef(own).slot);
  return [...alone.filter(here), ...alone.filter((wanted) => !here(wanted))].flatMap(({ own, pads }) =>
    nearestFree(scene, own, pads).flatMap(({ ref, at }): Remedy[] => {
      const wire = newWire(scene, own, at, ref);
      return wire && !lookUp(target.wires, wire.id)
        ? [
            {
              message: `Add a wire from ${spoken(scene, own)} to ${spoken(scene, ref)}`,
              changes: [{ path: `wires/${wire.id}`, before: null, after: wire }],
            },
          ]
        : [];
    }),
  );
}

/** Where a wire could land: pads with room, and pins of plugs whose housing has an empty position. */
export function nearestFree(
  scene: Scene,
  from: TerminalRef,
  refs: readonly TerminalRef[],
): { ref: TerminalRef; at: WireEnd }[] {
  const { target, assembly } = scene;
  const taken = new Map<TerminalRef, number>();
  for (const wire of Object.values(target.wires))
    for (const ref of under(scene, wire)) if (ref) taken.set(ref, (taken.get(ref) ?? 0) + 1);
  return [...new Set(refs)]
    .flatMap((ref) => {
      const { holds, form } = assembly.terminal(ref)!;
      if ((taken.get(ref) ?? 0) >= Math.max(1, holds)) return [];
      const atOf = () => {
        if (form === 'pin') return cavityOf(scene, ref);
        if (form === 'tail') return null;
        return {
          at: { on: 'terminal', ref },
          by: 'solder',
          lay: form === 'hole' ? 'through' : 'flat',
        } satisfies WireEnd;
      };
      const at = atOf();
      return at ? [{ ref, at, mm: joinMm(assembly, from, ref) }] : [];
    })
    .sort((a, b) => a.mm - b.mm)
    .slice(0, maxPads);
}

/** The position in the housing that sits on a pin; null when nothing sits there. */
function cavityOf({ target, assembly }: Scene, ref: TerminalRef): WireEnd | null {
  const { slot, terminal } = splitRef(ref);
  for (const { a, b, shift } of Object.values(target.mates)) {
    if (!('slot' in a) || a.slot !== slot || !('housing' in b)) continue;
    const pin =
      assembly
        .model(slot)!
        .connectors.find(({ id }) => id === a.connector)
        ?.pins.indexOf(terminal) ?? -1;
    if (pin >= 0) return { at: { on: 'cavity', housing: b.housing, position: pin + 1 + shift }, by: 'crimp' };
  }
  return null;
}

/** From a terminal that has a lead of its own, that lead; else a wire from stock. null: nothing can be landed there. */
function newWire(scene: Scene, own: TerminalRef, to: WireEnd, pad: TerminalRef): Wire | null {
  const { target, assembly } = scene;
  const { slot, terminal } = splitRef(own);
  const tail = assembly.model(slot)!.tails.find((tail) => tail.terminal === terminal);
  if (tail) {
    const { awg, colour, insulation, lengthMm } = tail;
    return {
      id: tailWireId(slot, terminal),
      awg,
      colour,
      insulation,
      from: 'tail',
      tailOf: own,
      lengthMm,
      via: [],
      ends: [{ at: { on: 'terminal', ref: own }, by: 'factory' }, to],
    };
  }
  const one = assembly.terminal(own)!;
  const from: WireEnd | null =
    one.form === 'pin' ? cavityOf(scene, own) : { at: { on: 'terminal', ref: own }, by: 'solder', lay: 'flat' };
  if (!from) return null;
  const other = assembly.terminal(pad)!;
  const colourOf = () => {
    if (hasRole(one, 'ground')) return 'black';
    if (hasRole(one, 'supply')) return 'red';
    return 'violet';
  };
  const colour = colourOf();
  return {
    id: freeWireId(target),
    awg: Math.max(26, one.thickestAwg, other.thickestAwg),
    colour,
    insulation: 'silicone',
    from: 'stock',
    lengthMm: null,
    via: [],
    ends: [from, to],
  };
}

function freeWireId({ wires }: Build): WireId {
  let number = Object.keys(wires).length + 1;
  while (Object.hasOwn(wires, `W${number}`)) number++;
  return `W${number}`;
}
