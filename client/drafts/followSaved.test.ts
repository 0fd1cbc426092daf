import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { begin, pass } from '../testing/keptDraft';
import { onSaved, tellSaved } from './savedElsewhere';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('what another window saved is on the page, and is gone on with: nobody is in the way, and nothing is sent again', async () => {
  const one = begin();
  const other = one.beside();
  other.type('It ate.');
  await pass(900);
  await one.follow(2);
  await pass(5000);
  expect([one.says(), one.server.saves, one.copy()]).toEqual(['It ate.', 1, null]);
  one.type(' It slept.');
  await pass(900);
  await other.follow(3);
  expect([one.server.text, other.says()]).toEqual(['It ate. It slept.', 'It ate. It slept.']);
  expect(one.told).not.toContain('moved-on');
});

test('what it has already is not asked for: its own saving, and one told twice', async () => {
  const { type, follow, server } = begin();
  type('It ate.');
  await pass(900);
  await follow(2);
  await follow(1);
  expect(server.asked).toBe(0);
  await follow(null);
  expect(server.asked).toBe(1);
});

test('told of while its own words are on their way, it waits for these', async () => {
  const { type, follow, says, server, holdSaves } = begin();
  const letGo = holdSaves();
  type('It ate.');
  await pass(900);
  const heard = follow(2);
  letGo();
  await heard;
  expect([says(), server.asked]).toEqual(['It ate.', 0]);
});

test('where something is written here that is not saved, nothing takes its place: the difference is told', async () => {
  const one = begin();
  const other = one.beside();
  other.type('theirs');
  await pass(900);
  one.type('mine');
  await one.follow(2);
  expect([one.says(), one.server.asked]).toEqual(['mine', 0]);
  await pass(2000);
  expect([one.told.at(-1), one.server.text]).toEqual(['moved-on', 'theirs']);
});

test('written while it is asked for, it stays', async () => {
  const one = begin();
  const other = one.beside();
  other.type('theirs');
  await pass(900);
  const letGo = one.holdSaves();
  const heard = one.follow(2);
  await pass(0);
  one.type('mine');
  letGo();
  await heard;
  expect(one.says()).toBe('mine');
});

test('what it was opened with, and another window went back to after more was written there, is not overwritten unseen', async () => {
  const one = begin();
  const other = one.beside();
  other.type('It ate.');
  await pass(900);
  await one.follow(2);
  Object.assign(one.server, { version: 3, text: '' });
  one.type(' It slept.');
  await pass(2000);
  expect([one.told.at(-1), one.server.text]).toEqual(['moved-on', '']);
});

test('finished in another window it is finished here, and nothing is sent to what is finished', async () => {
  const one = begin();
  const other = one.beside();
  other.type('It ate.');
  await pass(900);
  const there = await one.follow(2);
  one.keeper.goOnFrom(there!.version);
  await pass(5000);
  expect([one.says(), one.server.saves]).toEqual(['It ate.', 1]);
  expect(await one.follow(2)).toBeNull();
});

test('a page that was left follows nothing', async () => {
  const one = begin();
  const other = one.beside();
  one.keeper.leave();
  other.type('theirs');
  await pass(900);
  await one.follow(2);
  expect([one.says(), one.server.asked]).toEqual(['', 0]);
});

test('written in turn in two windows, each has all of it, whatever is told late, twice or not at all but the last', async () => {
  const turn = fc.record({ inOne: fc.boolean(), text: fc.constantFrom('a', 'bc', ''), told: fc.nat(2) });
  await fc.assert(
    fc.asyncProperty(fc.array(turn, { maxLength: 12 }), async (turns) => {
      const one = begin();
      const windows = [one, one.beside()] as const;
      let all = '';
      for (const { inOne, text, told } of turns) {
        const [here, there] = inOne ? windows : ([windows[1], windows[0]] as const);
        await here.follow(null);
        if (text !== '') here.type(text);
        all += text;
        await pass(900);
        for (let at = 0; at < told; at += 1) await there.follow(one.server.version);
      }
      for (const window of windows) await window.follow(null);
      const { saves } = one.server;
      await pass(10_000);
      expect(windows.map((window) => window.says())).toEqual([all, all]);
      expect([one.server.text, one.server.saves, one.told.includes('moved-on')]).toEqual([all, saves, false]);
    }),
  );
});

test('who shows a draft hears of it alone, and of all where anything may have been missed; no longer once it is left', () => {
  const heard: unknown[] = [];
  const end = onSaved('one', (version) => heard.push(['one', version]));
  const endOther = onSaved('other', (version) => heard.push(['other', version]));
  tellSaved({ draft: 'one', version: 2 });
  tellSaved({ draft: 'third', version: 9 });
  tellSaved('all');
  end();
  tellSaved({ draft: 'one', version: 3 });
  endOther();
  tellSaved('all');
  expect(heard).toEqual([
    ['one', 2],
    ['one', null],
    ['other', null],
  ]);
});
