/** A shop for tests: a real MariaDB in a folder of its own, the application on a free port. */
import { mkdtempSync, rmSync } from 'node:fs';
import type { Server } from 'node:http';
import { createServer } from 'node:http';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { createApp } from '../createApp';
import { startPrivateServer } from '../database/privateServer';
import { openShop } from '../opening/openShop';

export interface TestShop {
  url: string;
  ownerUrl: string;
  databaseName: string;
  shop: Awaited<ReturnType<typeof openShop>>;
  stop(): Promise<void>;
}

export async function startTestShop(options: { signInTries?: number } = {}): Promise<TestShop> {
  const folder = mkdtempSync(join(tmpdir(), 'junctor-test-'));
  const mariadb = await startPrivateServer(folder, { durable: false });
  const databaseName = 'junctor_test';
  const shop = await openShop({
    ownerUrl: mariadb.ownerUrl,
    databaseName,
    wanted: 'empty',
    rebuild: false,
    log: pino({ level: 'silent' }),
    now: () => new Date(),
    pages: null,
    signInTries: options.signInTries ?? 1000,
  });
  const server = createServer(createApp(shop));
  // The tests' own work may keep this process from looking at a connection for a while.
  server.keepAliveTimeout = 120_000;
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    url: `http://127.0.0.1:${portOf(server)}`,
    ownerUrl: mariadb.ownerUrl,
    databaseName,
    shop,
    stop: async () => {
      server.closeAllConnections();
      await new Promise((resolve) => server.close(resolve));
      await shop.database.close();
      await mariadb.stop();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}

function portOf(server: Server): number {
  return (server.address() as { port: number }).port;
}
