/** Starts the shop: its database, the application, the port. Only this file reads the environment. */
import { existsSync } from 'node:fs';
import { createServer } from 'node:http';
import type { RequestListener, Server } from 'node:http';
import { join } from 'node:path';
import { pino } from 'pino';
import { configFrom } from './config';
import { createApp } from './createApp';
import { startPrivateServer } from './database/privateServer';
import type { PrivateServer } from './database/privateServer';
import { StartError } from './database/StartError';
import { keepNightly } from './keeping/nightly';
import { openShop } from './opening/openShop';
import { demoSignIns } from './opening/firstStart';

const pages = join(import.meta.dirname, '..', '..', 'web', 'dist');

async function main(): Promise<void> {
  const config = configFrom(process.env, process.argv.slice(2));
  const log = pino({ level: config.logLevel });
  if (config.pages && !existsSync(join(pages, 'index.html')))
    throw new StartError('The pages are not built: start with ./start');
  // The port first: a second start must not disturb the first one's database.
  let handler: RequestListener = notReady;
  const server = await listen(config.port, (request, response) => handler(request, response));
  let privateServer: PrivateServer | null = null;
  let close: () => Promise<void> = async () => {};
  const stop = async (exitCode: number) => {
    server.close();
    server.closeAllConnections();
    await close();
    await privateServer?.stop();
    process.exit(exitCode);
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => void stop(0));
  try {
    privateServer = config.dbUrl ? null : await startPrivateServer(config.dataFolder, { durable: config.durable });
    const shop = await openShop({
      ownerUrl: config.dbUrl ?? privateServer!.ownerUrl,
      databaseName: config.dbName,
      wanted: config.empty ? 'empty' : null,
      rebuild: config.rebuild,
      log,
      now: () => new Date(),
      pages: config.pages ? pages : null,
      signInTries: config.signInTries,
    });
    const endNightly = keepNightly({
      ownerUrl: config.dbUrl ?? privateServer!.ownerUrl,
      name: config.dbName,
      folder: join(config.dataFolder, 'copies'),
      kept: config.nightlyCopies,
      log,
      now: () => new Date(),
    });
    close = async () => {
      endNightly();
      await shop.database.close();
    };
    handler = createApp(shop);
    process.stdout.write(`\nJunctor is at http://127.0.0.1:${config.port}\n`);
    if (!config.dbUrl) process.stdout.write(`Its data is in ${config.dataFolder}\n`);
    if (shop.kind === 'demo')
      process.stdout.write(`Demo shop. Sign in as:\n${demoSignIns.map((line) => `  ${line}\n`).join('')}`);
    else process.stdout.write('The first visitor of an empty shop makes its first lead.\n');
    process.stdout.write('Ctrl-C stops it.\n');
  } catch (error) {
    report(error);
    await stop(1);
  }
}

/** Until the application is ready every request is told to come again. */
const notReady: RequestListener = (_request, response) => {
  response.writeHead(503, { 'content-type': 'application/json', 'retry-after': '1' });
  response.end(
    JSON.stringify({
      code: 'server.starting',
      message: 'The server is starting. Nothing was stored.',
      path: null,
      context: null,
    }),
  );
};

function listen(port: number, handler: RequestListener): Promise<Server> {
  const server = createServer(handler);
  return new Promise((resolve, reject) => {
    server.once('error', (error: NodeJS.ErrnoException) => {
      const why = error.code === 'EADDRINUSE' ? 'somebody else uses it. Set JUNCTOR_PORT to another' : error.message;
      reject(new StartError(`Cannot listen on port ${port}: ${why}.`));
    });
    server.listen(port, '127.0.0.1', () => resolve(server));
  });
}

function report(error: unknown): void {
  const line =
    error instanceof StartError ? error.message : `Junctor could not start: ${(error as Error).stack ?? String(error)}`;
  process.stderr.write(`${line}\n`);
}

main().catch((error: unknown) => {
  report(error);
  process.exit(1);
});
