import { expect, test } from '@jest/globals';
import { getSchema } from '@tiptap/core';
import fc from 'fast-check';
import { canonical, type Passage } from '#core/passage';
import { anyEntry } from '#core/testing';
import { EntryContentSchema } from '#core/entry';
import { passageExtensions } from '../../editor';
import { Names, wordingNodes } from './wordingNodes';

test('whatever a wording holds, its editor takes it and gives the same back', () => {
  const schema = getSchema([...passageExtensions('wording'), ...wordingNodes(new Names())]);
  fc.assert(
    fc.property(anyEntry, (entry) => {
      for (const { parts } of EntryContentSchema.parse(entry).wordings)
        for (const { passage } of parts) {
          const doc = schema.nodeFromJSON(passage);
          const edited: Passage = { type: 'doc', content: doc.content.toJSON() as Passage['content'] };
          expect(canonical(edited)).toEqual(canonical(passage));
        }
    }),
    { numRuns: 100 },
  );
});
