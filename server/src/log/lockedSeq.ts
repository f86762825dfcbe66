/** The lock under which a quad's log grows. */
import type { Queries } from '../database/Database';
import { ApiError } from '../http/ApiError';

/** The quad's last seq, with its row locked. @throws {ApiError} 404 when there is no such quad. */
export async function lockedSeq(queries: Queries, quadId: string): Promise<number> {
  const locked = await queries.row<{ logSeq: number }>('quads/lockQuad', { id: quadId });
  if (!locked) throw new ApiError(404, 'quad.missing', 'No such quad in this shop');
  return locked.logSeq;
}
