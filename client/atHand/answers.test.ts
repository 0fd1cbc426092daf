import { beforeEach, expect, test } from '@jest/globals';
import { openDB } from 'idb';
import type { Draft, Member, TeamSettings } from '#contracts';
import { emptyDraft } from '#core/draft';
import { keptHere } from '../testing/keptHere';
import { emptyStore } from '../testing/storedHere';
import {
  ANSWERS_AT_HAND,
  closeStore,
  countKept,
  forgetAnswers,
  keptCases,
  noStore,
  openStore,
  ownComputer,
} from '.';
import { STORE_NAME, STORE_VERSION } from './store';

const member = (id: string): Member => ({
  ...{ id, name: id, email: `${id}@wold.example`, role: 'member', job: 'Warden', phone: '' },
});
const RUAN = member('ruan');
const ODILE = member('odile');
const SETTINGS: TeamSettings = {
  ...{ wastebasketDays: 30, kinds: null, records: null, backups: null, leftAlone: null, pageCards: null },
  casesOnComputers: null,
};
const draft = (id: string, more: Partial<Draft> = {}): Draft => ({
  ...{ id, case: 'bramble', author: 'ruan', title: '', state: 'open', version: 1, excerpt: '' },
  ...{ begunAt: '2026-11-29T08:00:00.000Z', savedAt: '2026-11-29T08:00:00.000Z', document: emptyDraft() },
  ...more,
});
const { keep, at } = ANSWERS_AT_HAND;
const team = () => at('teamSettings', '/api/settings');
const cases = () => at('newerWordings', '/api/newer-wordings');
const opened = (id = 'bramble') => at('openDraft', `/api/cases/${id}/drafts`);

beforeEach(async () => {
  await emptyStore();
  keptHere();
  await ownComputer(RUAN);
  keep('teamSettings', '/api/settings', SETTINGS);
  keep('newerWordings', '/api/newer-wordings', []);
  keep('case', '/api/cases/bramble', {});
  keep('draft', '/api/drafts/d1', draft('d1'));
});

test('what was answered is there without the server: the member, the team, cases and drafts', async () => {
  expect(await at('session', '/api/session')).toEqual(RUAN);
  expect(await team()).toEqual(SETTINGS);
  expect(await cases()).toEqual([]);
  expect(await at('draft', '/api/drafts/d1')).toEqual(draft('d1'));
  expect(await at('draft', '/api/drafts/d2')).toBeUndefined();
});

test('of the drafts of a case the one to go on with is opened: unfinished before finished, saved last', async () => {
  const late = { savedAt: '2026-11-30T08:00:00.000Z' };
  keep('finishDraft', '/api/drafts/d2/finish', draft('d2', { ...late, state: 'finished' }));
  expect(await opened()).toMatchObject({ id: 'd1' });
  keep('beginDraft', '/api/cases/bramble/drafts/new', draft('d3', late));
  expect(await opened()).toMatchObject({ id: 'd3' });
  keep('saveDraft', '/api/drafts/d1', draft('d1', { savedAt: '2026-11-30T09:00:00.000Z', version: 2 }));
  expect(await opened()).toMatchObject({ id: 'd1', version: 2 });
  expect(await opened('tansy')).toBeUndefined();
});

test('a change is never answered by what was kept of an earlier one', async () => {
  keep('savePreferences', '/api/preferences', {});
  expect(await at('savePreferences', '/api/preferences')).toBeUndefined();
  expect(await at('saveDraft', '/api/drafts/d1')).toBeUndefined();
  expect(await at('finishDraft', '/api/drafts/d1/finish')).toBeUndefined();
});

test('an answer of an earlier Elderleaf that this one cannot read is none', async () => {
  keep('teamSettings', '/api/settings', { wastebasketDays: 'thirty' });
  expect(await team()).toBeUndefined();
  expect(await cases()).toEqual([]);
});

test('for another member nothing of the first stays; for the same all does', async () => {
  await ownComputer(RUAN);
  expect(await cases()).toEqual([]);
  await ownComputer(ODILE);
  expect(await cases()).toBeUndefined();
  expect(await opened()).toBeUndefined();
  expect(await at('session', '/api/session')).toEqual(ODILE);
});

test('signed out, nothing stays', async () => {
  keep('case', '/api/cases/bramble', {});
  await forgetAnswers();
  expect(await countKept()).toEqual({ answers: 0, cases: 0, drafts: 0 });
  expect(await keptCases()).toEqual([]);
});

test('a team that lets no case stay has those gone at once that were there, and none kept from then on', async () => {
  keep('teamSettings', '/api/settings', { ...SETTINGS, casesOnComputers: 'none' });
  expect(await cases()).toBeUndefined();
  keep('newerWordings', '/api/newer-wordings', []);
  keep('draft', '/api/drafts/d1', draft('d1'));
  expect(await cases()).toBeUndefined();
  expect(await opened()).toBeUndefined();
  expect(await team()).toMatchObject({ casesOnComputers: 'none' });
});

test('a team that lets cases stay for days has them gone when the server was not reached for longer', async () => {
  keep('teamSettings', '/api/settings', { ...SETTINGS, casesOnComputers: 2 });
  expect(await cases()).toEqual([]);
  const days = async (count: number) => {
    const store = await openStore();
    const reachedAt = Date.now() - count * 86_400_000;
    await store!.put('about', { key: 'owner', member: 'ruan', reachedAt });
    // As a page that is opened then.
    await ownComputer(RUAN);
  };
  await days(1.9);
  expect(await cases()).toEqual([]);
  await days(2.1);
  expect(await cases()).toBeUndefined();
  expect(await opened()).toBeUndefined();
  expect(await team()).toMatchObject({ casesOnComputers: 2 });
});

test('of a word list the newest version alone is kept, and the same is not written twice', async () => {
  const path = (version: number) => `/api/glossaries/g1/terms/${version}`;
  const terms = (words: string) => [{ term: words, note: '' }];
  keep('terms', path(1), terms('first'));
  keep('terms', path(2), terms('second'));
  keep('terms', path(2), terms('again'));
  keep('terms', '/api/glossaries/g2/terms/1', terms('another list'));
  await at('terms', path(2));
  const kept = await (await openStore())!.getAll('answers');
  expect(kept.filter((one) => one.path.includes('/terms/')).map((one) => [one.path, one.answer])).toEqual([
    [path(2), terms('second')],
    ['/api/glossaries/g2/terms/1', terms('another list')],
  ]);
});

test('a case that was not opened for two months goes with its drafts; one opened since stays', async () => {
  keep('case', '/api/cases/bramble', {});
  keep('case', '/api/cases/tansy', {});
  keep('draft', '/api/drafts/d2', draft('d2', { case: 'tansy' }));
  expect(await keptCases()).toEqual(['bramble', 'tansy']);
  const store = (await openStore())!;
  const old = (await store.get('answers', '/api/cases/bramble'))!;
  await store.put('answers', { ...old, at: old.at - 61 * 86_400_000 });
  await ownComputer(RUAN);
  expect(await keptCases()).toEqual(['tansy']);
  expect(await opened()).toBeUndefined();
  expect(await opened('tansy')).toMatchObject({ id: 'd2' });
  expect(await team()).toEqual(SETTINGS);
});

test('a newer form of the store keeps what waits to be sent, and has the rest fetched anew', async () => {
  // By then all that was to be kept is.
  await team();
  const act = { kind: 'entry', member: 'ruan', id: 'e1', name: 'Fed', at: '', refused: null } as never;
  await (await openStore())!.add('waiting', act);
  await closeStore();
  const store = (await openStore(STORE_VERSION + 1))!;
  expect(await store.getAll('waiting')).toMatchObject([{ name: 'Fed' }]);
  expect(await store.getAll('answers')).toEqual([]);
  expect(noStore()).toBeNull();
});

test('where a newer Elderleaf made the store this one keeps nothing, takes nothing away, and says so', async () => {
  await closeStore();
  (await openDB(STORE_NAME, STORE_VERSION + 1)).close();
  expect(await team()).toBeUndefined();
  expect(noStore()).toBe('newer');
  expect(await countKept()).toBeNull();
  const kept = await openDB(STORE_NAME);
  expect(await kept.count('answers')).toBeGreaterThan(0);
  kept.close();
});
