import { afterEach, expect, test } from '@jest/globals';
import { ForPeople } from '#client/api';
import { KIND_IDS, KINDS, kindsOfTeam } from '#core/work';
import { answering, refusal } from '../../client/testing/answering';
import { beginTeam, kindsOfRows, rowsOf, startersOf } from './beginTeam';

let restore = () => {};
afterEach(() => restore());

const fresh = rowsOf(kindsOfTeam(null), true);
const only = (kind: string) => fresh.map((row) => ({ ...row, on: row.kind === kind }));

/** A server that takes everything, but for the file of one collection as often as it is told to refuse it. */
function server(refused: { name: string; times: number } = { name: '', times: 0 }) {
  let times = 0;
  const stood = answering((to, body) => {
    if (to === 'PUT /api/settings')
      return {
        json: {
          wastebasketDays: 30,
          kinds: null,
          records: null,
          backups: null,
          leftAlone: null,
          pageCards: null,
          casesOnComputers: null,
          ...(body as object),
        },
      };
    if (to.endsWith('/sharing')) {
      const given = (body as { grants?: unknown[] } | null)?.grants ?? [];
      return { json: { version: 1, grants: given, passedDown: [] } };
    }
    const [root] = (body as { collections?: { name: string }[] } | null)?.collections ?? [];
    if (root?.name === refused.name && times++ < refused.times)
      return refusal('disk-full', 'The disk is full.');
    const came = { id: 'i1', name: 'x', at: '2026-11-29T08:00:00.000Z', collection: 'made' };
    return { json: { ...came, state: 'here', made: 10, changed: 0 } };
  });
  restore = stood.restore;
  return stood.sent;
}
const filesOf = (sent: ReturnType<typeof server>) =>
  sent.flatMap(
    ({ body }) => (body as { collections?: { name: string }[] } | null)?.collections?.[0]?.name ?? [],
  );

test('a new team begins with every kind, each with a collection; a team that has a bank is not given them unasked', () => {
  expect(fresh.map(({ kind }) => kind)).toEqual(KIND_IDS.filter((id) => !KINDS[id].reachesAll));
  expect(fresh.every(({ on, withStarter }) => on && withStarter)).toBe(true);
  const later = rowsOf(kindsOfTeam([{ kind: 'reply', work: 'Letters', caseName: 'Letter' }]), false);
  expect(later.filter(({ on }) => on)).toEqual([
    {
      kind: 'reply',
      on: true,
      work: 'Letters',
      caseName: 'Letter',
      most: '',
      mostOf: 'words',
      withStarter: false,
    },
  ]);
});

test('what is ticked is set by its names; nothing ticked, or something nameless, is told', () => {
  expect(kindsOfRows(only('reply'))).toEqual([{ kind: 'reply', work: 'Replies', caseName: 'Enquiry' }]);
  const limited = (most: string) =>
    kindsOfRows(only('reply').map((row) => ({ ...row, most, mostOf: 'characters' as const })));
  expect(limited(' 2000 ')[0]!.limit).toEqual({ most: 2000, of: 'characters' });
  expect(rowsOf(kindsOfTeam(limited('2000')), false).find(({ on }) => on)).toMatchObject({
    most: '2000',
    mostOf: 'characters',
  });
  for (const most of ['two', '-3', '1.5', '99999999'])
    expect(() => limited(most)).toThrow('The length of replies must be a whole number up to 1,000,000.');
  expect(() => kindsOfRows(only('none'))).toThrow(ForPeople);
  expect(() => kindsOfRows(only('reply').map((row) => ({ ...row, work: '  ' })))).toThrow(
    /what you call replies/,
  );
});

test('only the collections of what is ticked come, with the symbols where they are wanted, and are shared with the team', async () => {
  const sent = server();
  await beginTeam(only('reply'), startersOf(only('reply'), true), ';', new Set());
  expect(filesOf(sent)).toEqual(['Starter replies', 'Symbols']);
  const shared = sent.filter(({ to }) => to === 'PUT /api/collections/made/sharing');
  expect(shared.map(({ body }) => body)).toEqual(
    Array.from({ length: 2 }, () => ({ grants: [{ to: { kind: 'team' }, right: 'contribute' }] })),
  );
});

test('tried again after it was refused, what came before does not come twice', async () => {
  const sent = server({ name: 'Symbols', times: 1 });
  const taken = new Set<string>();
  const begin = () => beginTeam(only('reply'), startersOf(only('reply'), true), ',', taken);
  await expect(begin()).rejects.toThrow('The disk is full.');
  await begin();
  expect(filesOf(sent)).toEqual(['Starter replies', 'Symbols', 'Symbols']);
});
