import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { passageFrom, writeEntry } from '#core/notation';
import { linesOf, lineText, plainPassage } from '#core/passage';
import { anyEntry } from '../testing';
import { asStatements, findingsIn } from './findings';
import { newEntry } from './newEntry';

test.each<[string, string[]]>([
  ['No wound is open.', ['No wound is open.']],
  ['The chest is clear. It was fed at noon.', ['The chest is clear.']],
  ['It eats well and drinks without help', ['It eats well and drinks without help']],
  [
    'Heart and lungs sounded normal; the eyes were bright.',
    ['Heart and lungs sounded normal; the eyes were bright.'],
  ],
  ['There were no fleas.', ['There were no fleas.']],
  ['Temperature 38.2 °C, within normal limits.', []],
  ['Is the wound clean?', []],
  ['Keep it warm and dry.', []],
  ['The wound should be clean by Friday.', []],
  ['Thank you for bringing it in.', []],
  ['It was weighed on arrival.', []],
  ['', []],
])('%j claims %j', (words, found) => {
  expect(findingsIn(plainPassage(words))).toEqual(found);
});

test('those wanted become statements, with their marks and blanks, and the others stay', () => {
  const passage = passageFrom('The **wound** is clean. No {Thing} was found. The eyes are bright.');
  const wanted = new Set(findingsIn(passage).filter((words) => !words.startsWith('The eyes')));
  const content = newEntry('Round', 'en-GB', asStatements(passage, wanted));
  expect(writeEntry(content)).toMatch(
    /\[confirm: The \*\*wound\*\* is clean\.\] \[confirm: No \{#Thing\} was found\.\] The eyes are bright\./,
  );
});

test('marking changes no words, and finds the same again', () => {
  fc.assert(
    fc.property(anyEntry, ({ wordings }) => {
      const { passage } = wordings[0]!.parts[0]!;
      const found = findingsIn(passage);
      const marked = asStatements(passage, new Set(found));
      expect(linesOf(marked).map(lineText)).toEqual(linesOf(passage).map(lineText));
      expect(findingsIn(marked)).toEqual(found);
    }),
  );
});
