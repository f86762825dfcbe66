/**
 * The shop's weight classes: its own list, by its local law. A lead writes it; every list that was ever said is kept.
 */
import type { WeightClass } from '@junctor/core';
import { weightClasses } from '@junctor/core/schemas';
import { Router } from 'express';
import { ApiError } from '../http/ApiError';
import type { Deps } from '../http/Deps';
import { validated } from '../http/validated';
import { saySetting, settingOf } from '../shop/shop';
import { personIn, requireLead } from '../session/session';

const name = 'weight classes';

/** Where a shop has not said its own. */
const usual: readonly WeightClass[] = [
  { name: 'up to 250 g', upToG: 250 },
  { name: 'up to 900 g', upToG: 900 },
  { name: 'up to 4 kg', upToG: 4000 },
  { name: 'up to 25 kg', upToG: 25000 },
];

export function weightClassRoutes({ database, now }: Deps): Router {
  const router = Router();
  const said = async () => {
    const found = await settingOf<readonly WeightClass[]>(database, name);
    return { version: found?.version ?? 0, classes: found?.value ?? usual };
  };
  router.get('/shop/weight-classes', async (_request, response) => {
    response.json(await said());
  });
  router.post('/shop/weight-classes', async (request, response) => {
    requireLead(response);
    const { version, classes } = validated<{ version: number; classes: WeightClass[] }>(weightClasses, request.body);
    if (version !== (await said()).version)
      throw new ApiError(409, 'classes.changed', 'Somebody else has changed the weight classes meanwhile');
    const rising = [...classes].sort((a, b) => a.upToG - b.upToG);
    const next = { version: version + 1, value: rising };
    await saySetting(database, name, next, { personId: personIn(response).personId, at: now() });
    response.json({ version: next.version, classes: rising });
  });
  return router;
}
