import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import fc from 'fast-check';
import { Unreachable } from '#client/api';
import { begin, pass } from '../testing/keptDraft';
import { newestKnown, unsentCopy } from './draftKeeper';
import { readCopy } from './localCopy';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

/** A text that is written in by a page after another, by what may happen to it. */
function pages() {
  const { server, told, type, keeper, again, answer, holdSaves } = begin();
  let letGo: (() => void) | null = null;
  let now = { type, keeper };
  let typed = '';
  let isLate = false;
  const happens = {
    type: () => {
      const letter = String.fromCharCode(97 + (typed.length % 26));
      typed += letter;
      now.type(letter);
    },
    reopen: async () => {
      now.keeper.leave();
      const asked = answer();
      await pass(isLate ? 5000 : 0);
      now = again(unsentCopy('m', 'd') ?? newestKnown('m', asked));
    },
    // The page is gone; what it sent may still arrive. Another has what this computer kept.
    'another page': () => {
      now.keeper.copyNow();
      void now.keeper.giveWay();
      now = again(readCopy('m', 'd') ?? answer());
    },
    down: () => (server.down = new Unreachable()),
    up: () => (server.down = null),
    wait: () => pass(900),
    slow: () => (letGo ??= holdSaves()),
    quick: () => (letGo = (letGo?.(), null)),
    late: () => (isLate = !isLate),
    mute: () => (server.isMute = true),
    heard: () => (server.isMute = false),
  };
  const settle = async () => {
    for (const one of ['up', 'heard', 'quick'] as const) happens[one]();
    await pass(20_000);
  };
  return { happens, settle, server, told, typed: () => typed };
}

test('however often a text is left and opened again, with the server there or not, it has all that was typed and nobody is in the way', async () => {
  const act = fc.constantFrom(
    ...(Object.keys(pages().happens) as (keyof ReturnType<typeof pages>['happens'])[]),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(act, { maxLength: 20 }), async (acts) => {
      const { happens, settle, server, told, typed } = pages();
      for (const one of acts) await happens[one]();
      await settle();
      expect([server.text, told.includes('moved-on'), unsentCopy('m', 'd')]).toEqual([typed(), false, null]);
    }),
    { numRuns: 300 },
  );
});
