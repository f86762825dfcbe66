/** What a part's cable contradicts: plugs that it does not have, a bend that is tighter than the cable is thick. */
import type { ModelMistake } from './mistake';
import { mistake } from './mistake';
import type { PartModel } from './partModel';

export function checkCable({ kind, cable, connectors }: PartModel): ModelMistake[] {
  if (!cable) return kind === 'cable' ? [mistake('cable', 'none', 'a cable has a length')] : [];
  const has = new Set(connectors.map(({ id }) => id));
  return [
    ...cable.connectors.flatMap((id, index) =>
      has.has(id) ? [] : [mistake(`cable.connectors.${index}`, 'unknown', `no connector ${id} hangs on it`)],
    ),
    ...(cable.lengthMm <= 2 * cable.leastBendMm
      ? [mistake('cable.leastBendMm', 'unit', 'it is too short to be bent once: lengths are in mm')]
      : []),
  ];
}
