import { expect, test } from '@jest/globals';
import { leadInTried, type TriedKey } from './leadInTried';

const key = (pressed: string, altGraph = false): TriedKey => ({ key: pressed, altGraph });

test.each([
  ['nothing pressed yet', ',', [], 'untried'],
  ['other keys', ',', [key('a'), key('Shift')], 'untried'],
  ['one key', ',', [key(','), key('w'), key('t')], 'good'],
  ['with Shift', ':', [key('Shift'), key(':')], 'good'],
  ['with AltGr', '|', [key('AltGraph'), key('|', true)], 'altgr'],
  ['a key that waits, and has not come yet', '´', [key('Dead')], 'dead'],
  ['a key that waits, before its sign', '´', [key('Dead'), key('´')], 'dead'],
  ['AltGr earlier, without it now', '/', [key('/', true), key('/')], 'good'],
  ['of two signs the first counts', ',,', [key(',')], 'good'],
  ['no lead-in at all', '', [key('a')], 'untried'],
])('%s', (_what, leadIn, keys, wanted) => {
  expect(leadInTried(leadIn, keys)).toBe(wanted);
});
