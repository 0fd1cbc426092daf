import { expect, test } from '@jest/globals';
import { plainPassage } from '#core/passage';
import { keptInTab } from '../../../client/testing/keptHere';
import { dropSlip, EMPTY_SLIP, keepSlip, readSlip } from './keptSlip';

test('a half-filled slip is there again on its own draft alone, until it is closed', () => {
  const held = keptInTab();
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
  keptInTab().set('elderleaf.slip.one', '{"words":{"type":"doc"},"pos":-1}');
  expect(readSlip('one')).toBeNull();
  globalThis.sessionStorage = undefined as unknown as Storage;
  expect(keepSlip('one', { words: plainPassage('x'), pos: 0, fields: EMPTY_SLIP })).toBe(false);
  expect(readSlip('one')).toBeNull();
});
