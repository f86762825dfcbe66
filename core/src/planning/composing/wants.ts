/** What an aircraft can be wired without, and what somebody will ask for before it flies. */
import type { Assembly } from '../../facts/assembly/assembly';
import { isBatteryLead } from '../../facts/catalogue/kinds';
import type { PartModel } from '../../facts/catalogue/partModel';
import { aerialSockets } from '../planner/aerialSockets';
import { plugsInto } from './choicesFor';
import type { Lack } from './lacks';

export function wantsOf(assembly: Assembly, pack: PartModel | null): Lack[] {
  const all = Object.keys(assembly.build.slots).map((slot) => assembly.model(slot)!);
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
    ...aerialSockets(assembly).idle.map(({ model, family }) => ({
      what: 'aerial',
      says: `${model.name} has ${family}, and no socket for it is left: an adapter, or without it`,
    })),
  ];
}

function plugOf({ connectors }: PartModel): string {
  return connectors[0]?.family ?? 'no plug';
}
