/** Part models: listed, fetched by what a build names, taken in from files, exported, retired. */
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { ModelIndexLine, PartModel } from '@junctor/core';
import { wantedModels } from '@junctor/core/schemas';
import express, { Router } from 'express';
import type { Request, Response } from 'express';
import { fromSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { validated } from '../http/validated';
import { personIn, requireLead } from '../session/session';
import { retire, retiredOf } from '../shop/retired';
import { takeModels } from './takeModels';

/** A catalogue file larger than this is refused before it is read. */
const largestFile = '64mb';
const schemaFile = join(import.meta.dirname, '..', '..', '..', 'docs', 'formats', 'catalogue.schema.json');

export function modelRoutes(deps: Deps): Router {
  const { database, catalogue, now } = deps;
  const router = Router();

  router.get('/catalogue/index', async (_request, response) => {
    const gone = await retiredOf(database, 'retired models');
    const newest = new Map<string, PartModel>();
    for (const model of catalogue.models)
      if ((newest.get(model.id)?.revision ?? 0) < model.revision) newest.set(model.id, model);
    const lines = [...newest.values()].map(({ id, revision, kind, name, maker, massG, terminals }): ModelIndexLine => ({
      id,
      revision,
      kind,
      name,
      maker,
      massG,
      terminals: terminals.length,
      retired: gone.has(id),
    }));
    response.json(lines.sort((a, b) => a.name.localeCompare(b.name)));
  });
  router.post('/catalogue/models', (request, response) => {
    const { wanted } = validated<{ wanted: { model: string; revision: number }[] }>(wantedModels, request.body);
    response.json(wanted.filter((ref) => catalogue.has(ref)).map((ref) => catalogue.model(ref)));
  });
  router.get('/catalogue/models/:id', async (request, response) => {
    const id = String(request.params.id);
    const revisions = catalogue.revisions(id);
    if (revisions.length === 0) throw new ApiError(404, 'model.missing', 'The catalogue has no such part model');
    const usedIn = await database.rows<{ closedAt: string | null }>('jobs/listJobsWithModel', { modelId: id });
    response.json({
      revisions,
      retired: (await retiredOf(database, 'retired models')).has(id),
      usedIn: usedIn.map((job) => ({ ...job, closedAt: job.closedAt && fromSqlTime(job.closedAt) })),
    });
  });
  router.get('/catalogue/export', (request, response) => {
    const wanted = typeof request.query.id === 'string' ? request.query.id : null;
    const models = wanted ? catalogue.revisions(wanted) : catalogue.models;
    response.set('content-disposition', `attachment; filename="${wanted ?? 'catalogue'}.json"`);
    response.json({ format: 'junctor-catalogue', version: 1, models });
  });
  router.get('/catalogue/schema', (_request, response) => {
    response.type('application/schema+json').send(readFileSync(schemaFile, 'utf8'));
  });
  router.post(
    '/catalogue/import',
    lead,
    express.json({ limit: largestFile, type: 'application/octet-stream' }),
    (request, response) => importFile(request, response),
  );
  router.post('/catalogue/retire', lead, async (request, response) => {
    const { id, retired: wanted } = request.body as { id?: unknown; retired?: unknown };
    if (typeof id !== 'string' || typeof wanted !== 'boolean' || catalogue.revisions(id).length === 0)
      throw new ApiError(422, 'model.missing', 'The catalogue has no such part model', { path: 'id' });
    const by = { personId: personIn(response).personId, at: now() };
    await retire(database, 'retired models', { id, retired: wanted }, by);
    response.status(204).end();
  });

  /** Answers line by line while it works: {done, of}, and at last {added, known} or a refusal with every fault. */
  async function importFile(request: Request, response: Response): Promise<void> {
    const file = request.body as { format?: unknown; version?: unknown; models?: unknown } | undefined;
    if (
      typeof file !== 'object' ||
      file?.format !== 'junctor-catalogue' ||
      file.version !== 1 ||
      !Array.isArray(file.models)
    ) {
      throw new ApiError(
        422,
        'catalogue.format',
        'This is no catalogue file: "format": "junctor-catalogue", "version": 1 and "models" are wanted',
        { path: 'format' },
      );
    }
    const models = file.models as unknown[];
    response.type('application/x-ndjson');
    const line = (value: unknown) => {
      response.write(`${JSON.stringify(value)}\n`);
      (response as Response & { flush?: () => void }).flush?.();
    };
    const taken = await takeModels(deps, models, personIn(response).personId, (done) =>
      line({ done, of: models.length }),
    ).catch((error: unknown) => {
      deps.log.error({ err: error as unknown }, 'import failed');
      return {
        ok: false as const,
        mistakes: [{ path: '', code: 'server.failed', message: 'The server could not do that. Nothing was stored.' }],
      };
    });
    line(
      taken.ok
        ? { added: taken.added, known: taken.known }
        : { refused: `Nothing was stored: ${taken.mistakes.length} faults`, mistakes: taken.mistakes },
    );
    response.end();
  }

  return router;
}

function lead(_request: Request, response: Response, next: () => void): void {
  requireLead(response);
  next();
}
