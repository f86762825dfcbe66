/** The contacts that the pack is plugged to. */
import type { Build } from '../assembly/build';
import type { Catalogue } from '../catalogue/catalogue';
import type { TerminalRef } from '../terms/names';
import { terminalRef } from '../terms/names';
import { hasRole } from '../catalogue/roles';
import { modelIn } from '../assembly/lookUp';


/** Main leads of the quad: the contacts of its battery lead, or null when there is none. */
export function mainLeads(build: Build, catalogue: Catalogue): { plus: TerminalRef; minus: TerminalRef } | null {
  const slot = Object.keys(build.slots).find((name) => modelIn(build, name, catalogue)?.kind === 'battery lead');
  const terminals = slot ? modelIn(build, slot, catalogue)!.terminals : [];
  const plus = terminals.find((terminal) => hasRole(terminal, 'supply'));
  const minus = terminals.find((terminal) => hasRole(terminal, 'ground'));
  return slot && plus && minus ? { plus: terminalRef(slot, plus.id), minus: terminalRef(slot, minus.id) } : null;
}
