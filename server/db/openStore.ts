import path from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { drizzle as drizzleServer } from 'drizzle-orm/node-postgres';
import { migrate as migrateServer } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzleEmbedded } from 'drizzle-orm/pglite';
import { migrate as migrateEmbedded } from 'drizzle-orm/pglite/migrator';
import pg from 'pg';
import { lockFolder } from './lockFolder';
import * as schema from './schema';

/** The database, embedded or a server: the same for all who use it. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema>;
/** The database, or a transaction within it. */
export type Queries = Pick<Database, 'select' | 'insert' | 'update' | 'delete' | 'execute'>;

export interface Store {
  db: Database;
  close: () => Promise<void>;
}

/** Where the store is: a PostgreSQL server's URL, a folder, or in memory (from an image of a migrated one). */
export type StorePlace = { url: string } | { folder: string } | { image: Blob | null };

const migrationsFolder = path.join(import.meta.dirname, 'migrations');

async function openServer(url: string): Promise<Store> {
  const pool = new pg.Pool({ connectionString: url, max: 10 });
  const db = drizzleServer(pool, { schema });
  await migrateServer(db, { migrationsFolder });
  return { db, close: () => pool.end() };
}

async function openEmbedded(client: PGlite, release: () => void): Promise<Store> {
  const db = drizzleEmbedded(client, { schema });
  await migrateEmbedded(db, { migrationsFolder });
  return {
    db,
    close: async () => {
      await client.close();
      release();
    },
  };
}

/**
 * Opens the store and brings its schema up to date. A folder is locked for this process first. What PGlite
 * has acknowledged survives a killed process but not always a power cut: its file system has no fsync. Throws FolderInUse when another process holds the folder, and the
 * driver's own error when a server cannot be reached.
 */
export async function openStore(place: StorePlace): Promise<Store> {
  if ('url' in place) return openServer(place.url);
  if ('image' in place)
    return openEmbedded(await PGlite.create({ loadDataDir: place.image ?? undefined }), () => undefined);
  const release = await lockFolder(place.folder);
  try {
    const folder = path.join(place.folder, 'database');
    return await openEmbedded(await PGlite.create(folder), release);
  } catch (error) {
    release();
    throw error;
  }
}
