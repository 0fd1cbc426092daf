import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { eq } from 'drizzle-orm';
import type { Draft, FinishedText } from '#contracts';
import { drafts } from '../db';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';

let server: TestServer;
let odile: Caller;

beforeAll(async () => {
  server = await startTestServer();
  odile = await server.as('odile');
});
afterAll(() => server.close());

const texts = async (who: Caller, of: string | null, after: string | null = null) =>
  (await who.post('/api/drafts/finished-texts').send({ case: of, after }).expect(200)).body as {
    texts: FinishedText[];
    more: boolean;
  };

test('all finished texts come a page at a time, each once; open ones, deleted ones and those of others never', async () => {
  const { db } = server.context;
  const { id, case: of } = (await odile.post('/api/cases/swan-keel/drafts')).body as Draft;
  const [row] = await db.select().from(drafts).where(eq(drafts.id, id));
  const made = Array.from({ length: 60 }, (_, at) => `made-${String(at).padStart(2, '0')}`);
  for (const [at, name] of made.entries())
    await db.insert(drafts).values({
      ...row!,
      id: name,
      title: name,
      state: at === 7 ? 'open' : 'finished',
      author: at === 8 ? 'imke' : 'odile',
    });
  const wanted = made.filter((_, at) => at !== 7 && at !== 8);
  const found: string[] = [];
  for (let after: string | null = null, more = true; more;) {
    const page = await texts(odile, null, after);
    found.push(...page.texts.map(({ title }) => title));
    after = page.texts.at(-1)?.id ?? null;
    more = page.more;
  }
  expect(found.filter((title) => title.startsWith('made-'))).toEqual(wanted);
  expect((await texts(odile, of)).texts[0]).toMatchObject({ case: of });
  expect((await texts(await server.as('desta'), of)).texts).toEqual([]);
});
