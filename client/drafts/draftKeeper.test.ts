import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import type { Draft } from '#contracts';
import { plainText } from '#core/passage';
import { Unreachable } from '#client/api';
import { begin, draftOf, pass, problem } from '../testing/keptDraft';
import { newestKnown, unsentCopy } from './draftKeeper';
import { readCopy } from './localCopy';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

test('a change is on this computer in a moment, on the server soon, and then no longer on this computer', async () => {
  const { server, told, type, copy } = begin();
  type('a');
  await pass(200);
  expect(copy()).toBe('a');
  await pass(600);
  expect([server.text, copy(), told.at(-1)]).toEqual(['a', null, 'saved']);
});

test('the last words are saved after another screen was opened, and told of only then', async () => {
  const { keeper, server, type, elsewhere } = begin();
  type('a');
  await pass(800);
  type('b');
  keeper.leave();
  await pass(0);
  expect([server.text, elsewhere]).toEqual(['ab', ['ab']]);
  keeper.open();
  type('c');
  await pass(800);
  expect([server.text, elsewhere]).toEqual(['abc', ['ab']]);
});

test('someone who never stops typing is saved all the while', async () => {
  const { server, type } = begin();
  for (let key = 0; key < 100; key += 1) {
    type('x');
    await pass(100);
  }
  expect(server.text.length).toBeGreaterThan(90);
});

test('while the server is down everything is kept, and sent when it is back', async () => {
  const { server, told, type, copy } = begin();
  server.down = new Unreachable();
  type('a');
  await pass(3000);
  type('b');
  await pass(3000);
  expect([told.at(-1), copy()]).toEqual(['unreachable', 'ab']);
  server.down = null;
  await pass(5000);
  expect([server.text, told.at(-1), copy()]).toEqual(['ab', 'saved', null]);
});

test('what the server will not take is sent again only when it has changed', async () => {
  const { server, told, type, copy } = begin();
  server.down = problem('not-valid', 422);
  type('a');
  await pass(10_000);
  expect([server.saves, told.at(-1), copy()]).toEqual([1, 'refused', 'a']);
  server.down = null;
  type('b');
  await pass(1000);
  expect(server.text).toBe('ab');
});

test.each([
  ['a session that ran out', problem('not-signed-in', 401), 'signed-out'],
  ['another window', problem('moved-on', 412, { document: draftOf('theirs') } as Draft), 'moved-on'],
] as const)(
  'after %s nothing is sent until it is settled, and then all of it',
  async (_what, error, kind) => {
    const { keeper, server, told, type, copy } = begin();
    server.down = error;
    type('a');
    await pass(5000);
    type('b');
    await pass(5000);
    expect([server.saves, told.at(-1), copy()]).toEqual([1, kind, 'ab']);
    server.down = null;
    keeper.goOnFrom(server.version);
    await pass(100);
    expect([server.text, told.at(-1)]).toEqual(['ab', 'saved']);
  },
);

test('finishing waits for what is being sent and for what was typed meanwhile', async () => {
  const { keeper, server, type } = begin();
  type('a');
  const first = keeper.flush();
  type('b');
  await first;
  await keeper.flush();
  expect([server.text, keeper.isSaved]).toEqual(['ab', true]);
});

test('a copy that this computer kept of an older version never overwrites what another saved meanwhile', async () => {
  const { keeper, server, told, type, over } = begin({ at: 7, copyOf: 3 });
  type('mine, of version 3');
  await pass(1000);
  expect([server.text, told.at(-1)]).toEqual(['theirs', 'moved-on']);
  // Seen and wanted all the same: what is saved over is kept among the earlier states.
  keeper.saveOver(7);
  await pass(1000);
  expect([server.text, told.at(-1), over]).toEqual(['mine, of version 3', 'saved', [false, true]]);
  type(', and on');
  await pass(1000);
  expect(over.at(-1)).toBe(false);
});

test("where the other's is taken, mine is set aside, and only then no longer kept here", async () => {
  const { keeper, type, copy, aside } = begin({ at: 7, copyOf: 3 });
  type('mine');
  await pass(1000);
  expect(copy()).toBe('mine');
  keeper.takenOver({ version: 7, savedAt: 'now' }, draftOf('mine'));
  await pass(0);
  expect([aside, copy()]).toEqual([['mine'], null]);
});

test('opened again before what was written is sent, a text goes on from there, and is in nobody’s way', async () => {
  const { keeper, server, told, type, copy, again } = begin();
  server.down = new Unreachable();
  type('left behind');
  await pass(1000);
  keeper.leave();
  await pass(1000);
  const unsent = unsentCopy('m', 'd');
  expect(unsent && plainText(unsent.document)).toBe('left behind');
  const second = again(unsent!);
  second.type(', and on');
  await pass(1000);
  server.down = null;
  await pass(10_000);
  expect([server.text, told.includes('moved-on'), copy()]).toEqual(['left behind, and on', false, null]);
  expect(unsentCopy('m', 'd')).toBeNull();
});

test('what is on its way when a text is opened again arrives first', async () => {
  const { keeper, server, told, type, again, holdSaves } = begin();
  const letGo = holdSaves();
  type('a');
  await pass(800);
  type('b');
  keeper.leave();
  const second = again(unsentCopy('m', 'd')!);
  second.type('c');
  await pass(1000);
  expect(server.text).toBe('');
  letGo();
  await pass(2000);
  expect([server.text, server.version, told.includes('moved-on')]).toEqual(['abc', 3, false]);
});

test('a text that is asked for while its last words are on their way is opened with them, whichever comes first', async () => {
  const { keeper, type, answer, holdSaves } = begin();
  const letGo = holdSaves();
  type('a');
  keeper.leave();
  // Answered by the server before the last words came, read here after they did.
  const before = answer();
  letGo();
  await pass(0);
  expect(unsentCopy('m', 'd')).toBeNull();
  expect(newestKnown('m', before)).toMatchObject(answer());
});

test('what arrived though its answer was lost is nobody else’s, in this window and in the next', async () => {
  const { keeper, server, told, type, again } = begin();
  server.isMute = true;
  type('a');
  await pass(800);
  type('b');
  server.isMute = false;
  await pass(2000);
  expect([server.text, server.version, told.includes('moved-on')]).toEqual(['ab', 3, false]);

  server.isMute = true;
  type('c');
  await pass(800);
  type('d');
  // The page goes; what it had is opened by another.
  keeper.copyNow();
  await keeper.giveWay();
  server.isMute = false;
  again(readCopy('m', 'd')!);
  await pass(2000);
  expect([server.text, told.includes('moved-on')]).toEqual(['abcd', false]);
});

test('where the server has what was saved last, or what the text was opened with, nobody is in the way, whatever its version', async () => {
  const { server, told, type } = begin();
  server.version = 5;
  type('a');
  await pass(1000);
  server.version = 9;
  type('b');
  await pass(1000);
  expect([server.text, server.version, told.includes('moved-on')]).toEqual(['ab', 10, false]);
});

test('what somebody else saved after an answer was lost is told', async () => {
  const { server, told, type } = begin();
  server.isMute = true;
  type('a');
  await pass(800);
  Object.assign(server, { isMute: false, text: 'theirs', version: 3 });
  await pass(2000);
  expect([server.text, told.at(-1)]).toEqual(['theirs', 'moved-on']);
});

test('what is kept of a text that is no draft says what it is, and where it is written', async () => {
  const { type } = begin({ on: { to: '/cases/c?line=d', called: 'name' } });
  type('a');
  await pass(200);
  expect(readCopy('m', 'd')?.on).toEqual({ to: '/cases/c?line=d', called: 'name' });
});
