/** Pictures: scaled in the browser, kept in the database, at most 4 MB. What is no picture is refused. */
import { createHash } from 'node:crypto';
import express, { Router } from 'express';
import { imageSize } from 'image-size';
import { toSqlTime } from '../database/Database';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { idFrom } from '../http/validated';
import { personIn } from '../session/session';

const mimes: Readonly<Record<string, string>> = { jpg: 'image/jpeg', png: 'image/png', webp: 'image/webp' };
const widestPx = 8000;

export function pictureRoutes({ database, now }: Deps): Router {
  const router = Router();
  router.put(
    '/pictures/:id',
    express.raw({ limit: '4mb', type: ['image/jpeg', 'image/png', 'image/webp'] }),
    async (request, response) => {
      const id = idFrom(request.params.id);
      const bytes: unknown = request.body;
      if (!Buffer.isBuffer(bytes)) throw new ApiError(415, 'picture.kind', 'A picture is a JPEG, PNG or WebP file');
      const { width, height, mime } = measured(bytes);
      await database.write('pictures/insertPicture', {
        id,
        mime,
        bytes,
        sha256: createHash('sha256').update(bytes).digest(),
        width,
        height,
        personId: personIn(response).personId,
        at: toSqlTime(now().toISOString()),
      });
      response.status(201).json({ id, width, height });
    },
  );
  router.get('/pictures/:id', async (request, response) => {
    const picture = await database.row<{ mime: string; bytes: Buffer }>('pictures/findPicture', {
      id: idFrom(request.params.id),
    });
    if (!picture) throw new ApiError(404, 'picture.missing', 'No such picture');
    response.type(picture.mime).set('cache-control', 'private, max-age=31536000, immutable').send(picture.bytes);
  });
  return router;
}

/** @throws {ApiError} 422 when the bytes are no picture. */
function measured(bytes: Buffer): { width: number; height: number; mime: string } {
  try {
    const { width, height, type } = imageSize(bytes);
    const mime = mimes[type ?? ''];
    if (mime && width <= widestPx && height <= widestPx) return { width, height, mime };
  } catch {
    // Falls through to the refusal: the reader says only that it cannot.
  }
  throw new ApiError(
    422,
    'picture.broken',
    `This file is no JPEG, PNG or WebP picture of at most ${widestPx} pixels a side`,
  );
}
