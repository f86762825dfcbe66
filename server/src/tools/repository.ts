/** The tools in use, their cards as objects. */
import type { Queries } from '../database/Database';
import { fromJson } from '../database/Database';

interface Tool {
  id: string;
  kind: string;
  name: string;
  doc: object;
}

export async function toolsIn(queries: Queries): Promise<Tool[]> {
  const rows = await queries.rows<Omit<Tool, 'doc'> & { doc: string }>('tools/listTools');
  return rows.map(({ doc, ...tool }) => ({ ...tool, doc: fromJson<object>(doc) }));
}
