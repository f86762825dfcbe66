/** Another model of the same part that would mend. */
import { landedOn } from '../../facts/assembly/build';
import type { PartKind } from '../../facts/catalogue/partModel';
import { splitRef } from '../../facts/terms/names';
import type { Finding } from '../../judgement/rules/finding';
import type { Remedy, Scene } from './scene';
import { lookUp } from '../../facts/terms/lookUp';

/** Parts that are exchanged without making everything anew. */
const exchangeable: readonly PartKind[] = [
  'capacitor',
  'esc',
  'battery lead',
  'receiver',
  'video unit',
  'camera',
  'positioning',
  'lights',
  'buzzer',
  'motor',
  'regulator',
  'antenna',
];

const maxModels = 12;

/** Another part of the kind on which every wire finds the same terminal. */
export function otherModels({ target, assembly, slots }: Scene, { at }: Finding): Remedy[] {
  const about = new Set(at.length > 0 ? at.map((ref) => splitRef(ref).slot) : slots);
  return [...about].flatMap((slot): Remedy[] => {
    const fitted = lookUp(target.slots, slot)!;
    const { id: own, kind, connectors } = assembly.catalogue.model(fitted);
    if (!exchangeable.includes(kind)) return [];
    const used = new Set(
      Object.values(target.wires)
        .flatMap(({ ends }) => ends.flatMap((end) => landedOn(end) ?? []))
        .filter((ref) => splitRef(ref).slot === slot)
        .map((ref) => splitRef(ref).terminal),
    );
    const fits = assembly.catalogue.models.filter(
      (model) =>
        model.id !== own &&
        model.kind === kind &&
        [...used].every((terminal) => model.terminals.some(({ id }) => id === terminal)) &&
        connectors.every(({ id, family }) =>
          model.connectors.some((connector) => connector.id === id && connector.family === family),
        ),
    );
    return fits.slice(0, maxModels).map(({ id, revision, name }) => ({
      message: `Take ${name} as ${slot}`,
      changes: [
        { path: `slots/${slot}` as const, before: fitted, after: { ...fitted, model: id, revision, part: null } },
      ],
    }));
  });
}
