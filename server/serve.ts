import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import type { Server } from 'node:http';
import path from 'node:path';
import pino from 'pino';
import { loadDemo } from '../demo/loadDemo';
import { openStandInMailbox } from '../demo/work/reply/standInMailbox';
import { makeApp } from './app';
import { AccountTries, type Context, type Settings } from './context';
import { openAmong } from './auth';
import { dropBefore, makeDailyBackup } from './backup';
import { writeMissingWords } from './bank';
import type { Store } from './db';
import { EventHub } from './streams';
import { mustBeForTheDemo } from './account';
import { dropListsOfNone } from './termLists';
import { emptyWastebasket } from './wastebasket';
import { dropUnusedFiles } from './files';
import { dropOldJobs } from './jobs';
import { databaseStore, folderStore } from './fileStore';
import { outboxCourier, PostRoom, smtpCourier, smtpOffice } from './post';
import { openMailbox } from './mailbox';
import { deliverDue } from './sendings';

const UPKEEP_MS = 3_600_000;
/** Letters are looked for so often that were not sent at their time by the process which took them. */
/** Letters of a batch go one behind the other: it is looked often enough that their pace is kept. */
const DELIVERY_MS = 3000;
const KEPT_OPEN_MS = 65_000;
const BEAT_MS = 25_000;
const SHUTDOWN_MS = 5000;
const root = process.cwd();
const version = (JSON.parse(fs.readFileSync(path.join(root, 'package.json'), 'utf8')) as { version: string })
  .version;

function say(line: string): void {
  process.stdout.write(`${line}\n`);
}

function listen(context: Context, port: number): Promise<Server> {
  return new Promise((resolve, reject) => {
    const server = makeApp(context).listen(port, '127.0.0.1', (error) =>
      error ? reject(error) : resolve(server),
    );
  });
}

/** Orderly: no new requests, open streams ended, running requests done, then the store closed. */
function closeOnSignal(server: Server, store: Store, events: EventHub, beat: NodeJS.Timeout): void {
  let closing = false;
  const close = () => {
    if (closing) return;
    closing = true;
    clearInterval(beat);
    events.close();
    setTimeout(() => server.closeAllConnections(), SHUTDOWN_MS).unref();
    server.close(() => void store.close().then(() => process.exit(0)));
    server.closeIdleConnections();
  };
  process.on('SIGTERM', close);
  process.on('SIGINT', close);
}

/** What is done every hour; what fails is logged, and keeps nothing else from being done. */
async function keepUp(context: Context, store: Store): Promise<void> {
  const { log } = context;
  await emptyWastebasket(context).catch((error: unknown) =>
    log.error({ name: (error as Error).name }, 'the wastebasket could not be emptied'),
  );
  await dropListsOfNone(context).catch((error: unknown) =>
    log.error({ name: (error as Error).name }, 'unused term lists could not be dropped'),
  );
  await dropOldJobs(context).catch((error: unknown) =>
    log.error({ name: (error as Error).name }, 'old jobs could not be dropped'),
  );
  await dropUnusedFiles(context).catch((error: unknown) =>
    log.error({ name: (error as Error).name }, 'unused files could not be dropped'),
  );
  await makeDailyBackup(context).catch((error: unknown) =>
    log.error({ name: (error as Error).name }, 'the daily backup could not be made'),
  );
  await store
    .upkeep()
    .catch((error: unknown) => log.error({ name: (error as Error).name }, 'the store was not kept up'));
}

/**
 * Serves an open store until a signal ends it: demo data where wanted, the API and the pages. Closes the
 * store and throws when it cannot listen.
 */
export async function serve(store: Store, settings: Settings): Promise<void> {
  const log = pino({ level: process.env.LOG_LEVEL ?? 'warn' });
  const events = new EventHub(store.db, store.bus);
  let here = `http://localhost:${settings.port}`;
  const context: Context = {
    db: store.db,
    events,
    files: settings.databaseUrl
      ? databaseStore(store.db)
      : folderStore(path.join(settings.dataFolder, 'files')),
    post: settings.smtp ? smtpOffice(settings.smtp) : new PostRoom(),
    courier: settings.smtp ? smtpCourier(settings.smtp) : outboxCourier,
    address: () => settings.address ?? here,
    now: () => new Date(),
    pause: (ms) => (ms === 0 ? Promise.resolve() : new Promise((resolve) => setTimeout(resolve, ms))),
    tries: new AccountTries(Date.now),
    newId: randomUUID,
    log,
    version,
    settings,
  };
  try {
    if (settings.demo) await mustBeForTheDemo(store.db);
    if (settings.demo && (await loadDemo(context, path.join(root, 'demo'), settings.demo === 'lived')))
      say('The demo data is loaded.');
    // A backup that was ended by a kill goes on noting what it no longer needs.
    if (!settings.databaseUrl) await dropBefore(store.db);
    await writeMissingWords(store.db);
    const server = await listen(context, settings.port);
    // Longer than browsers and proxies leave a connection unused: one closed just as it is used again loses a save.
    server.keepAliveTimeout = KEPT_OPEN_MS;
    server.headersTimeout = KEPT_OPEN_MS + 1000;
    const beat = setInterval(() => {
      void openAmong(context, events.sessions()).then(
        (open) => events.beat(open),
        () => events.beat(),
      );
    }, BEAT_MS).unref();
    const upkeep = () => keepUp(context, store);
    if (settings.mailbox) openMailbox(context, settings.mailbox);
    if (settings.demo === 'lived') openStandInMailbox(context, path.join(root, 'demo'));
    void upkeep();
    // What was to go while no server ran, and what another process left on its way.
    const deliver = () =>
      void deliverDue(context).catch((error: unknown) =>
        log.error({ name: (error as Error).name }, 'letters could not be delivered'),
      );
    deliver();
    setInterval(deliver, DELIVERY_MS).unref();
    setInterval(() => void upkeep(), UPKEEP_MS).unref();
    closeOnSignal(server, store, events, beat);
    const address = server.address();
    const port = typeof address === 'object' && address ? address.port : settings.port;
    here = `http://localhost:${port}`;
    say(`Elderleaf is ready: ${here}`);
  } catch (error) {
    await store.close();
    throw error;
  }
}
