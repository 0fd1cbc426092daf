/**
 * Writes images of embedded databases into the folder that is named: `empty.tar`, migrated and with nobody in it, and
 * `first-day.tar`, with the demo's team. A process of its own, since the test runner's global set-up compiles itself alone.
 */
import path from 'node:path';
import type { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import type { Database } from '../db';
import { writeImage } from '../emptyStore';
import { startTestServer } from './testServer';

/** What no test asks for: the databases new ones are copied from, half of all files of an image. */
async function leaveTemplatesOut(db: Database): Promise<void> {
  await db.execute(sql`update pg_database set datistemplate = false where datname like 'template%'`);
  for (const name of ['template0', 'template1'])
    await db.execute(sql`drop database if exists ${sql.identifier(name)}`);
}

async function writeBeginning(demo: 'first-day' | undefined, file: string): Promise<void> {
  const { context, close } = await startTestServer({ demo: demo ?? null });
  await leaveTemplatesOut(context.db);
  await writeImage((context.db as unknown as { $client: PGlite }).$client, file);
  await close();
}

const folder = process.argv[2]!;
await writeBeginning(undefined, path.join(folder, 'empty.tar'));
await writeBeginning('first-day', path.join(folder, 'first-day.tar'));
