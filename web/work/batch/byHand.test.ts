import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptySetup, recordOfRow, rowLetter, type BatchSetup } from '#core/batch';
import { EntryContentSchema } from '#core/entry';
import { finishedPassage } from '#core/fill';
import { plainText } from '#core/passage';
import { anyEntry } from '#core/testing';
import { fromEditor, placeEntry } from '../../editor';
import { leafOf } from '../../testing/leafState';

const DETAILS = ['customer', 'species', 'born', 'weight', 'name', 'sex'] as const;
const setup: BatchSetup = {
  ...emptySetup('2026-11-24'),
  columns: DETAILS.map((fills, at) => ({
    ...{ id: `c${at}`, head: `Column ${at}`, fills, kind: fills === 'born' ? 'date' : 'text' },
    ...{ monthFirst: false, decimalComma: false },
  })),
};
const cell = fc.constantFrom('', 'Petra Lindow', 'an owl', '04/03/2026', '=1+1', 'female', 'two  spaces .');
const row = fc.array(cell, { minLength: DETAILS.length, maxLength: DETAILS.length });

test('the letter of a row reads as its entry does where it is placed on an empty leaf by hand', () => {
  fc.assert(
    fc.property(anyEntry, row, (any, cells) => {
      const content = EntryContentSchema.parse(any);
      const entry = { id: 'e', revision: 1, content };
      const made = rowLetter(cells, 0, { setup, entry, wording: null });
      const record = recordOfRow(
        setup,
        cells,
        content.wordings.map(({ language }) => language),
      );
      const begun = leafOf(['|']);
      const [placement] = Object.values(made.attrs.placements);
      const request = {
        ...{ entry, cue: null, record, today: setup.day, now: '12:00', id: 'letter' },
        answers: placement!.answers,
      };
      const state = begun.apply(placeEntry(begun, 1, 1, request));
      const byHand = plainText(finishedPassage(fromEditor(state.doc)));
      expect(plainText(finishedPassage(made))).toBe(byHand);
    }),
    { numRuns: 200 },
  );
});
