import { afterEach, expect, test } from '@jest/globals';
import type { Entry } from '#contracts';
import type { EntryContent } from '#core/entry';
import { answering, refusal, type Sent } from '../../testing/answering';
import { entryOf } from '../../testing/leafState';
import { ACTS } from './useMany';

let sent: Sent[];
let restore = () => {};
afterEach(() => restore());
/** A server that takes everything, or refuses everything. */
function server(refuses = false): void {
  const stood = answering((to) =>
    refuses
      ? refusal('moved-on', 'Someone saved “Fed” meanwhile.')
      : { status: to.includes('deleted') ? 201 : 200, json: { id: 'd1', entries: [] } },
  );
  ({ sent, restore } = stood);
}

const entry = (id: string, collection = 'ward', over: Partial<EntryContent> = {}) =>
  ({ id, collection, revision: 3, content: { ...entryOf(id, 'It was fed.'), ...over } }) as Entry;
type Changes = { changes: { entry: string; revision: number; content: EntryContent }[] };
const changesOf = (one: Sent | undefined) => (one!.body as Changes).changes;

test('tagged: those that have the tag are left alone; the undo saves what they were over what was saved', async () => {
  server();
  const all = [entry('a'), entry('b', 'ward', { tags: ['wing'] })];
  const { said, undo } = await ACTS.tag(all, 'wing');
  expect(said).toBe('One entry changed: tagged wing.');
  expect(changesOf(sent[0])).toMatchObject([{ entry: 'a', revision: 3, content: { tags: ['wing'] } }]);
  await undo();
  expect(changesOf(sent[1])).toMatchObject([{ entry: 'a', revision: 4, content: { tags: [] } }]);
});

test('where nothing is to be changed nothing is sent', async () => {
  server();
  const { said, undo } = await ACTS.takeUp([entry('a'), entry('b')]);
  expect(said).toBe('They are so already.');
  await undo();
  expect(sent).toEqual([]);
});

test('a lead is put before cues that are typed, not before keys and patterns', async () => {
  server();
  const cues = [
    { text: 'fd' },
    { text: 'Alt+F', as: 'keys' as const },
    { text: 'fed (\\d+)', as: 'pattern' as const },
  ];
  await ACTS.putBefore([entry('a', 'ward', { cues })], 'w');
  expect(changesOf(sent[0])[0]!.content.cues.map(({ text }) => text)).toEqual(['wfd', 'Alt+F', 'fed (\\d+)']);
});

test('moved together, each goes back to where it was; what was there already stays', async () => {
  server();
  const { undo } = await ACTS.move([entry('a'), entry('b', 'school'), entry('c', 'new')], 'new', 'New');
  expect(sent[0]!.body).toEqual({ entries: ['a', 'b', 'c'], to: 'new' });
  await undo();
  expect(sent.slice(1).map(({ body }) => body)).toEqual([
    { entries: ['a'], to: 'ward' },
    { entries: ['b'], to: 'school' },
  ]);
});

test('deleted as one, brought back as one; out of use and in again', async () => {
  server();
  const { undo } = await ACTS.remove([entry('a'), entry('b')]);
  await undo();
  expect(sent.map(({ to }) => to)).toEqual([
    'POST /api/entries/deleted',
    'POST /api/wastebasket/d1/restored',
  ]);
  await ACTS.retire([entry('a')]);
  expect(changesOf(sent[2])[0]!.content.retired).toBe(true);
  await ACTS.takeUp([entry('a', 'ward', { retired: true })]);
  expect('retired' in changesOf(sent[3])[0]!.content).toBe(false);
});

test('refused, it says why', async () => {
  server(true);
  await expect(ACTS.tag([entry('a')], 'wing')).rejects.toThrow('Someone saved “Fed” meanwhile.');
});
