import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DraftDocument } from '#core/draft';
import { writtenDraft } from './writtenDraft';

test('what is written is the same document, whatever is in it, and again after a block of it is another', () => {
  const block = fc
    .string()
    .map((text) => ({ type: 'paragraph' as const, content: [{ type: 'text' as const, text: `${text}.` }] }));
  fc.assert(
    fc.property(fc.array(block, { minLength: 1 }), block, fc.boolean(), (content, other, hasLevels) => {
      const attrs = { placements: {}, ...(hasLevels && { levels: { a: 'b' } }) };
      const first: DraftDocument = { type: 'doc', content, attrs };
      const second: DraftDocument = { ...first, content: [...content.slice(0, -1), other] };
      for (const one of [first, second, first]) expect(JSON.parse(writtenDraft(one))).toEqual(one);
    }),
  );
});
