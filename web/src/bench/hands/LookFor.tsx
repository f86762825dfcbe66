/** What a joint is looked at for. */
import { BigLines } from '../../ui/BigLines';

const lines = [
  'wetted on pad and wire, edge runs out thin',
  'no bridge to a neighbour',
  'no ball, no whisker, no spike',
  'no bare wire beyond the pad',
  'insulation ends at the pad’s edge',
];

export function LookFor() {
  return <BigLines label="What to look for" lines={lines} />;
}
