/** Parts in hand: physical items, what is found out about each, and where they are. */
import type { PartLine } from '@junctor/core';
import { newPart, newPartNote } from '@junctor/core/schemas';
import { Router } from 'express';
import { fromJson, fromSqlTime, toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { startsWith } from '../http/startsWith';
import { idFrom, validated } from '../http/validated';
import { personIn } from '../session/session';

interface NewPart {
  id: string;
  model: string;
  revision: number;
  serial: string | null;
  batch: string | null;
  owner: string | null;
  origin: string;
  condition: string;
  firmware: string | null;
  weightG: number | null;
}

type NoteBody =
  | { is: 'condition'; condition: string; why: string }
  | { is: 'firmware'; firmware: string }
  | { is: 'weight'; grams: number }
  | { is: 'signature'; readings: unknown[] };

export function partRoutes({ database, catalogue, now }: Deps): Router {
  const router = Router();
  router.get('/parts', async (request, response) => {
    const model = typeof request.query.model === 'string' ? request.query.model : null;
    response.json(
      (await database.rows<PartLine>('parts/listParts', { prefix: startsWith(request.query.q), model })).map(readable),
    );
  });
  router.post('/parts', async (request, response) => {
    const { model, owner, ...part } = validated<NewPart>(newPart, request.body);
    if (!catalogue.has({ model, revision: part.revision }))
      throw new ApiError(422, 'model.unknown', `The catalogue has no part model ${model} revision ${part.revision}`, {
        path: 'model',
      });
    const twin =
      part.serial !== null &&
      (await database.row<{ onQuad: string | null }>('parts/findSerial', { model, serial: part.serial }));
    if (twin)
      throw new ApiError(
        409,
        'part.serial',
        `${part.serial} is known already: that one is ${twin.onQuad ? `in ${twin.onQuad}` : 'in the shop'}. Take that one, or read the serial again`,
        { path: 'serial' },
      );
    await database.write('parts/insertPart', {
      ...part,
      modelId: model,
      ownerId: owner,
      fromQuadId: null,
      at: toSqlTime(now().toISOString()),
    });
    response.status(201).json(await found(part.id));
  });
  router.get('/parts/:id', async (request, response) => {
    const id = idFrom(request.params.id);
    const notes = await database.rows<{ body: string; at: string }>('parts/listPartNotes', { partId: id });
    response.json({
      ...(await found(id)),
      notes: notes.map(({ body, at, ...note }) => ({ ...note, at: fromSqlTime(at), body: fromJson(body) })),
    });
  });
  router.post('/parts/:id/notes', async (request, response) => {
    const partId = idFrom(request.params.id);
    const { id, body } = validated<{ id: string; body: NoteBody }>(newPartNote, request.body);
    await found(partId);
    await database.transaction(async (queries) => {
      await queries.write('parts/insertPartNote', {
        id,
        partId,
        personId: personIn(response).personId,
        at: toSqlTime(now().toISOString()),
        body: JSON.stringify(body),
      });
      await queries.write('parts/updatePart', {
        id: partId,
        condition: body.is === 'condition' ? body.condition : null,
        firmware: body.is === 'firmware' ? body.firmware : null,
        weightG: body.is === 'weight' ? body.grams : null,
      });
    });
    response.status(201).json(await found(partId));
  });

  async function found(id: string): Promise<PartLine> {
    const part = await database.row<PartLine>('parts/findPart', { id });
    if (!part) throw new ApiError(404, 'part.missing', 'No such part in this shop');
    return readable(part);
  }
  return router;
}

function readable(part: PartLine): PartLine {
  return { ...part, madeAt: fromSqlTime(part.madeAt) };
}
