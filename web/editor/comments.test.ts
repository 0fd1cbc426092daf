import { describe, expect, test } from '@jest/globals';
import { history, undo } from '@tiptap/pm/history';
import type { EditorState, Transaction } from '@tiptap/pm/state';
import fc from 'fast-check';
import { place } from '#core/fill';
import { compareRanges, type CommentOn } from '#core/passage';
import { entryOf, leafOf, readOf, requestOf } from '../testing/leafState';
import {
  addComment,
  commentAt,
  commentEntries,
  commentsIn,
  copyComment,
  layComment,
  removeComment,
} from './comments';
import { countComment, countedComments } from './countedComments';
import { placementsOf } from './placements';
import { placeEntry } from './placing';
import { saidTwice, sayInWhole } from './saidTwice';

const on = (block: number, at = 0): CommentOn['on'] => ({ from: { block, at }, to: { block, at: at + 2 } });
const comment = (id: string, block: number, at = 0): CommentOn => ({
  ...{ id, on: on(block, at), words: 'We', before: '' },
});
const done = (state: EditorState, tr: Transaction | null) => state.apply(tr!);
/** A leaf with comments that say what they are called, put down in the order given, and a summing-up. */
const withComments = (...all: CommentOn[]) =>
  all.reduce(
    (state, one) => {
      const added = done(state, addComment(state, one));
      return added.apply(added.tr.insertText(one.id));
    },
    leafOf(['Well done.']),
  );
const order = (state: EditorState) => commentsIn(state.doc).map(({ comment: { id } }) => id);
const wordsOf = (state: EditorState) => commentsIn(state.doc).map(({ node }) => node.textContent);

describe('comments of a draft', () => {
  const three = withComments(comment('last', 9), comment('first', 1), comment('second', 1, 4));

  test('they stand in the order of what they are on, before the summing-up; the caret is in the one just put down', () => {
    expect(order(three)).toEqual(['first', 'second', 'last']);
    expect(readOf(three)).toBe('first\nsecond\nlast\nWell done.');
    expect(commentAt(three)?.comment.id).toBe('second');
  });

  test('put on other words, one goes where it belongs with its words, and the caret stays where it was in it', () => {
    const moved = done(three, layComment(three, 'second', comment('x', 20)));
    expect(wordsOf(moved)).toEqual(['first', 'last', 'second']);
    expect(commentAt(moved)?.comment).toMatchObject({ id: 'second', on: on(20) });
    const typed = moved.apply(moved.tr.insertText('!'));
    expect(wordsOf(typed)).toEqual(['first', 'last', 'second!']);
  });

  test('deleted, with all of them too; what is not there is left alone', () => {
    const none = ['first', 'second', 'last'].reduce(
      (state, id) => done(state, removeComment(state, id)),
      three,
    );
    expect(readOf(none)).toBe('Well done.');
    expect([removeComment(none, 'first'), layComment(none, 'first', comment('x', 1))]).toEqual([null, null]);
  });

  test('whatever is put down and moved, the order is that of the words', () => {
    const place = fc.record({ block: fc.nat(5), at: fc.nat(5) });
    fc.assert(
      fc.property(
        fc.array(place, { minLength: 1, maxLength: 6 }),
        fc.array(place, { maxLength: 4 }),
        (put, moves) => {
          let state = withComments(...put.map(({ block, at }, index) => comment(`c${index}`, block, at)));
          for (const [index, { block, at }] of moves.entries())
            state = done(state, layComment(state, `c${index % put.length}`, comment('x', block, at)));
          const all = commentsIn(state.doc).map(({ comment: one }) => one.on);
          expect([...all].sort(compareRanges)).toEqual(all);
          expect(all).toHaveLength(put.length);
        },
      ),
    );
  });
});

describe('what is said twice', () => {
  const UNITS = entryOf('Units', 'The units are missing.');
  const plugin = saidTwice({
    wordsFor: ({ from }, language) => `${language}: see ${from.block}.`,
    inShort: () => null,
  });
  let made = 0;
  /** A comment in which the entry was placed. */
  const placed = (state: EditorState, id: string, block: number) => {
    const added = done(state, addComment(state, comment(id, block)));
    const { from } = added.selection;
    const request = requestOf(UNITS, `p${(made += 1)}`);
    return added.apply(placeEntry(added, from, from, request));
  };
  const begun = leafOf(['Sum.'], [history(), plugin]);
  const twice = placed(placed(begun, 'a', 3), 'b', 7);
  const thrice = placed(twice, 'c', 9);

  test('the second points back to the first, by its place, in the language of the wording', () => {
    expect(wordsOf(twice)).toEqual(['The units are missing.', 'en-GB: see 3.']);
    const typed = twice.apply(twice.tr.insertText(' And here.'));
    expect(wordsOf(typed)[1]).toBe('en-GB: see 3. And here.');
  });

  test('one undo takes back the placing with what it brought about', () => {
    let state = twice;
    undo(state, (tr) => (state = state.apply(tr)));
    expect(wordsOf(state)[1] ?? '').not.toContain('see 3');
  });

  test('where the first stands elsewhere, the words renew themselves, and what was written behind them stays', () => {
    const typed = twice.apply(twice.tr.insertText(' And here.'));
    const moved = done(typed, layComment(typed, 'a', comment('x', 5)));
    expect(wordsOf(moved)).toEqual(['The units are missing.', 'en-GB: see 5. And here.']);
  });

  test('where the first is deleted, the next says it in whole, and the rest point to that', () => {
    const left = done(thrice, removeComment(thrice, 'a'));
    expect(wordsOf(left)).toEqual(['The units are missing.', 'en-GB: see 7.']);
    expect(commentsIn(left.doc).map(({ comment: { again } }) => again?.of ?? null)).toEqual([null, 'b']);
  });

  test('asked for in whole, it is, with a placement of its own; and stays so', () => {
    const whole = done(
      twice,
      sayInWhole(twice, 'b', () => 'own'),
    );
    expect(wordsOf(whole)).toEqual(['The units are missing.', 'The units are missing.']);
    expect(Object.keys(placementsOf(whole.doc))).toContain('own');
    expect(sayInWhole(whole, 'b', () => 'x')).toBeNull();
  });

  test('a copy of a comment on other words points back as well; words by hand are never touched', () => {
    const copied = done(
      twice,
      copyComment(twice, 'a', comment('d', 12), () => 'copy'),
    );
    expect(wordsOf(copied)).toEqual(['The units are missing.', 'en-GB: see 3.', 'en-GB: see 3.']);
    const byHand = done(copied, addComment(copied, comment('e', 20)));
    expect(wordsOf(byHand.apply(byHand.tr.insertText('The units are missing.'))).at(-1)).toBe(
      'The units are missing.',
    );
  });
});

describe('a short wording, and what a comment counts as', () => {
  const UNITS = entryOf('Units', 'The units are missing.');
  const short = (id: string) => place({ ...requestOf(entryOf('Units', 'Units again.'), id) });
  const plugins = [
    history(),
    countedComments(() => ({ criterion: 'Figures', as: 'fault' })),
    saidTwice({ wordsFor: () => 'See above.', inShort: short }),
  ];
  const placed = (state: EditorState, id: string, block: number) => {
    const added = done(state, addComment(state, comment(id, block)));
    const { from } = added.selection;
    return added.apply(placeEntry(added, from, from, requestOf(UNITS, `p-${id}`)));
  };
  const twice = placed(placed(leafOf(['Sum.'], plugins), 'a', 3), 'b', 7);
  const countsOf = (state: EditorState) => commentsIn(state.doc).map(({ comment: { counts } }) => counts);

  test('the second is said in short, still of its entry, and in whole when the first is deleted', () => {
    expect(wordsOf(twice)).toEqual(['The units are missing.', 'Units again.']);
    expect(commentsIn(twice.doc)[1]!.comment.again?.of).toBe('a');
    expect(placementsOf(twice.doc)['p-b']).toBeDefined();
    const typed = twice.apply(twice.tr.insertText(' Here.'));
    expect(wordsOf(typed)[1]).toBe('Units again. Here.');
    expect(wordsOf(done(twice, removeComment(twice, 'a')))).toEqual(['The units are missing.']);
  });

  test('both count as the entry says, in the step that placed them, until the writer says otherwise', () => {
    const fault = { criterion: 'Figures', as: 'fault' };
    expect(countsOf(twice)).toEqual([fault, fault]);
    let undone = twice;
    undo(undone, (tr) => (undone = undone.apply(tr)));
    expect(countsOf(undone)[1] ?? null).toBeNull();
    const praised = done(twice, countComment(twice, 'a', { criterion: '', as: 'praise' }));
    const again = praised.apply(placeEntry(praised, 2, 2, requestOf(UNITS, 'p-more')));
    expect(countsOf(again)[0]).toEqual({ criterion: '', as: 'praise' });
    expect(countComment(twice, 'gone', { criterion: '', as: null })).toBeNull();
  });

  test('what is said where: the entries placed in comments, with the words these are on', () => {
    expect(commentEntries(twice.doc)).toEqual([
      { entry: 'Units', on: on(3) },
      { entry: 'Units', on: on(7) },
    ]);
  });
});
