import { afterAll, beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Collection, Draft, Entry, LiveEvent } from '#contracts';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { plainPassage } from '#core/passage';
import { localBus } from '../events';
import { keep, wording } from '../testing/entryCalls';
import { Page, settled } from '../testing/page';
import { startTestServer, type Caller, type TestServer } from '../testing/testServer';
import { EventHub } from './eventHub';

let server: TestServer;
let imke: Caller;

beforeAll(async () => {
  server = await startTestServer();
  imke = await server.as('imke');
});
afterAll(() => server.close());

const pages: Page[] = [];
beforeEach(() => pages.splice(0).forEach((page) => page.end()));
/** Opens a page at one of the server processes there are. */
function open(member: string, hub = server.context.events, session = 'one'): Page {
  const page = Page.open(hub, member, session);
  pages.push(page);
  return page;
}
const allTold = () => settled(server.context.events, pages);

test('the stand-in pedal is heard by the pages of its member alone, in its order; what is no rest is refused', async () => {
  const [one, two, other] = [open('imke'), open('imke'), open('odile')];
  const press = (body: object) => imke.post('/api/pedal').send(body);
  await press({ rest: 'middle', isDown: true }).expect(204);
  await press({ rest: 'middle', isDown: false }).expect(204);
  await press({ rest: 'heel', isDown: true }).expect(422);
  await allTold();
  expect([one.types, two.types, other.types]).toEqual([
    ['pedal-pressed', 'pedal-pressed'],
    ['pedal-pressed', 'pedal-pressed'],
    [],
  ]);
});

test('that a draft was saved, finished or reopened is told to its author alone, with the version it then has', async () => {
  const draft = (await imke.post('/api/cases/hedgehog-bramble/drafts').expect(200)).body as Draft;
  const [one, other] = [open('imke'), open('odile')];
  const at = (version: number) => ['If-Match', `"${version}"`] as const;
  const document = { ...plainPassage('It ate.'), attrs: { placements: {} } };
  const { version } = draft;
  const save = (to: number) =>
    imke
      .put(`/api/drafts/${draft.id}`)
      .set(...at(to))
      .send({ document });
  await save(version).expect(200);
  // Refused, and sent again since its answer was lost: nothing is another by that.
  await save(version + 5).expect(412);
  await save(version).expect(200);
  await imke
    .post(`/api/drafts/${draft.id}/finish`)
    .set(...at(version + 1))
    .expect(200);
  await allTold();
  const saved = (more: number) => ({ type: 'draft-saved', draft: draft.id, version: version + more });
  expect(one.told.filter(({ type }) => type === 'draft-saved')).toEqual([saved(1), saved(2)]);
  expect(other.types).not.toContain('draft-saved');
});

test('of an entry hear those who may see it, at every server process; of a right taken away whom it concerns', async () => {
  const other = await server.another();
  const [odile, ruan, elsewhere] = [open('odile'), open('ruan'), open('anouk', other.events)];
  const made = await imke
    .post('/api/collections')
    .send({
      name: 'Night',
      leadIn: ';',
      cueRules: DEFAULT_CUE_RULES,
      kindsOfWork: [],
      language: 'en-GB',
      parent: null,
    })
    .expect(201);
  const collection = made.body as Collection;
  const keeper = open('imke');
  await allTold();
  expect(pages.flatMap(({ types }) => types)).toEqual([]);

  const share = (version: number, ...members: string[]) =>
    imke
      .put(`/api/collections/${collection.id}/sharing`)
      .set('If-Match', `"${version}"`)
      .send({
        grants: [
          { to: { kind: 'member', id: 'imke' }, right: 'keep' },
          ...members.map((id) => ({ to: { kind: 'member', id }, right: 'read' })),
        ],
      })
      .expect(200);
  await share(2, 'odile', 'anouk');
  const entry = (await keep(imke, collection.id, wording('Night round', 'All quiet.'))).body as Entry;
  await allTold();
  expect(odile.types).toEqual(['reach-changed', 'sharing-changed', 'entry-saved']);
  expect(elsewhere.types).toEqual(['reach-changed', 'sharing-changed', 'entry-saved']);
  // What may be done there is the same for a keeper; the page of who may do what is another.
  expect(keeper.types).toEqual(['sharing-changed', 'entry-saved']);
  expect(elsewhere.told[2]).toMatchObject({ entry: entry.id, title: 'Night round' });
  expect(ruan.types).toEqual([]);

  await share(3, 'anouk');
  await keep(imke, collection.id, wording('Night watch', 'All quiet.'));
  await allTold();
  expect(odile.types.slice(3)).toEqual(['reach-changed']);
  expect(elsewhere.types.slice(3)).toEqual(['sharing-changed', 'entry-saved']);
  expect(ruan.types).toEqual([]);
});

test('of a change that is none of theirs members hear nothing, wherever the store puts what was saved', async () => {
  const [anouk, odile] = [open('anouk'), open('odile')];
  // Saved, the row of its collection stands elsewhere in the table.
  await keep(imke, 'ward', wording('Moved about', 'All quiet.'));
  const body = { name: 'Of Imke alone', leadIn: ';', cueRules: DEFAULT_CUE_RULES };
  await imke
    .post('/api/collections')
    .send({ ...body, kindsOfWork: [], language: 'en-GB', parent: null })
    .expect(201);
  await allTold();
  expect([anouk.types, odile.types]).toEqual([['entry-saved'], ['entry-saved']]);
});

test('streams of sessions that ended end, at every server process', async () => {
  const other = await server.another();
  const [here, gone] = [open('odile', server.context.events, 'here'), open('odile', other.events, 'gone')];
  await server.context.events.sessionsEnded('odile', 'here');
  await allTold();
  expect([here.ended, gone.ended]).toEqual([false, true]);
});

test('a page that opens its stream hears that it missed something where it may have', async () => {
  let now = 0;
  const hub = new EventHub(server.context.db, localBus(), () => now);
  /** What a page hears that has asked for a second, and opens its stream so many ms after what was last done here. */
  const opened = (member: string, ms: number, askedFor: number | undefined = 1000) => {
    now += ms;
    const page = Page.open(hub, member, 'one', askedFor);
    page.end();
    return page.types;
  };
  const told = async (member: string, event: LiveEvent, to: 'all' | 'them' = 'them') => {
    const page = Page.open(hub, member);
    await (to === 'all' ? hub.tellAll(event) : hub.tell(member, event));
    while (page.told.length === 0) await new Promise(setImmediate);
    page.end();
  };
  // What was told before the server began nobody here knows.
  expect(opened('odile', 1000)).toEqual(['missed']);
  expect(opened('odile', 10_000)).toEqual([]);
  await told('odile', { type: 'case-added', case: 'c' });
  expect([opened('odile', 3000), opened('ruan', 0)]).toEqual([['missed'], []]);
  expect(opened('odile', 10_000)).toEqual([]);
  await told('ruan', { type: 'people-changed' }, 'all');
  expect(opened('odile', 3000)).toEqual(['missed']);
  await hub.reachChanged();
  await told('ruan', { type: 'case-added', case: 'c' });
  expect(opened('odile', 5000)).toEqual(['missed']);
  now += 60_000;
  // Of sessions and pedals no page shows anything by then; and one that says nothing asks by itself.
  await told('odile', { type: 'sessions-changed' });
  expect(opened('odile', 0)).toEqual([]);
  expect(opened('odile', 0, 3_600_000)).toEqual(['missed']);
  expect(Page.open(hub, 'odile').types).toEqual([]);
  hub.close();
});
