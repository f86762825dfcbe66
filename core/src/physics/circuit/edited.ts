/** A circuit with something wrong in it. */
import type { Site } from '../../facts/terms/site';
import type { Branch, Circuit } from './compile';
import type { Edit } from './melt';

/** The circuit without the branches that are cut, and with metal where it touches. @param site Where that is. */
export function edited({ nodes, branches, unshown, at }: Circuit, edits: readonly Edit[], site: Site): Circuit {
  const cut = new Set(edits.flatMap((edit) => ('cut' in edit ? [edit.cut] : [])));
  const added = edits.flatMap((edit): Branch[] => {
    if ('cut' in edit) return [];
    const [a, b] = edit.bridge;
    return [{ id: `fault ${a} ${b}`, a, b, element: { is: 'resistor', ohms: edit.ohms }, site }];
  });
  return { nodes, branches: [...branches.filter(({ id }) => !cut.has(id)), ...added], unshown, at };
}
