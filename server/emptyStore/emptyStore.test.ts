import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { openStore, schemaKnown, type Store } from '../db';

/** Tables with their columns, and what guards them: all that makes a schema. */
async function schemaOf({ db }: Store): Promise<unknown[]> {
  const columns = await db.execute(
    sql`select table_name, column_name, data_type, column_default, is_nullable from information_schema.columns
        where table_schema = 'public' order by 1, 2`,
  );
  const guards = await db.execute(
    sql`select conrelid::regclass::text as of, pg_get_constraintdef(oid) as guard from pg_constraint order by 1, 2`,
  );
  const indexes = await db.execute(
    sql`select indexdef from pg_indexes where schemaname = 'public' order by 1`,
  );
  return [columns, guards, indexes].map((found) => (found as { rows: unknown[] }).rows);
}

const changesMade = async ({ db }: Store): Promise<number> =>
  (
    (await db.execute(sql`select count(*)::int as count from drizzle.__drizzle_migrations`)) as {
      rows: { count: number }[];
    }
  ).rows[0]!.count;

describe('a new store', () => {
  let folder: string;
  beforeEach(() => {
    folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-new-'));
  });
  afterEach(() => fs.rmSync(folder, { recursive: true, force: true }));

  it('begins from the image, and is what each change of the schema makes of nothing', async () => {
    const made = await openStore({ folder });
    const fromImage = await schemaOf(made);
    await made.close();
    // Each change but the last, then the last: an earlier Elderleaf's store is never begun from the image.
    const anew = await openStore({ image: null }, undefined, { upTo: schemaKnown() - 1 });
    expect(await changesMade(anew)).toBe(schemaKnown() - 1);
    await anew.bringUpToDate();
    expect(fromImage).toEqual(await schemaOf(anew));
    expect(fromImage[0]!).not.toHaveLength(0);
    await anew.close();
  });

  it('is made whole though making it was once broken off, for its owner alone, and kept from then on', async () => {
    fs.mkdirSync(path.join(folder, 'database.making'));
    fs.writeFileSync(path.join(folder, 'database.making', 'PG_VERSION'), 'half');
    const first = await openStore({ folder });
    await first.db.execute(sql`create table written (word text)`);
    await first.close();
    expect(fs.readdirSync(folder)).not.toContain('database.making');
    expect(fs.statSync(path.join(folder, 'database', 'PG_VERSION')).mode & 0o077).toBe(0);
    const again = await openStore({ folder });
    await expect(again.db.execute(sql`select word from written`)).resolves.toBeDefined();
    await again.close();
  });
});
