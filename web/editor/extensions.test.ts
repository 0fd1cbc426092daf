import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { EntryContentSchema } from '#core/entry';
import { place } from '#core/fill';
import { BLOCKS, canonical, INLINES, MARKS, PassageSchema, plainText, type Passage } from '#core/passage';
import { anyEntry } from '#core/testing';
import { leafDoc, leafSchema, requestOf } from '../testing/leafState';

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

test('the editor of a leaf knows what the passage knows: every row of its tables, and nothing else', () => {
  const { nodes, marks } = leafSchema;
  // Words of the bank stand in a draft without the entries they were put together from.
  const inlines = Object.keys(INLINES).filter((name) => name !== 'include');
  expect(Object.keys(nodes).sort()).toEqual(['doc', ...Object.keys(BLOCKS), ...inlines].sort());
  expect(Object.keys(marks).sort()).toEqual(Object.keys(MARKS).sort());
  for (const [name, { carries }] of Object.entries(INLINES))
    if (carries && nodes[name])
      expect(Object.keys(nodes[name].spec.attrs ?? {}).sort()).toEqual(Object.keys(carries).sort());
});
