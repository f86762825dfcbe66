/** What work had its hands on: pads and pins, wires, plugs and parts; not the rest of the copper that these are on. */
import type { Act } from '../assembly/act';
import type { Assembly } from '../assembly/assembly';
import type { ConnectorRef } from '../assembly/build';
import { landedOn } from '../assembly/build';
import { lookUp } from '../terms/lookUp';
import type { Slot, TerminalRef, WireId } from '../terms/names';
import { terminalRef } from '../terms/names';

export interface WorkedPlaces {
  terminals: ReadonlySet<TerminalRef>;
  wires: ReadonlySet<WireId>;
  mates: ReadonlySet<string>;
  slots: ReadonlySet<Slot>;
}

/** @param builds As it was and as it becomes: an act names a wire, these say where that ends. */
export function workedPlaces(acts: readonly Act[], builds: readonly Assembly[]): WorkedPlaces {
  const places = {
    terminals: new Set<TerminalRef>(),
    wires: new Set<WireId>(),
    mates: new Set<string>(),
    slots: new Set<Slot>(),
  };
  const { terminals, wires, mates, slots } = places;
  const endsOf = (wire: WireId, which: readonly (0 | 1)[]) => {
    wires.add(wire);
    for (const { build } of builds)
      for (const end of which) {
        const on = lookUp(build.wires, wire)?.ends[end];
        const ref = on && landedOn(on);
        if (ref) terminals.add(ref);
      }
  };
  const sidesOf = (id: string) => {
    mates.add(id);
    for (const assembly of builds) {
      const mate = lookUp(assembly.build.mates, id);
      for (const side of mate ? [mate.a, mate.b] : []) onSide(assembly, side);
    }
  };
  const onSide = (assembly: Assembly, side: ConnectorRef) => {
    if ('slot' in side) {
      for (const pin of assembly.connector(side.slot, side.connector)?.pins ?? [])
        terminals.add(terminalRef(side.slot, pin));
      return;
    }
    for (const { id, ends } of Object.values(assembly.build.wires))
      if (ends.some(({ at }) => at.on === 'cavity' && at.housing === side.housing)) wires.add(id);
  };
  for (const act of acts)
    switch (act.do) {
      case 'land': {
        const ref = landedOn(act.as);
        if (ref) terminals.add(ref);
        endsOf(act.wire, [act.end]);
        break;
      }
      case 'reheat':
      case 'free':
        endsOf(act.wire, [act.end]);
        break;
      case 'drop wire':
        endsOf(act.wire, [0, 1]);
        break;
      case 'fit':
      case 'take off':
        slots.add(act.slot);
        for (const assembly of builds)
          for (const { id } of assembly.model(act.slot)?.terminals ?? []) terminals.add(terminalRef(act.slot, id));
        break;
      case 'mate':
      case 'unmate':
        sidesOf(act.id);
        break;
      case 'contact':
        terminals.add(act.a).add(act.b);
        break;
      case 'hide':
      case 'bare':
        for (const ref of act.refs) terminals.add(ref);
        break;
      case 'house':
      case 'unhouse':
        break;
    }
  return places;
}
