import { describe, expect, test } from '@jest/globals';
import { newEntry, type EntryContent } from '#core/entry';
import type { Inline } from '#core/passage';
import { compareArriving, settleCues } from './index';

const content = (title: string, words: string, within: string[] = []): EntryContent => ({
  ...newEntry(title, 'en-GB', {
    type: 'doc',
    content: [
      {
        type: 'paragraph',
        content: [
          { type: 'text', text: words },
          ...within.map((entry): Inline => ({ type: 'include', attrs: { entry } })),
        ],
      },
    ],
  }),
});
const standing = (id: string, one: EntryContent) => ({ id, revision: 3, content: one });

describe('what arriving entries find', () => {
  const there = [
    standing('a', content('Feeding', 'It was fed.')),
    standing('b', content('Weighing', 'It was weighed.')),
    standing('c', content('feeding ', 'It ate by itself.')),
    standing('d', content('Round', 'First: ', ['a'])),
  ];
  test.each<[string, [string, EntryContent][], [string, string | null][]]>([
    ['nothing of its title', [['x', content('Bathing', 'It bathed.')]], [['new', null]]],
    ['its like', [['x', content('WEIGHING', 'It was weighed.')]], [['differs', 'b']]],
    ['its like, word for word', [['x', content('Weighing', 'It was weighed.')]], [['same', 'b']]],
    [
      'the one of its id before one of its title',
      [['c', content('Feeding', 'It was fed.')]],
      [['differs', 'c']],
    ],
    [
      'of two of a title each another one, and a third none',
      [
        ['x', content('Feeding', 'It was fed.')],
        ['y', content('Feeding', 'It ate by itself.')],
        ['z', content('Feeding', 'Again.')],
      ],
      [
        ['same', 'a'],
        ['differs', 'c'],
        ['new', null],
      ],
    ],
    [
      'its like, whatever the ids within it were elsewhere',
      [
        ['x', content('Feeding', 'It was fed.')],
        ['y', content('Round', 'First: ', ['x'])],
      ],
      [
        ['same', 'a'],
        ['same', 'd'],
      ],
    ],
  ])('%s', (_what, arriving, expected) => {
    const found = compareArriving(
      arriving.map(([id, one]) => ({ id, content: one })),
      there,
    );
    expect(found.map(({ state, standing: one }) => [state, one?.id ?? null])).toEqual(expected);
  });
});

test('a taken cue gives way to a free one, keys and patterns to none, and free ones stay', () => {
  const arriving = {
    ...content('Dawn check', 'x'),
    cues: [{ text: 'AD' }, { text: 'free' }, { text: 'F7', as: 'keys' as const }],
  };
  const { content: settled, changed } = settleCues(arriving, new Set(['ad', 'dc', 'f7']), 'initials');
  expect(settled.cues.map(({ text }) => text)).toEqual(['dawc', 'free']);
  expect(changed).toEqual([
    { cue: 'AD', now: 'dawc' },
    { cue: 'F7', now: null },
  ]);
  expect(settleCues(arriving, new Set(), 'initials')).toEqual({ content: arriving, changed: [] });
});
