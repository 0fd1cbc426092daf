import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DraftDocumentSchema, type DraftDocument } from '#core/draft';
import { EntryContentSchema } from '#core/entry';
import { plainText } from '#core/passage';
import { emptyRecord } from '#core/record';
import { anyAnswers, anyEntry } from '#core/testing';
import { fillWording, finishedPassage, gapsOf, place, refillPassage } from '.';

/** Any entry, with two sets of answers to it. */
const filled = anyEntry.chain((entry) =>
  fc.tuple(fc.constant(EntryContentSchema.parse(entry)), anyAnswers(entry.fields), anyAnswers(entry.fields)),
);
const setting = { record: emptyRecord(), today: '2026-11-25', cue: null };

test('whatever an entry holds and whatever is answered, it is placed, refilled, checked and finished', () => {
  fc.assert(
    fc.property(filled, ([content, answers, later]) => {
      const entry = { id: 'e', revision: 1, content };
      const placed = place({ ...setting, entry, id: 'p', answers });
      const draft: DraftDocument = { ...placed.passage, attrs: { placements: { p: placed.placement } } };
      expect(DraftDocumentSchema.safeParse(draft).error?.issues).toBeUndefined();
      const changed = { ...placed.placement, answers: later };
      const refilled = refillPassage(placed.passage, { p: changed });
      // Answers given back bring back what stood there: nothing is lost on the way but the marks of a lone space.
      const back = refillPassage(refilled, { p: placed.placement });
      expect(plainText(back)).toBe(plainText(placed.passage));
      // Filled once, it is filled.
      expect(refillPassage(refilled, { p: changed })).toEqual(refilled);
      gapsOf({ ...refilled, attrs: { placements: { p: changed } } });
      plainText(finishedPassage(refilled));
      plainText(fillWording({ ...setting, entry, answers }));
    }),
    { numRuns: 200 },
  );
});
