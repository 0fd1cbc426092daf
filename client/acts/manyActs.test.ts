import { afterEach, describe, expect, test } from '@jest/globals';
import type { Entry, Step } from '#contracts';
import { newEntry, type EntryContent } from '#core/entry';
import { plainPassage } from '#core/passage';
import { answering, refusal, type Sent } from '../testing/answering';
import { ownTab } from '#client/kept';
import { keptInTab } from '../testing/keptHere';
import { lastDone, releaseDone, setDone } from './lastDone';
import { MANY_ACTS } from './manyActs';

let sent: Sent[];
let restore = () => {};
afterEach(() => restore());
/** A server that takes everything, or refuses everything. */
function server(refuses = false): void {
  const stood = answering(() =>
    refuses
      ? refusal('moved-on', 'Someone saved “Fed” meanwhile.')
      : { json: { entries: [], deletions: ['d1'], proposals: [] } },
  );
  ({ sent, restore } = stood);
}

const entry = (id: string, collection = 'ward', over: Partial<EntryContent> = {}) =>
  ({
    id,
    collection,
    revision: 3,
    content: { ...newEntry(id, 'en-GB', plainPassage('It was fed.')), ...over },
  }) as Entry;
const stepOf = (one: Sent | undefined) => (one!.body as { steps: Step[] }).steps[0]!;
function changesOf(one: Sent | undefined) {
  const step = stepOf(one);
  if (step.do !== 'change') throw new Error('It changes nothing.');
  return step.changes;
}

test('tagged: those that have the tag are left alone; the undo saves what they were over what was saved', async () => {
  server();
  const all = [entry('a'), entry('b', 'ward', { tags: ['wing'] })];
  const { said, undo } = await MANY_ACTS.tag(all, 'wing');
  expect(said).toBe('“a” changed: tagged wing.');
  expect(changesOf(sent[0])).toMatchObject([{ entry: 'a', revision: 3, content: { tags: ['wing'] } }]);
  expect(undo).toMatchObject([{ do: 'revert', entries: [{ entry: 'a', revision: 4, to: 3 }] }]);
});

test('where nothing is to be changed nothing is sent', async () => {
  server();
  const { said, undo } = await MANY_ACTS.takeUp([entry('a'), entry('b')]);
  expect(said).toBe('Nothing to change.');
  expect(undo).toEqual([]);
  expect(sent).toEqual([]);
});

test('a lead is put before cues that are typed, not before keys and patterns', async () => {
  server();
  const cues = [
    { text: 'fd' },
    { text: 'Alt+F', as: 'keys' as const },
    { text: 'fed (\\d+)', as: 'pattern' as const },
  ];
  await MANY_ACTS.putBefore([entry('a', 'ward', { cues })], 'w');
  expect(changesOf(sent[0])[0]!.content.cues.map(({ text }) => text)).toEqual(['wfd', 'Alt+F', 'fed (\\d+)']);
});

test('moved together, each goes back to where it was; what was there already stays', async () => {
  server();
  const { undo } = await MANY_ACTS.move([entry('a'), entry('b', 'school'), entry('c', 'new')], 'new', 'New');
  expect(stepOf(sent[0])).toEqual({ do: 'move', entries: ['a', 'b', 'c'], to: 'new' });
  expect(undo).toEqual([
    { do: 'move', entries: ['a'], to: 'ward' },
    { do: 'move', entries: ['b'], to: 'school' },
  ]);
});

test('deleted as one, brought back as one; out of use and in again', async () => {
  server();
  const { undo } = await MANY_ACTS.remove([entry('a'), entry('b')]);
  expect(stepOf(sent[0])).toEqual({ do: 'delete', entries: ['a', 'b'] });
  expect(undo).toEqual([{ do: 'restore', deletion: 'd1' }]);
  await MANY_ACTS.retire([entry('a')]);
  expect(changesOf(sent[1])[0]!.content.retired).toBe(true);
  await MANY_ACTS.takeUp([entry('a', 'ward', { retired: true })]);
  expect('retired' in changesOf(sent[2])[0]!.content).toBe(false);
});

test('refused, it says why', async () => {
  server(true);
  await expect(MANY_ACTS.tag([entry('a')], 'wing')).rejects.toThrow('Someone saved “Fed” meanwhile.');
});

describe('what was done last', () => {
  const done = { said: 'Two entries moved.', undo: [{ do: 'move' as const, entries: ['a'], to: 'ward' }] };
  const elsewhere = () => (lastDone().toldBy === null ? lastDone().done : null);

  test('is told where it was done, and by the page around once that part is gone', () => {
    keptInTab();
    const part = {};
    setDone(done, part);
    expect(elsewhere()).toBeNull();
    releaseDone({});
    expect(elsewhere()).toBeNull();
    releaseDone(part);
    expect(elsewhere()).toBe(done);
    setDone(null);
    expect(elsewhere()).toBeNull();
  });

  test('goes with its tab’s member: nobody takes back what another did', () => {
    const tab = keptInTab();
    ownTab('imke');
    setDone(done);
    ownTab('imke');
    expect([...tab.keys()]).toContain('elderleaf.done');
    ownTab('odile');
    expect([...tab.keys()]).toEqual(['elderleaf.member']);
  });
});
