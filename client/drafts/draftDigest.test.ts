import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import type { DraftDocument } from '#core/draft';
import { isSame } from '#core/difference';
import { turned } from '../testing/turned';
import { alsoSent, hasArrived } from './draftDigest';

const paragraph = (text: string) => ({ type: 'paragraph', content: [{ type: 'text', text }] });
const answered = (text: string) => ({ entry: 'e', revision: 1, answers: { pen: { kind: 'text', text } } });

/** Drafts of few words, so that two of them are often the same. */
const draft = fc
  .record({
    words: fc.array(fc.constantFrom('It ate.', 'It slept.'), { minLength: 1, maxLength: 2 }),
    placements: fc.dictionary(fc.constantFrom('p', 'q'), fc.constantFrom('3', '4').map(answered)),
    subject: fc.option(fc.constantFrom('Owl', 'Swan'), { nil: undefined }),
  })
  .map(({ words, placements, subject }) => {
    const attrs = { placements, ...(subject && { envelope: { subject } }) };
    return { type: 'doc', attrs, content: words.map(paragraph) } as unknown as DraftDocument;
  });

test('what was sent is known again as the server gives it back, and nothing else is, by its words, answers and addressee', () => {
  fc.assert(
    fc.property(draft, draft, (sent, other) => {
      const digests = alsoSent([], sent);
      expect(hasArrived(digests, turned(sent) as DraftDocument)).toBe(true);
      expect(hasArrived(digests, other)).toBe(isSame(sent, other));
      // Named before, the objects of a draft that is written on are not taken for those of another.
      const [first, ...rest] = sent.content;
      const longer = {
        ...sent,
        content: [first!, ...rest, paragraph('It slept.') as typeof first],
      } as DraftDocument;
      expect(hasArrived(digests, longer)).toBe(false);
    }),
  );
});

test('a text sent twice is remembered once, as the last; of many the oldest are forgotten', () => {
  const texts = Array.from({ length: 120 }, (_, at) => ({
    ...{ type: 'doc' as const, attrs: { placements: {} } },
    content: [paragraph(`Weighed ${at} times.`)],
  })) as DraftDocument[];
  const sent = texts.reduce<string[]>(alsoSent, []);
  expect(sent).toHaveLength(100);
  expect([hasArrived(sent, texts[19]!), hasArrived(sent, texts[20]!)]).toEqual([false, true]);
  const again = alsoSent(sent, texts[50]!);
  expect([again.length, again.at(-1)]).toEqual([100, sent[30]]);
  expect(hasArrived([], texts[0]!)).toBe(false);
});
