import { afterAll, beforeAll, beforeEach, describe, expect, it } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { embeddedStore } from '../testing/embeddedStore';
import type { Store } from './openStore';
import { vocabulary } from './schema';
import { upkeep } from './upkeep';

const WORDS = 2000;

describe('upkeep of the embedded store', () => {
  let store: Store;
  beforeAll(async () => {
    store = await embeddedStore();
  });
  afterAll(() => store.close());
  beforeEach(async () => {
    await store.db.delete(vocabulary);
    await upkeep(store.db);
    await store.db
      .insert(vocabulary)
      .values(Array.from({ length: WORDS }, (_, at) => ({ word: `word${at}`, initial: 'w', length: 8 })));
  });

  const counted = async () => {
    const { rows } = (await store.db.execute(
      sql`select reltuples as rows, pg_relation_size(oid) as size from pg_class where relname = 'vocabulary'`,
    )) as { rows: { rows: number; size: number }[] };
    return rows[0]!;
  };

  it('counts a table that has grown, once', async () => {
    expect((await counted()).rows).toBeLessThan(WORDS);
    expect(await upkeep(store.db)).toEqual(['vocabulary']);
    expect((await counted()).rows).toBe(WORDS);
    expect(await upkeep(store.db)).toEqual([]);
  });

  it('leaves a table alone where little is another', async () => {
    await upkeep(store.db);
    await store.db
      .update(vocabulary)
      .set({ length: 9 })
      .where(sql`word < 'word11'`);
    expect(await upkeep(store.db)).toEqual([]);
  });

  it('frees the room of what was changed: ten changes of all take no more of it than two', async () => {
    const changed = async () => {
      await store.db.update(vocabulary).set({ length: sql`length + 1` });
      expect(await upkeep(store.db)).toEqual(['vocabulary']);
      return (await counted()).size;
    };
    await changed();
    const room = await changed();
    for (let time = 0; time < 8; time += 1) await changed();
    expect((await counted()).size).toBe(room);
  });
});
