/** The contacts that the pack is plugged to. */
import type { TerminalRef } from '../terms/names';
import { terminalRef } from '../terms/names';
import { isBatteryLead } from '../catalogue/kinds';
import { hasRole } from '../catalogue/roles';
import type { Assembly } from '../assembly/assembly';

/** Main leads of the quad: the contacts of its battery lead, or null when there is none. */
export function mainLeads(assembly: Assembly): { plus: TerminalRef; minus: TerminalRef } | null {
  const slot = Object.keys(assembly.build.slots).find((name) => isBatteryLead(assembly.model(name)?.kind ?? 'frame'));
  const terminals = slot ? assembly.model(slot)!.terminals : [];
  const plus = terminals.find((terminal) => hasRole(terminal, 'supply'));
  const minus = terminals.find((terminal) => hasRole(terminal, 'ground'));
  return slot && plus && minus ? { plus: terminalRef(slot, plus.id), minus: terminalRef(slot, minus.id) } : null;
}
