/** What is threaded on the screws of a stack, each just before the board that hides it, and the nuts on the last. */
import type { StackLayer } from '../../../facts/assembly/build';
import { frameOf } from '../../../facts/assembly/frameOf';
import type { Slot } from '../../../facts/terms/names';
import { groupedBy } from '../../../facts/terms/groupedBy';
import { boardsIn, layersUnder, stackOf } from '../../../physics/layout/stack';
import type { Caution } from '../caution';
import type { JobContext } from '../jobContext';
import type { Place } from '../order';
import { turns } from '../order';

interface Placed {
  caution: Caution;
  place: Place;
}

/** Screws and nuts only where the whole stack is put up: a board that is exchanged finds its screws standing. */
export function stackCautions({ changes, target }: Pick<JobContext, 'changes' | 'target'>): Placed[] {
  const frame = frameOf(target);
  const stack = frame && stackOf(target, frame)?.stack;
  if (!stack) return [];
  const fitted = new Map(changes.flatMap(({ verb, about, place }) => (verb === 'fit' ? [[about.slot, place]] : [])));
  const boards = boardsIn(stack).filter((slot) => fitted.has(slot));
  const isWhole = boards.length === boardsIn(stack).length;
  const { thread, lengthMm } = stack.screw;
  const screws = isWhole ? boards.slice(0, 1) : [];
  const nuts = isWhole ? boards.slice(-1) : [];
  const at = (slot: Slot, off: number): Place => ({ ...fitted.get(slot)!, turn: turns.fit + off });
  return [
    ...screws.map((slot) => ({
      caution: { is: 'stack screws', slot, thread, lengthMm } as const,
      place: at(slot, -0.7),
    })),
    ...boards.flatMap((slot) =>
      under(layersUnder(stack, slot), slot).map((caution) => ({
        caution,
        // Mounts go in while the board is still in the hand.
        place: at(slot, caution.is === 'mounts' ? -0.6 : -0.5),
      })),
    ),
    ...nuts.map((slot) => ({ caution: { is: 'top nuts', slot, thread } as const, place: at(slot, 0.5) })),
  ];
}

function under(layers: readonly StackLayer[], slot: Slot): Caution[] {
  const named = layers.flatMap((layer) => nameOf(layer) ?? []);
  // Two of a kind are one step: each step has a name of its own.
  return [...groupedBy(named, ({ name }) => name)].map(([name, alike]) => {
    const mm = alike.reduce((sum, one) => sum + one.mm, 0);
    return alike[0]!.isMount ? { is: 'mounts', slot, mount: name } : { is: 'underlay', slot, layer: name, mm };
  });
}

function nameOf(layer: StackLayer): { name: string; mm: number; isMount?: true } | null {
  if ('tape' in layer) return { name: layer.tape, mm: layer.mm };
  if ('nut' in layer) return { name: layer.nut, mm: layer.mm };
  if ('grommet' in layer) return { name: layer.grommet, mm: layer.freeMm, isMount: true };
  return 'washer' in layer ? { name: layer.washer, mm: layer.mm } : null;
}
