import { describe, expect, test } from '@jest/globals';
import type { Answer } from '#core/draft';
import { FieldSchema } from '#core/entry';
import { answer, placeEntry, placementsOf } from '../../editor';
import { bareView, entryOf, leafOf, requestOf, wordsField } from '../../testing/leafState';
import {
  moveByMonth,
  proposeAnswers,
  proposedAnswers,
  proposedHere,
  takeProposed,
  walkProposed,
  type ProposedAnswer,
} from './proposedAnswers';

const text = (words: string): Answer => ({ kind: 'text', text: words });
const date = (day: string): Answer => ({ kind: 'date', date: day });
const proposed = (...all: [string, Answer][]): ProposedAnswer[] =>
  all.map(([words, given]) => ({ words, context: 'in the file', answer: given }));
const SENDERS = proposed(
  ['Marsh Lane', text('Marsh Lane')],
  ['Old Quay', text('Old Quay')],
  ['Quay Street', text('Quay Street')],
);

/** A leaf on the blank of a field, of which some answers were found. */
function onBlank(found: readonly ProposedAnswer[], field = wordsField('food')) {
  const begun = leafOf(['|'], [proposedAnswers()]);
  const content = { ...entryOf('Sent', 'Sent by [food].'), fields: [field] };
  const leaf = bareView(begun.apply(placeEntry(begun, 1, 1, requestOf(content, 'p'))));
  proposeAnswers(leaf.view, ({ id }) => (id === 'food' ? found : []));
  const given = () => placementsOf(leaf.state().doc).p!.answers?.food;
  const give = (one: Answer) => leaf.view.dispatch(answer(leaf.state(), 'p', 'food', one));
  return { ...leaf, given, give };
}
const day = FieldSchema.parse({ id: 'food', name: 'Day', kind: 'date' });

test('what was found is told of the blank one is on, with which of it is the answer now', () => {
  const { state, give } = onBlank(SENDERS);
  expect(proposedHere(state())).toMatchObject({ placement: 'p', proposed: SENDERS, at: -1 });
  give(text('Old Quay'));
  expect(proposedHere(state())).toMatchObject({ at: 1 });
  expect(proposedHere(leafOf(['It ate.|'], [proposedAnswers()]))).toBeNull();
});

test('one is taken by its place in the list; one that is not there is not', () => {
  const { view, given } = onBlank(SENDERS);
  expect(takeProposed(view, 3)).toBe(false);
  expect(given()).toBeUndefined();
  expect(takeProposed(view, 2)).toBe(true);
  expect(given()).toEqual(text('Quay Street'));
});

describe('walked by the arrows', () => {
  test('the likeliest first, then the next, and back; at the ends the arrow is free for what it does else', () => {
    const { view, given } = onBlank(SENDERS);
    expect(walkProposed(view, -1)).toBe(false);
    const walked = ([1, 1, 1, 1, -1, -1, -1] as const).map((step) => [walkProposed(view, step), given()]);
    expect(walked).toEqual([
      [true, text('Marsh Lane')],
      [true, text('Old Quay')],
      [true, text('Quay Street')],
      [false, text('Quay Street')],
      [true, text('Old Quay')],
      [true, text('Marsh Lane')],
      [false, text('Marsh Lane')],
    ]);
  });

  test.each([
    ['quay', 'Quay Street'],
    ['old', 'Old Quay'],
    [' LANE', 'Marsh Lane'],
    ['ee', 'Quay Street'],
    ['harbour', null],
  ])('with %j typed it is the first that begins so, else one that has it within', (typed, wanted) => {
    const { view, give, given } = onBlank(SENDERS);
    give(text(typed));
    expect(walkProposed(view, 1)).toBe(wanted !== null);
    expect(given()).toEqual(text(wanted ?? typed));
  });

  test('a day that was typed is an answer of its own: no arrow takes another in its place', () => {
    const { view, give, given } = onBlank(proposed(['1 May 2026', date('2026-05-01')]), day);
    give(date('2026-06-02'));
    expect(walkProposed(view, 1)).toBe(false);
    expect(given()).toEqual(date('2026-06-02'));
  });

  test('where nothing was found no arrow is taken', () => {
    expect(walkProposed(onBlank([]).view, 1)).toBe(false);
  });
});

describe('by whole months', () => {
  test('the last day of a month is that of a shorter one, and comes back as it was', () => {
    const { view, give, given } = onBlank([], day);
    give(date('2026-03-31'));
    const moved = ([-1, -1, 1, 1, 1] as const).map((step) => {
      moveByMonth(view, step);
      return given();
    });
    expect(moved).toEqual(
      ['2026-02-28', '2026-01-31', '2026-02-28', '2026-03-31', '2026-04-30'].map((one) => date(one)),
    );
  });

  test('from the likeliest day where none is given; from a day given in between, from that', () => {
    const { view, give, given } = onBlank(proposed(['31 January 2026', date('2026-01-31')]), day);
    moveByMonth(view, 1);
    expect(given()).toEqual(date('2026-02-28'));
    give(date('2026-02-10'));
    moveByMonth(view, 1);
    expect(given()).toEqual(date('2026-03-10'));
  });

  test('no blank but one of a day is moved', () => {
    const { view, given } = onBlank(SENDERS);
    expect(moveByMonth(view, 1)).toBe(false);
    expect(given()).toBeUndefined();
  });
});
