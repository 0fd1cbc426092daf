import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { act, cleanup, renderHook } from '@testing-library/react';
import { ApiProblem } from '#client/api';
import { keepCopy, readCopy, unsentCopy } from '#client/drafts';
import { locksHere } from '../../../client/testing/locksHere';
import { closeLeaf, openLeaf } from '#client/waiting';
import type { DraftDocument } from '#core/draft';
import { plainPassage, plainText } from '#core/passage';
import { useTextKeeping } from './useTextKeeping';
import { useUnsentCopy } from './useUnsentCopy';

const ON = { to: '/cases/c?line=l', called: 'name' };
const documentOf = (words: string): DraftDocument => ({
  ...plainPassage(words),
  attrs: { placements: {} },
});
const of = (member = 'imke') => ({ member, id: 'l', document: documentOf('Ferry') });
const keep = (words: string, version = 3) =>
  keepCopy('imke', 'l', { version, document: documentOf(words), on: ON });
const wordsOf = (copy: ReturnType<typeof useUnsentCopy>) =>
  copy ? [plainText(copy.document), copy.version] : copy;

let held: () => string[];
beforeEach(() => {
  localStorage.clear();
  held = locksHere();
});
afterEach(() => {
  cleanup();
  jest.useRealTimers();
});

/** What is found of a text, once it is known whether another window writes on it. */
async function found(options: Parameters<typeof useUnsentCopy>[0]) {
  const { result } = renderHook(() => useUnsentCopy(options));
  await act(() => Promise.resolve());
  return wordsOf(result.current);
}

test('what an earlier time left unsent is taken up, with the version it was written on', async () => {
  keep('Ferry ticket');
  const { result } = renderHook(() => useUnsentCopy(of()));
  expect(result.current).toBeUndefined();
  await act(() => Promise.resolve());
  expect(wordsOf(result.current)).toEqual(['Ferry ticket', 3]);
});

test('with nothing left unsent, or the same as the server has, the text is there at once', () => {
  expect(renderHook(() => useUnsentCopy(of())).result.current).toBeNull();
  keep('Ferry');
  expect(renderHook(() => useUnsentCopy(of())).result.current).toBeNull();
});

test('what another window writes on is left to that window; once it is closed, it is taken up', async () => {
  keep('Ferry ticket');
  await openLeaf('l');
  expect(await found(of())).toBeNull();
  closeLeaf('l');
  await Promise.resolve();
  expect(await found(of())).toEqual(['Ferry ticket', 3]);
  expect(await found(of('odile'))).toBeNull();
});

/** A server that holds one text. */
function serverAt(version: number) {
  const server = { version, words: 'theirs' };
  const save = (document: DraftDocument, on: number | null) => {
    if (on !== null && on !== server.version) {
      const current = { id: 'l', version: server.version, words: server.words };
      throw new ApiProblem({
        type: '',
        title: '',
        detail: '',
        code: 'moved-on',
        status: 412,
        current,
      });
    }
    server.version += 1;
    server.words = plainText(document);
    return Promise.resolve(server.version);
  };
  return { server, save: async (document: DraftDocument, on: number | null) => save(document, on) };
}

const textIn = (current: object) => documentOf((current as { words: string }).words);

/** A text on the page, written on by a member who may go on elsewhere. */
function written(save: ReturnType<typeof serverAt>['save'], version: number) {
  const document = documentOf('');
  const copy = unsentCopy('imke', 'l');
  const given = { member: 'imke', text: { id: 'l', version }, document, copy, on: ON, save, textIn };
  const { result, unmount } = renderHook(() => useTextKeeping(given));
  const type = (words: string) =>
    act(() => {
      result.current.keeper.readFrom(() => documentOf(words));
      result.current.keeper.changed();
    });
  return { result, type, unmount };
}
const pass = (ms: number) => act(() => jest.advanceTimersByTimeAsync(ms));

test('a copy of an older version does not take the place of what somebody saved since', async () => {
  jest.useFakeTimers();
  keep('mine', 3);
  const { server, save } = serverAt(5);
  const { result, type } = written(save, 5);
  type('mine');
  await pass(1000);
  expect([server.words, result.current.keeping.kind]).toEqual(['theirs', 'moved-on']);
  act(() => result.current.keeper.saveOver(5));
  await pass(1000);
  expect([server.words, result.current.keeping.kind]).toEqual(['mine', 'saved']);
});

test('while it is written on other windows are told; what is kept says where it is written', async () => {
  jest.useFakeTimers();
  const { server, save } = serverAt(1);
  const { type, unmount } = written(save, 1);
  expect(held()).toHaveLength(1);
  type('one');
  await pass(200);
  expect(readCopy('imke', 'l')?.on).toEqual(ON);
  unmount();
  await pass(0);
  expect([held(), server.words, readCopy('imke', 'l')]).toEqual([[], 'one', null]);
});

test('left and opened again while words are on their way, nothing of one’s own is in the way', async () => {
  jest.useFakeTimers();
  const { server, save } = serverAt(1);
  let letGo = (): void => undefined;
  let gate: Promise<void> | null = new Promise((open) => (letGo = open));
  const slow = async (document: DraftDocument, on: number | null) => {
    await gate;
    return save(document, on);
  };
  const first = written(slow, 1);
  first.type('one');
  await pass(800);
  first.type('one, two');
  first.unmount();
  const second = written(slow, 1);
  second.type('one, two, three');
  await pass(1000);
  gate = null;
  letGo();
  await pass(3000);
  expect([server.words, second.result.current.keeping.kind]).toEqual(['one, two, three', 'saved']);
});
