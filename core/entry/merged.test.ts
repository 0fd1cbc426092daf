import { describe, expect, test } from '@jest/globals';
import { mergedContent, newEntry, type EntryContent } from './index';

const entry = (title: string, over: Partial<EntryContent> = {}): EntryContent => ({
  ...newEntry(title, 'en-GB'),
  ...over,
});

describe('entries made one', () => {
  const into = entry('Left', {
    cues: [{ text: 'lf' }],
    tags: ['seal'],
    note: 'Mind the dose.',
    purpose: 'At night',
  });

  test('the one that is left keeps its words and purpose, and takes cues, tags and notes, each once', () => {
    const others = [
      entry('Gone', {
        cues: [{ text: 'LF' }, { text: 'gn' }],
        tags: ['seal', 'night'],
        note: ' Mind the dose. ',
      }),
      entry('Away', { cues: [{ text: 'gn' }], tags: ['ward'], note: 'Ask Imke.', purpose: 'By day' }),
    ];
    expect(mergedContent(into, others)).toEqual({
      ...into,
      cues: [{ text: 'lf' }, { text: 'gn' }],
      tags: ['seal', 'night', 'ward'],
      note: 'Mind the dose.\nAsk Imke.',
    });
  });

  test('a cue that another has, and a pattern, whose groups answer fields of its own entry, are not taken', () => {
    const other = entry('Gone', {
      cues: [{ text: 'tk' }, { text: 'w(\\d+)', as: 'pattern' }, { text: 'Alt+w', as: 'keys' }],
    });
    expect(mergedContent(into, [other], (cue) => cue !== 'tk').cues).toEqual([
      { text: 'lf' },
      { text: 'Alt+w', as: 'keys' },
    ]);
  });

  test('with nothing to take it is what it was', () => {
    expect(mergedContent(into, [])).toEqual(into);
  });
});
