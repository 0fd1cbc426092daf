import { describe, expect, test } from '@jest/globals';
import { FieldSchema } from '#core/entry';
import { keyOnBlank } from '../writing/surface/blankKeys';
import { bareView, entryOf, leafOf, readOf, requestOf, wordsField } from '../testing/leafState';
import { currentBlank } from './blanks';
import { joiningOn } from './goingOn';
import { placementsOf } from './placements';
import { placeEntry } from './placing';

const choice = (many = false) =>
  FieldSchema.parse({
    id: 'trend',
    name: 'Trend',
    kind: 'choice',
    many,
    options: [
      { id: 'up', label: 'gaining' },
      { id: 'same', label: 'holding' },
      { id: 'down', label: 'losing' },
    ],
  });

/** A leaf on which an entry was just placed, with its caret where that leaves it. */
function placed(words: string, field = wordsField('food')) {
  const leaf = bareView(leafOf(['|'], [joiningOn()]));
  const { from, to } = leaf.state().selection;
  const content = { ...entryOf('Fed', words), fields: [field] };
  leaf.view.dispatch(placeEntry(leaf.state(), from, to, requestOf(content, 'p')));
  return leaf;
}
/** Presses keys as a person does: a blank is asked first, then the text. */
function press(leaf: ReturnType<typeof placed>, keys: string) {
  for (const key of keys) {
    const event = { key, ctrlKey: false, metaKey: false, altKey: false, shiftKey: false } as KeyboardEvent;
    if (!currentBlank(leaf.state()) || !keyOnBlank(leaf.view, event, true)) leaf.type(key);
  }
}
const answersOf = (leaf: ReturnType<typeof placed>) =>
  Object.values(placementsOf(leaf.state().doc))[0]!.answers;

describe('typed on behind what was placed', () => {
  test.each([
    ['It ate well.', 'It drank.', 'It ate well. It drank.'],
    ['It ate well.', ' It drank.', 'It ate well. It drank.'],
    ['It ate well.', '.', 'It ate well.'],
    ['It ate well.', '. Then', 'It ate well. Then'],
    ['It ate well', ', and', 'It ate well, and'],
    ['It ate well.', '(later)', 'It ate well. (later)'],
    ['It ate (', 'well)', 'It ate (well)'],
  ])('%j and then %j', (wording, keys, wanted) => {
    const leaf = placed(wording);
    press(leaf, keys);
    expect(readOf(leaf.state())).toBe(wanted);
  });
});

describe('typed on past a choice', () => {
  test('a letter that picks nothing goes on with the sentence, and nothing of it is lost', () => {
    const leaf = placed('It is [trend].', choice());
    press(leaf, 'then it slept');
    expect(readOf(leaf.state())).toBe('It is [trend]. then it slept');
    expect(answersOf(leaf)).toEqual({});
  });

  test('letters of one word that picked something were not meant so', () => {
    const leaf = placed('It is [trend].', choice());
    press(leaf, 'going well');
    expect(readOf(leaf.state())).toBe('It is [trend]. going well');
    expect(answersOf(leaf)).toEqual({});
  });

  test('a letter and then a space or a mark: it was picked, and the sentence goes on', () => {
    const leaf = placed('It is [trend]', choice());
    press(leaf, 'g, and fed.');
    expect(readOf(leaf.state())).toBe('It is gaining, and fed.');
  });

  test('of a choice of several what was picked stays', () => {
    const leaf = placed('It is [trend].', choice(true));
    press(leaf, 'ghxyz');
    expect(readOf(leaf.state())).toBe('It is gaining and holding. xyz');
  });
});
