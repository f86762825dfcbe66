/** What fails inside a part: each element in each way of which its model says that it fails so. */
import type { Element } from '../../../facts/catalogue/partModel';
import { endsOf } from '../../../facts/catalogue/elementEnds';
import type { Edit } from '../../../physics/circuit/melt';
import type { Severity } from '../../rules/finding';
import type { DefectView, Family } from './defect';
import { isPhase } from './defect';

const [shortOhms, leakyOhms] = [0.05, 50];

export const insides: readonly Family[] = [
  {
    kind: 'short inside',
    often: 2,
    because: 'too much current or volts, now or in an earlier life',
    make: (view) => failing(view, 'short'),
  },
  {
    kind: 'open inside',
    often: 2,
    because: 'burnt through, cracked, or off its pad',
    make: (view) => failing(view, 'open'),
  },
  { kind: 'leak inside', often: 1, because: 'water, or a part half gone', make: (view) => failing(view, 'leaky') },
];

function failing(view: DefectView, how: Element['fails'][number]): ReturnType<Family['make']> {
  return Object.keys(view.assembly.build.slots).flatMap((slot) =>
    view.assembly
      .model(slot)!
      .elements.filter(({ fails }) => fails.includes(how))
      .map((element) => ({
        site: { slot, element: element.id },
        edits: editsOf(view, { slot, element, how }),
        ...(how === 'open' ? { harm: harmOfOpen(view, slot, element) } : {}),
        ...(how === 'short' ? harmOfShort(element) : {}),
      })),
  );
}

/** What hangs on a regulator gets what goes into it; what no pad shows stops its part all the same. */
function harmOfShort({ is }: Element): { harm?: Severity; orElse?: Severity } {
  if (is === 'regulator') return { harm: 'kill' };
  return is === 'resistor' || is === 'switch' ? {} : { orElse: 'stop' };
}

function editsOf(
  { circuit }: DefectView,
  { slot, element, how }: { slot: string; element: Element; how: string },
): Edit[] {
  const cuts = circuit.branches
    .filter(({ site }) => 'slot' in site && site.slot === slot && site.element === element.id)
    .map(({ id }) => ({ cut: id }));
  const [a, b] = endsOf(element).map((node) => `${slot}:${node}`) as [string, string];
  if (how === 'open') return cuts;
  return how === 'short' ? [...cuts, { bridge: [a, b], ohms: shortOhms }] : [{ bridge: [a, b], ohms: leakyOhms }];
}

function harmOfOpen(view: DefectView, slot: string, element: Element): Severity {
  if (['winding', 'load', 'regulator'].includes(element.is)) return 'stop';
  if (element.is !== 'diode') return 'warn';
  const ends = endsOf(element);
  const onPhase = view.placesOf(slot).some((place) => ends.includes(place.terminal.node) && isPhase(view, place));
  return onPhase ? 'stop' : 'warn';
}
