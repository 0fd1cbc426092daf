import { afterAll, beforeAll, expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { Collection, Entry, Proposal } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { rightsOf, type Grant } from '#core/rights';
import { members } from './db';
import { deleting, deletionIn, keep, wording } from './testing/entryCalls';
import { Page, settled } from './testing/page';
import { startTestServer, type Caller, type TestServer } from './testing/testServer';

let server: TestServer;
let wilma: Caller;
const PEOPLE = ['odile', 'ruan', 'anouk'] as const;
let callers: Record<string, Caller>;

beforeAll(async () => {
  server = await startTestServer();
  const row = { id: 'wilma', name: 'Wilma Reed', email: 'wilma@hollin.example', role: 'member' as const };
  await server.context.db.insert(members).values({ ...row, createdAt: server.context.now() });
  wilma = await server.as('wilma');
  const said = { language: '', use: 'Word', avoid: ['W'], why: '', together: false };
  await (await server.as('imke')).post('/api/house-words').send(said).expect(201);
  callers = Object.fromEntries(
    await Promise.all(PEOPLE.map(async (id) => [id, await server.as(id)] as const)),
  );
});
afterAll(() => server.close());

/** Of each collection: which earlier one it is in, and what it grants to whom. */
const plan = fc.array(
  fc.record({
    within: fc.integer({ min: -1, max: 4 }),
    grants: fc.uniqueArray(
      fc.record({
        to: fc.constantFrom('odile', 'ruan', 'anouk', 'ward-staff', 'desk-volunteers', 'team'),
        right: fc.constantFrom('none' as const, 'read' as const, 'contribute' as const, 'keep' as const),
      }),
      { selector: ({ to }) => to, maxLength: 4 },
    ),
  }),
  { minLength: 2, maxLength: 5 },
);

/** In the demo's groups. */
const GROUPS = { 'ward-staff': ['imke', 'odile'], 'desk-volunteers': ['anouk', 'ruan'] };
const grantee = (to: string): Grant['to'] => {
  if (to === 'team') return { kind: 'team' };
  return { kind: to in GROUPS ? 'group' : 'member', id: to };
};

let runs = 0;

interface Made {
  id: string;
  parent: string | null;
  /** A word that stands in everything of this collection and nowhere else. */
  secret: string;
  entry: Entry;
  deletion: string;
  proposal: Proposal;
  grants: Grant[];
}

/** Makes the collections with something of every kind in each: Wilma keeps all, and nobody else has seen anything. */
async function make(wanted: typeof plan extends fc.Arbitrary<infer T> ? T : never): Promise<Made[]> {
  const made: Made[] = [];
  for (const [at, { within, grants }] of wanted.entries()) {
    runs += 1;
    const secret = `zq${runs.toString(36)}xj`;
    const parent = made[within]?.id ?? null;
    const settings = {
      name: `N ${secret}`,
      leadIn: ';',
      cueRules: DEFAULT_CUE_RULES,
      kindsOfWork: [],
      language: 'en-GB',
    };
    const { id } = (
      await wilma
        .post('/api/collections')
        .send({ ...settings, parent })
        .expect(201)
    ).body as Collection;
    const content = wording(`T ${secret}`, `W ${secret}`, `c${at}${secret}`);
    const entry = (await keep(wilma, id, content)).body as Entry;
    const gone = (await keep(wilma, id, wording(`D ${secret}`, 'x'))).body as Entry;
    const deletion = deletionIn(await deleting(wilma, [gone.id]));
    const proposal = (
      await wilma
        .post(`/api/entries/${entry.id}/proposals`)
        .send({ content: { ...content, purpose: secret }, reason: secret, base: 1 })
    ).body as Proposal;
    const review = { due: '2027-01-31', keeper: 'wilma', looked: true };
    await wilma
      .post('/api/reviews')
      .send({ entries: [entry.id], review })
      .expect(204);
    await wilma.post(`/api/entries/${entry.id}/notes`).send({ text: secret }).expect(201);
    const own: Grant[] = grants.map(({ to, right }) => ({ collection: id, to: grantee(to), right }));
    const all = [...own, { collection: id, to: grantee('wilma'), right: 'keep' as const }];
    const { version } = (await wilma.get(`/api/collections/${id}/sharing`)).body as { version: number };
    await wilma
      .put(`/api/collections/${id}/sharing`)
      .set('If-Match', `"${version}"`)
      .send({ grants: all.map(({ to, right }) => ({ to, right })) })
      .expect(200);
    made.push({ id, parent, secret, entry, deletion, proposal, grants: all });
  }
  return made;
}

/** Everything a member can ask for that lists or counts things, and everything about one of them. */
async function allAnswers(caller: Caller, made: readonly Made[]): Promise<string> {
  const lists = await Promise.all(
    [
      'bank',
      'proposals',
      'notes',
      'wastebasket',
      'team',
      'usage',
      'usage/entries',
      'practice',
      'reviews',
      'newer-wordings',
      'usual/admission',
    ].map((list) => caller.get(`/api/${list}`).expect(200)),
  );
  const had = Object.fromEntries(made.map(({ id }) => [id, 0]));
  const posts = await Promise.all([
    caller.post('/api/bank/changes').send({ had }),
    ...made.map(({ secret }) => caller.post('/api/bank/search').send({ query: secret })),
    caller.post('/api/entries/touched').send({ entries: made.map(({ entry }) => entry.id) }),
    ...made.map(({ secret }) => caller.post('/api/bank/nearest').send({ text: `Where is ${secret}?` })),
  ]);
  const reports: string[] = [];
  // One after the other: a member's next long work ends the one before.
  const secrets = made.map(({ secret }) => ({ from: secret, to: 'x' }));
  const asks = [
    ['alike', { least: 0.5 }],
    ['typed-again', {}],
    ['personal', {}],
    ['said-otherwise', {}],
    ['ageing', {}],
    ['shared-ends', {}],
    ['reworded', {}],
    ['term', { forms: secrets.slice(0, 20), collections: [] }],
  ] as const;
  for (const [report, body] of asks) {
    const answer = await caller.post(`/api/order/${report}`).send(body).buffer(true).expect(200);
    expect(answer.text).toContain('"result"');
    reports.push(answer.text);
  }
  return [...lists.map(({ text }) => text), ...posts.map(({ text }) => text), ...reports].join('\n');
}

/** What of the API tells of one collection, with its answer's status. */
const asked = (who: string, { id, entry, deletion, proposal }: Made) => {
  const caller = callers[who]!;
  return Promise.all([
    caller.get(`/api/entries/${entry.id}`),
    caller.get(`/api/entries/${entry.id}/revisions`),
    caller.get(`/api/entries/${entry.id}/revisions/1`),
    caller.get(`/api/collections/${id}/sharing`),
    caller.get(`/api/collections/${id}/revisions`),
    caller.post(`/api/collections/${id}/changes`).send({ had: null }),
    caller.post(`/api/proposals/${proposal.id}/answer`).send({ accept: null, answer: '' }),
    caller.post(`/api/wastebasket/${deletion}/restored`).send({ entries: null }),
    caller.post(`/api/entries/${entry.id}/notes`).send({ text: 'x' }),
    caller.post('/api/entries').send({
      collection: `own-${who}`,
      content: wording('V', 'x'),
      varies: { entry: entry.id, revision: 1 },
    }),
    // The same cue, asked for in the dark.
    caller
      .post('/api/entries')
      .send({ collection: id, content: wording('x', 'y', entry.content.cues[0]!.text) }),
  ]);
};

test('for any tree and any grants: nothing of what one may not see is in any answer, any refusal, any event', async () => {
  await fc.assert(
    fc.asyncProperty(plan, async (wanted) => {
      const hub = server.context.events;
      const made = await make(wanted);
      // From now on: while it was being made, some saw what is narrowed by now.
      const pages = PEOPLE.map((id) => ({ id, page: Page.open(hub, id) }));
      const places = made.map(({ id, parent }) => ({ id, parent, ownedBy: null }));
      const grants = made.flatMap((one) => one.grants);
      for (const { entry } of made)
        await wilma
          .put(`/api/entries/${entry.id}`)
          .set('If-Match', '"1"')
          .send({ content: { ...entry.content, note: 'now' }, reason: '' })
          .expect(200);
      await settled(
        hub,
        pages.map(({ page }) => page),
      );
      for (const { id, page } of pages) {
        const groups = Object.entries(GROUPS).flatMap(([group, all]) => (all.includes(id) ? [group] : []));
        const rights = rightsOf({ id, groups: new Set(groups) }, places, grants);
        const caller = callers[id]!;
        const everything = (await allAnswers(caller, made)) + JSON.stringify(page.told);
        for (const one of made) {
          const right = rights.get(one.id);
          if (right) {
            // Whether it is there, not all that is: a failure must be readable.
            expect(everything.includes(`W ${one.secret}`)).toBe(true);
            expect(JSON.stringify(page.told).includes(one.secret)).toBe(true);
            continue;
          }
          const shownAt = Math.max(everything.indexOf(one.secret), everything.indexOf(one.id));
          expect(shownAt < 0 ? null : everything.slice(shownAt - 200, shownAt + 50)).toBeNull();
          for (const { status, text } of await asked(id, one)) {
            expect(status).toBe(404);
            expect(text).not.toContain(one.secret);
          }
        }
        page.end();
      }
    }),
    { numRuns: 4, endOnFailure: true },
  );
}, 240_000);
