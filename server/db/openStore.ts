import fs from 'node:fs';
import path from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { localBus, postgresBus, type Bus } from '../events';
import { emptyStore, makeFolder } from '../emptyStore';
import { keptStatements } from './keptStatements';
import { lockFolder } from './lockFolder';
import type * as schema from './schema';
import { migrationsFolder, migrationsUpTo, schemaKnown } from './migrationsUpTo';
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
  /** Brings the schema up to date, where the store was opened as an earlier Elderleaf had it. */
  bringUpToDate: () => Promise<void>;
  close: () => Promise<void>;
}

/** Where the store is: a PostgreSQL server's URL, a folder, or in memory (from an image of a migrated one). */
export type StorePlace = { url: string } | { folder: string } | { image: Blob | null };

// Drivers are imported only when they are wanted, and the database's own start goes on meanwhile.

/** Changes a store's schema by what is in a folder. */
type Migrate = (config: { migrationsFolder: string }) => Promise<void>;

/** How a store is opened. */
export interface Opening {
  /** As it was after so many changes of the schema; up to date when left out. */
  upTo?: number;
  /** Done before a store of an earlier Elderleaf is changed, with how many changes its schema has. */
  beforeUpgrade?: (db: Database, schema: number) => Promise<unknown>;
}

/** The store is of a later Elderleaf than this one. */
export class NewerStore extends Error {
  constructor() {
    super(
      'These data were last used by a later Elderleaf than this one, which would spoil them. Nothing was changed. Start the later one, or restore a backup into another folder.',
    );
  }
}

/** How many changes of the schema a store has had; 0 for a new one. */
async function schemaOf(db: Database): Promise<number> {
  const { rows } = (await db.execute(
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  )) as { rows: { there: boolean }[] };
  if (!rows[0]!.there) return 0;
  const counted = (await db.execute(
    sql`select count(*)::int as count from drizzle.__drizzle_migrations`,
  )) as { rows: { count: number }[] };
  return counted.rows[0]!.count;
}

/** Brings the schema to where it is wanted. Throws a NewerStore where it is beyond what is known here. */
async function migrateTo(db: Database, migrate: Migrate, { upTo, beforeUpgrade }: Opening): Promise<void> {
  const now = await schemaOf(db);
  if (now > schemaKnown()) throw new NewerStore();
  if (now > 0 && now < (upTo ?? schemaKnown())) await beforeUpgrade?.(db, now);
  if (upTo === undefined) return migrate({ migrationsFolder });
  const { folder, drop } = migrationsUpTo(upTo);
  try {
    await migrate({ migrationsFolder: folder });
  } finally {
    drop();
  }
}

async function openServer(url: string, opening: Opening): Promise<Store> {
  const [{ default: pg }, { drizzle }, { migrate }, schema] = await Promise.all([
    import('pg'),
    import('drizzle-orm/node-postgres'),
    import('drizzle-orm/node-postgres/migrator'),
    import('./schema'),
  ]);
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  const db = drizzle(pool, { schema });
  const change: Migrate = (config) => migrate(db, config);
  await migrateTo(db, change, opening);
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
    bringUpToDate: () => migrateTo(db, change, {}),
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

/** How a database in memory is started: pages that are in memory need no room beside it, and to make 128 MB of it takes half of the start. */
const inMemory = ({ defaultStartParams }: typeof PGlite) => [
  ...defaultStartParams,
  ...['-c', 'shared_buffers=8MB'],
];

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
  loading: Promise<PGlite>,
  release: () => void,
  { secure = () => undefined, ...opening }: Opening & { secure?: () => void } = {},
): Promise<Store> {
  const [client, { types }, { drizzle }, { migrate }, schema] = await Promise.all([
    loading,
    import('@electric-sql/pglite'),
    import('drizzle-orm/pglite'),
    import('drizzle-orm/pglite/migrator'),
    import('./schema'),
  ]);
  // Without those of the arrays of each type and table, about 300: all are copied for every question, and none is ever answered.
  client.parsers = types.parsers;
  givingTurns(client);
  const db = drizzle(client, { schema });
  const change: Migrate = (config) => migrate(db, config);
  await migrateTo(db, change, opening);
  client.execProtocolStream = keptStatements(client.execProtocolStream.bind(client));
  secure();
  return {
    db,
    bus: localBus(),
    upkeep: async () => {
      secure();
      await upkeep(db);
    },
    bringUpToDate: () => migrateTo(db, change, {}),
    close: async () => {
      await client.close();
      release();
    },
  };
}

/** Whether a store is wanted as this Elderleaf has it, not as an earlier one had. */
const isUpToDate = ({ upTo }: Opening): boolean => upTo === undefined || upTo === schemaKnown();

/**
 * Opens the store and brings its schema up to date. A folder is locked for this process first. What PGlite
 * has acknowledged survives a killed process but not always a power cut: its file system has no fsync.
 * Throws FolderInUse when another process holds the folder, and the driver's own error when a server cannot
 * be reached. `lost` is called should another take the folder over: nothing may be written from then on. Throws a
 * NewerStore where a later Elderleaf used it last.
 */
export async function openStore(
  place: StorePlace,
  lost: () => void = () => undefined,
  opening: Opening = {},
): Promise<Store> {
  if ('url' in place) return openServer(place.url, opening);
  const { PGlite: Embedded } = await import('@electric-sql/pglite');
  const empty = () => (isUpToDate(opening) ? emptyStore() : null);
  if ('image' in place) {
    const image = place.image ?? (await empty());
    return openEmbedded(
      Embedded.create({ loadDataDir: image ?? undefined, startParams: inMemory(Embedded) }),
      () => undefined,
      opening,
    );
  }
  const release = await lockFolder(place.folder, { lost });
  try {
    const folder = path.join(place.folder, 'database');
    const image = fs.existsSync(folder) ? null : await empty();
    if (image) await makeFolder(Embedded, folder, image);
    return await openEmbedded(Embedded.create(folder), release, {
      secure: () => closeToOthers(place.folder),
      ...opening,
    });
  } catch (error) {
    release();
    throw error;
  }
}
