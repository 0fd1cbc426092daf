import { expect, test } from '@jest/globals';
import { sql } from 'drizzle-orm';
import { embeddedStore } from '../testing/embeddedStore';
import { vocabulary } from './schema';

test('while the embedded store works through a long transaction, what asks nothing of it is answered', async () => {
  const store = await embeddedStore();
  try {
    let turns = 0;
    const turn = setInterval(() => (turns += 1), 1);
    await store.db.transaction(async (tx) => {
      for (let at = 0; at < 40; at += 1)
        await tx.execute(
          sql`select count(*) from generate_series(1, 50000) where not exists (select from ${vocabulary})`,
        );
    });
    clearInterval(turn);
    expect(turns).toBeGreaterThan(0);
  } finally {
    await store.close();
  }
});
