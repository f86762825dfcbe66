/** What an aircraft can be wired without, and what somebody will ask for before it flies. */
import { isBatteryLead } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import { plugsInto } from './choicesFor';
import type { Lack } from './lacks';

export function wantsOf(all: readonly PartModel[], pack: PartModel | null): Lack[] {
  const leads = all.filter(({ kind }) => isBatteryLead(kind));
  const isHeard = all.some(({ kind }) => kind === 'receiver');
  return [
    ...(isHeard ? [] : [{ what: 'receiver', says: 'no receiver yet: nothing hears the pilot' }]),
    ...leads
      .filter((lead) => pack !== null && pack.connectors.length > 0 && !plugsInto(lead, pack))
      .map((lead) => ({
        what: 'adapter',
        says: `${lead.name} has ${plugOf(lead)}, the pack ${plugOf(pack!)}: another lead, or an adapter`,
      })),
  ];
}

function plugOf({ connectors }: PartModel): string {
  return connectors[0]?.family ?? 'no plug';
}
