import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';

/** Makes the image of a migrated, empty database once a run: opening from it is five times quicker than migrating. */
export default async function globalSetup(): Promise<void> {
  if (process.env.TEST_DATABASE_URL) return;
  const { PGlite } = await import('@electric-sql/pglite');
  const { drizzle } = await import('drizzle-orm/pglite');
  const { migrate } = await import('drizzle-orm/pglite/migrator');
  const client = await PGlite.create();
  await migrate(drizzle(client), { migrationsFolder: path.join(import.meta.dirname, '../db/migrations') });
  const image = await client.dumpDataDir('none');
  const file = path.join(os.tmpdir(), `elderleaf-image-${process.pid}.tar`);
  fs.writeFileSync(file, Buffer.from(await image.arrayBuffer()));
  process.env.TEST_DATABASE_IMAGE = file;
  await client.close();
}
