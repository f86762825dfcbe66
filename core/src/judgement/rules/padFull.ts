/** More wires on a pad than it holds. */
import { countWords } from '../../facts/terms/countWords';
import { landedOn } from '../../facts/assembly/build';
import type { TerminalRef, WireId } from '../../facts/terms/names';
import type { Rule, RuleView } from './finding';
import { finding, spoken } from './finding';

const name = 'pad full';

export const padFull: Rule = {
  name,
  why: 'A second wire on a small pad lifts the first when the iron comes, and leaves room for a bridge.',
  judge: (view) =>
    [...wiresOnPads(view)].flatMap(([ref, wires]) => {
      const { holds } = view.terminal(ref);
      if (wires.length <= holds) return [];
      const message = `${spoken(view, ref)} holds ${countWords(holds, 'wire')}; ${wires.length} are on it.`;
      return [
        { ...finding(view, { rule: name, severity: 'stop', net: view.nets.netOf(ref)!, at: [ref], message }), wires },
      ];
    }),
};

/** What is soldered to each terminal; leads that the maker fixed do not count. */
export function wiresOnPads(view: RuleView): Map<TerminalRef, WireId[]> {
  const onPad = new Map<TerminalRef, WireId[]>();
  for (const wire of Object.values(view.assembly.build.wires)) {
    for (const end of wire.ends) {
      const ref = landedOn(end);
      if (ref && end.by !== 'factory' && view.nets.netOf(ref)) onPad.set(ref, [...(onPad.get(ref) ?? []), wire.id]);
    }
  }
  return onPad;
}
