import fs from 'node:fs';
import path from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { localBus, postgresBus, type Bus } from '../events';
import { keptStatements } from './keptStatements';
import { lockFolder } from './lockFolder';
import type * as schema from './schema';
import { upkeep } from './upkeep';

/** The database, embedded or a server: the same for all who use it. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;
/** The database, or a transaction within it. */
export type Queries = Pick<
  Database,
  'select' | 'selectDistinctOn' | 'insert' | 'update' | 'delete' | 'execute'
>;

/** A store that is open. */
export interface Store {
  db: Database;
  /** How the processes that have this store open tell each other what changed. */
  bus: Bus;
  /** To be done now and then; a PostgreSQL server does its own. */
  upkeep: () => Promise<unknown>;
  close: () => Promise<void>;
}

/** Where the store is: a PostgreSQL server's URL, a folder, or in memory (from an image of a migrated one). */
export type StorePlace = { url: string } | { folder: string } | { image: Blob | null };

const migrationsFolder = path.join(import.meta.dirname, 'migrations');

// Drivers are imported only when they are wanted, and the database's own start goes on meanwhile.

async function openServer(url: string): Promise<Store> {
  const [{ default: pg }, { drizzle }, { migrate }, schema] = await Promise.all([
    import('pg'),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
    import('./schema'),
  ]);
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  const db = drizzle(pool, { schema });
  await migrate(db, { migrationsFolder });
  const bus = await postgresBus(
    async () => {
      const client = new pg.Client({ connectionString: url });
      await client.connect();
      return client;
    },
    (channel, message) => db.execute(sql`select pg_notify(${channel}, ${message})`),
  );
  return {
    db,
    bus,
    upkeep: () => Promise.resolve(),
    close: async () => {
      await bus.close();
      await pool.end();
    },
  };
}

/** Others have their turn after this long. */
const TURN_MS = 10;

/**
 * Lets others have their turn between the statements of a long transaction. The embedded database works on this very thread, and
 * its promises by themselves never let the event loop go on: without this not even what asks nothing of it would be answered.
 */
function givingTurns(client: PGlite): void {
  const work = client.execProtocolStream.bind(client);
  let turn = performance.now();
  client.execProtocolStream = async (...asked) => {
    if (performance.now() - turn > TURN_MS) {
      await new Promise((resolve) => setImmediate(resolve));
      turn = performance.now();
    }
    return work(...asked);
  };
}

/** Keeps others of the machine out of a folder and all in it: the database makes its files for all to read and write. */
function closeToOthers(folder: string): void {
  fs.chmodSync(folder, 0o700);
  for (const entry of fs.readdirSync(folder, { withFileTypes: true })) {
    const full = path.join(folder, entry.name);
    if (entry.isDirectory()) closeToOthers(full);
    else if (entry.isFile()) fs.chmodSync(full, 0o600);
  }
}

async function openEmbedded(
  opening: Promise<PGlite>,
  release: () => void,
  secure: () => void = () => undefined,
): Promise<Store> {
  const [client, { types }, { drizzle }, { migrate }, schema] = await Promise.all([
    opening,
    import('@electric-sql/pglite'),
    import('drizzle-orm/pglite'),
    import('drizzle-orm/pglite/migrator'),
    import('./schema'),
  ]);
  // Without those of the arrays of each type and table, about 300: all are copied for every question, and none is ever answered.
  client.parsers = types.parsers;
  givingTurns(client);
  const db = drizzle(client, { schema });
  await migrate(db, { migrationsFolder });
  client.execProtocolStream = keptStatements(client.execProtocolStream.bind(client));
  secure();
  return {
    db,
    bus: localBus(),
    upkeep: async () => {
      secure();
      await upkeep(db);
    },
    close: async () => {
      await client.close();
      release();
    },
  };
}

/**
 * Opens the store and brings its schema up to date. A folder is locked for this process first. What PGlite
 * has acknowledged survives a killed process but not always a power cut: its file system has no fsync.
 * Throws FolderInUse when another process holds the folder, and the driver's own error when a server cannot
 * be reached. `lost` is called should another take the folder over: nothing may be written from then on.
 */
export async function openStore(place: StorePlace, lost: () => void = () => undefined): Promise<Store> {
  if ('url' in place) return openServer(place.url);
  const { PGlite: Embedded } = await import('@electric-sql/pglite');
  if ('image' in place)
    return openEmbedded(Embedded.create({ loadDataDir: place.image ?? undefined }), () => undefined);
  const release = await lockFolder(place.folder, { lost });
  try {
    const folder = path.join(place.folder, 'database');
    return await openEmbedded(Embedded.create(folder), release, () => closeToOthers(place.folder));
  } catch (error) {
    release();
    throw error;
  }
}
