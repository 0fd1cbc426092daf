import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { questionsIn } from '.';

describe('the questions of a message', () => {
  test.each([
    [
      'May we bring our dog if it stays on the lead? And can my father come?',
      ['May we bring our dog if it stays on the lead?', 'And can my father come?'],
    ],
    ['It is cold. Is it\nill? I hope not!', ['Is it ill?']],
    [
      'Er läuft im Kreis. Dürfen wir ihn\nins Haus nehmen, und was darf er fressen?',
      ['Dürfen wir ihn ins Haus nehmen, und was darf er fressen?'],
    ],
    ['Is it ill?\n\nIs it ill?', ['Is it ill?']],
    ['Really??? Is it so late already?', ['Really???', 'Is it so late already?']],
    ['Yes.\n\nOn Monday Odile wrote:\n> Is it ill, do you think?', []],
    ['OK? Thanks.', []],
    ['No question here.', []],
    ['', []],
  ])('%j', (text, questions) => expect(questionsIn(text)).toEqual(questions));

  test('each stands in it, but for its line ends, and asks', () => {
    const word = fc.constantFrom('the', 'owl', 'is', 'ill', '?', '.', '!', '\n', '\n\n', '> ', '...');
    fc.assert(
      fc.property(fc.array(word, { maxLength: 60 }), (words) => {
        const text = words.join(' ');
        const flat = text.replace(/\s+/g, ' ');
        for (const question of questionsIn(text)) {
          expect(flat).toContain(question);
          expect(question.endsWith('?')).toBe(true);
        }
      }),
    );
  });
});
