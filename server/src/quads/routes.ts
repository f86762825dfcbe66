/** Quads: made, found, and one quad's book. */
import { newQuad } from '@junctor/core/schemas';
import { Router } from 'express';
import { fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { startsWith } from '../http/startsWith';
import { idFrom, validated } from '../http/validated';

interface JobLine {
  openedAt: string;
  closedAt: string | null;
}

export function quadRoutes({ database }: Deps): Router {
  const router = Router();
  router.get('/quads', async (request, response) => {
    const { customer, q } = request.query;
    response.json(
      customer === undefined
        ? await database.rows('quads/listQuads', { prefix: startsWith(q) })
        : await database.rows('quads/listQuadsOf', { customerId: idFrom(customer) }),
    );
  });
  router.post('/quads', async (request, response) => {
    const quad = validated<{ id: string; customerId: string; name: string }>(newQuad, request.body);
    await database.write('quads/insertQuad', quad);
    response.status(201).json(quad);
  });
  router.get('/quads/:id', async (request, response) => {
    const id = idFrom(request.params.id);
    const quad = await database.row<object>('quads/findQuad', { id });
    if (!quad) throw new ApiError(404, 'quad.missing', 'No such quad in this shop');
    const jobs = await database.rows<JobLine>('jobs/listJobsOfQuad', { quadId: id });
    response.json({
      ...quad,
      jobs: jobs.map((job) => ({
        ...job,
        openedAt: fromSqlTime(job.openedAt),
        closedAt: job.closedAt && fromSqlTime(job.closedAt),
      })),
    });
  });
  return router;
}
