/** The built pages: files under their hashed names for long, the page itself always fresh. */
import { join } from 'node:path';
import express from 'express';

export function pages(folder: string): express.Router {
  const router = express.Router();
  router.use(
    express.static(folder, {
      index: false,
      setHeaders: (response, path) => {
        response.set('cache-control', path.includes('/assets/') ? 'public, max-age=31536000, immutable' : 'no-cache');
      },
    }),
  );
  router.get('/{*any}', (_request, response) => {
    response.set('cache-control', 'no-cache').sendFile(join(folder, 'index.html'));
  });
  return router;
}
