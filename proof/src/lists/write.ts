/** Writes the lists that ship: `npm run lists`, after the core, a template or a part model has changed. */
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { listsToShip, madeList } from './shipping';

const folder = join(import.meta.dirname, '..', '..', '..', 'catalogue', 'lists');

mkdirSync(folder, { recursive: true });
for (const shipping of listsToShip()) {
  const kept = await madeList(shipping);
  writeFileSync(join(folder, `${shipping.name}.json`), `${JSON.stringify(kept)}\n`);
  console.log(`${shipping.name}: ${kept.list.touches.length} touches, ${(kept.list.seconds / 60).toFixed(1)} min`);
}
