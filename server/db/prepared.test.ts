import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { eq, sql } from 'drizzle-orm';
import { embeddedStore } from '../testing/embeddedStore';
import type { Store } from './openStore';
import { prepared } from './prepared';
import { vocabulary } from './schema';

const stores: Store[] = [];
beforeAll(async () => {
  stores.push(await embeddedStore(), await embeddedStore());
});
afterAll(() => Promise.all(stores.map((store) => store.close())));

const initialOf = prepared((db) =>
  db
    .select({ initial: vocabulary.initial })
    .from(vocabulary)
    .where(eq(vocabulary.word, sql.placeholder('word')))
    .prepare('initial_of'),
);
const put = prepared((db) =>
  db
    .insert(vocabulary)
    .values({
      word: sql.placeholder('word'),
      initial: sql.placeholder('initial'),
      length: sql.placeholder('length'),
    })
    .prepare('put_word'),
);
const OWL = { word: 'owl', initial: 'o', length: 3 };

test('each store is asked for itself, and a transaction for what was done in it', async () => {
  const [one, other] = stores.map(({ db }) => db);
  const found = async (db: Parameters<typeof initialOf>[0]) =>
    (await initialOf(db).execute({ word: 'owl' })).length;
  await expect(
    one!.transaction(async (tx) => {
      await put(tx).execute(OWL);
      expect(await found(tx)).toBe(1);
      throw new Error('Given up');
    }),
  ).rejects.toThrow('Given up');
  expect(await found(one!)).toBe(0);
  await put(other!).execute(OWL);
  expect([await found(one!), await found(other!)]).toEqual([0, 1]);
});
