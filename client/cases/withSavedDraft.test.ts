import { expect, test } from '@jest/globals';
import type { CaseSummary } from '#contracts';
import { withSavedDraft } from './withSavedDraft';

const one = (id: string, day: number, draft: CaseSummary['draft'] = null): CaseSummary => ({
  id,
  kind: 'admission',
  title: id,
  number: null,
  summary: '',
  openedAt: `2026-11-${day}T12:00:00.000Z`,
  closed: false,
  draft,
  unfinished: draft?.state === 'open' ? 1 : 0,
  finished: draft?.state === 'finished' ? 1 : 0,
});
const saved = (of: string, state: 'open' | 'finished' = 'open') => ({
  case: of,
  state,
  savedAt: '2026-11-27T10:00:00.000Z',
  excerpt: 'Quiet.',
});
const open = { state: 'open' as const, savedAt: '2026-11-20T10:00:00.000Z', excerpt: 'Before.' };

test('a case on which one began to write goes up to what is unfinished, where the server will have it', () => {
  const desk = [one('keel', 25), one('bramble', 24), one('sorrel', 22, { ...open, state: 'finished' })];
  const now = withSavedDraft(desk, saved('bramble'));
  expect(now.map(({ id }) => id)).toEqual(['bramble', 'keel', 'sorrel']);
  expect(now[0]).toMatchObject({ unfinished: 1, finished: 0, draft: { excerpt: 'Quiet.' } });
  expect(desk.map(({ id }) => id)).toEqual(['keel', 'bramble', 'sorrel']);
});

test('a draft saved again counts once; what is finished goes down', () => {
  const [first] = withSavedDraft([one('bramble', 24, open)], saved('bramble'));
  expect(first).toMatchObject({ unfinished: 1 });
  const now = withSavedDraft([one('bramble', 24, open), one('keel', 20)], saved('bramble', 'finished'));
  expect(now.map(({ id }) => id)).toEqual(['keel', 'bramble']);
});

test('a case that is not on the desk changes nothing', () => {
  const desk = [one('keel', 25)];
  expect(withSavedDraft(desk, saved('gone'))).toEqual(desk);
});
