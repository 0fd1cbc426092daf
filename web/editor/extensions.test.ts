import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EntryContentSchema } from '#core/entry';
import { place } from '#core/fill';
import { canonical, PassageSchema, plainText, type Passage } from '#core/passage';
import { anyEntry } from '#core/testing';
import { leafDoc, requestOf } from '../testing/leafState';

test('whatever is placed goes into the editor and comes out the same passage, in whatever form', () => {
  fc.assert(
    fc.property(anyEntry, (entry) => {
      const { passage } = place(requestOf(EntryContentSchema.parse(entry), 'p'));
      const edited = {
        type: 'doc',
        content: leafDoc(passage).content.toJSON() as Passage['content'],
      } as const;
      expect(canonical(edited)).toEqual(canonical(passage));
      expect(JSON.stringify(canonical(edited))).toBe(JSON.stringify(canonical(passage)));
      // The one form is a passage still, and reads the same.
      expect(PassageSchema.safeParse(canonical(passage)).error?.issues).toBeUndefined();
      expect(plainText(canonical(passage))).toBe(plainText(passage));
      expect(canonical(canonical(passage))).toEqual(canonical(passage));
    }),
    { numRuns: 100 },
  );
});
