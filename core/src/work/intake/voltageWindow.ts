/** Does every part live on the volts that it gets, from the empty to the full pack? */
import type { Range, Slot, TerminalRef } from '../../facts/terms/names';
import { terminalRef } from '../../facts/terms/names';
import { supplyTree } from '../../physics/loads/supplyTree';
import { sourcesOf } from '../../judgement/rules/sources';
import { netlist } from '../../facts/wiring/netlist';
import type { Assembly } from '../../facts/assembly/assembly';

interface WindowLine {
  slot: Slot;
  pad: TerminalRef;
  printed: string;
  /** What it takes. */
  takesV: Range;
  /** Where its supply comes from: "battery", "FC 5 V". */
  from: string | null;
  /** What arrives with the pack empty and full; null without a source. */
  emptyV: number | null;
  fullV: number | null;
  verdict: 'fits' | 'too low at empty' | 'too high' | 'not fed';
}

/** Every supply pad of every part, one line a part and feed; worst first. */
export function voltageWindow(target: Assembly, cells: Range): WindowLine[] {
  const nets = netlist(target);
  const sources = sourcesOf(target, nets, supplyTree(target, cells));
  const lines = Object.keys(target.build.slots).flatMap((slot) => {
    const model = target.model(slot)!;
    const seen = new Set<string>();
    return model.terminals.flatMap((terminal): WindowLine[] => {
      const takes = terminal.roles.find((role) => role.is === 'supply' && role.dir === 'takes');
      if (takes?.is !== 'supply' || seen.has(terminal.node)) return [];
      seen.add(terminal.node);
      const pad = terminalRef(slot, terminal.id);
      const line = { slot, pad, printed: terminal.printed, takesV: takes.volts };
      const source = (sources.get(nets.netOf(pad)!) ?? []).find(
        (source) => source.slot !== slot || source.from === 'battery',
      );
      if (!source) return [{ ...line, from: null, emptyV: null, fullV: null, verdict: 'not fed' }];
      const [emptyV, fullV] = source.volts;
      const verdictOf = () => {
        if (fullV > takes.volts[1]) return 'too high';
        if (emptyV < takes.volts[0]) return 'too low at empty';
        return 'fits';
      };
      const verdict = verdictOf();
      return [
        {
          ...line,
          from: source.from === 'battery' ? 'battery' : `${source.slot} ${source.from}`,
          emptyV,
          fullV,
          verdict,
        },
      ];
    });
  });
  return lines.sort((a, b) => rank[a.verdict] - rank[b.verdict]);
}

const rank: Readonly<Record<WindowLine['verdict'], number>> = {
  'too high': 0,
  'too low at empty': 1,
  'not fed': 2,
  fits: 3,
};
