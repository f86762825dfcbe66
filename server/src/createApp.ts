/** The application, made but not started: everything it needs is given to it. */
import compression from 'compression';
import express from 'express';
import helmet from 'helmet';
import { modelRoutes } from './models/routes';
import { customerRoutes } from './customers/routes';
import { floorRoutes } from './floor/routes';
import { ApiError } from './http/ApiError';
import type { LogDeps } from './log/QuadLogs';
import { jsonOnly, ownPagesOnly } from './http/doors';
import { errorReplies } from './http/errors';
import { pages } from './http/pages';
import { jobRoutes } from './jobs/routes';
import { partRoutes } from './parts/routes';
import { peopleRoutes } from './people/routes';
import { pictureRoutes } from './pictures/routes';
import { quadRoutes } from './quads/routes';
import { recordRoutes } from './records/routes';
import { requirePerson } from './session/session';
import { sessionRoutes } from './session/routes';
import { stockRoutes } from './stock/routes';
import { templateRoutes } from './templates/routes';
import { toolRoutes } from './tools/routes';
import { weightClassRoutes } from './tools/weightClasses';

export function createApp(deps: LogDeps): express.Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      // Styles are made at run time; the solver is WebAssembly; plain HTTP on loopback must not be upgraded.
      contentSecurityPolicy: {
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          upgradeInsecureRequests: null,
        },
      },
      strictTransportSecurity: false,
    }),
  );
  app.use(compression());
  app.use('/api', ownPagesOnly, jsonOnly, express.json({ limit: '1mb' }), api(deps));
  if (deps.pages) app.use(pages(deps.pages));
  app.use(errorReplies(deps.log));
  return app;
}

function api(deps: LogDeps): express.Router {
  const router = express.Router();
  router.use((_request, response, next) => {
    response.set({ 'cache-control': 'no-store', 'junctor-epoch': deps.epoch });
    next();
  });
  router.use(sessionRoutes(deps));
  router.use(requirePerson(deps));
  for (const routes of [
    peopleRoutes,
    customerRoutes,
    quadRoutes,
    jobRoutes,
    recordRoutes,
    floorRoutes,
    templateRoutes,
    toolRoutes,
    weightClassRoutes,
    modelRoutes,
    partRoutes,
    stockRoutes,
    pictureRoutes,
  ])
    router.use(routes(deps));
  router.use(() => {
    throw new ApiError(404, 'not.found', 'There is no such thing here');
  });
  return router;
}
