import { expect, test } from '@jest/globals';
import { plainPassage } from '#core/passage';
import { dropSlip, EMPTY_SLIP, keepSlip, readSlip } from './keptSlip';

function tab() {
  const held = new Map<string, string>();
  globalThis.sessionStorage = {
    getItem: (key: string) => held.get(key) ?? null,
    setItem: (key: string, value: string) => void held.set(key, value),
    removeItem: (key: string) => void held.delete(key),
  } as unknown as Storage;
  return held;
}

test('a half-filled slip is there again on its own draft alone, until it is closed', () => {
  const held = tab();
  const slip = {
    words: plainPassage('No wound is open.'),
    pos: 12,
    fields: {
      ...EMPTY_SLIP,
      title: 'Half',
      cue: 'nw',
      rules: { fires: 'closing' as const },
      turnedBack: ['name'],
    },
  };
  expect(keepSlip('one', slip)).toBe(true);
  expect(readSlip('one')).toEqual(slip);
  expect(readSlip('two')).toBeNull();
  dropSlip('one');
  expect(readSlip('one')).toBeNull();
  expect(held.size).toBe(0);
});

test('what is no slip is none, and a browser that keeps nothing says so', () => {
  tab().set('elderleaf.slip.one', '{"words":{"type":"doc"},"pos":-1}');
  expect(readSlip('one')).toBeNull();
  globalThis.sessionStorage = undefined as unknown as Storage;
  expect(keepSlip('one', { words: plainPassage('x'), pos: 0, fields: EMPTY_SLIP })).toBe(false);
  expect(readSlip('one')).toBeNull();
});
