import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { plainText, type Inline, type Passage } from '#core/passage';
import { cleaned } from './clean';
import { disfluenciesIn, fillersOf } from './disfluencies';

const FILLERS = fillersOf('en-GB');

/** A line whose disfluencies are marked. */
function marked(text: string, fillers = FILLERS): Passage {
  const content: Inline[] = [];
  let at = 0;
  for (const { from, to } of disfluenciesIn(text, fillers)) {
    if (from > at) content.push({ type: 'text', text: text.slice(at, from) });
    content.push({ type: 'text', text: text.slice(from, to), marks: [{ type: 'disfluency' }] });
    at = to;
  }
  if (at < text.length) content.push({ type: 'text', text: text.slice(at) });
  return { type: 'doc', content: [{ type: 'paragraph', ...(content.length > 0 && { content }) }] };
}

describe('what is left without fillers, stammers and false starts', () => {
  test.each([
    ['Um, we went to the wall.', 'We went to the wall.'],
    ['We, um, went.', 'We went.'],
    ['We um went.', 'We went.'],
    ['We went, um.', 'We went.'],
    ['It was erm… cold.', 'It was cold.'],
    ['It was er— cold.', 'It was cold.'],
    ['Um. We went.', 'We went.'],
    ['It was. Um, cold.', 'It was. Cold.'],
    ['Mm.', ''],
    ['the the wall', 'the wall'],
    ['The the wall', 'The wall'],
    ['I, I saw it', 'I saw it'],
    ['w- w- was it', 'was it'],
    ['W- Was it', 'Was it'],
    ['I was– I was going', 'I was going'],
    ['I was going, I was going home', 'I was going home'],
    ['I had the— We were on the wall', 'We were on the wall'],
    ['So, I had the— we were on it', 'So, we were on it'],
    ['It was, um, the the wall', 'It was the wall'],
    ['Well, um, uh, no', 'Well no'],
  ])('%j reads %j', (said, clean) => {
    expect(plainText(cleaned(marked(said)))).toBe(clean);
  });

  test.each([
    'The summer was umber.',
    'The wall — the old one — fell.',
    'A half-built wall, a well-kept one',
    'It was 10 10 times',
    'We went. We went again.',
    'No. No!',
    'An uh-huh is an answer',
    'the man- and the dog',
  ])('%j stays', (said) => {
    expect(disfluenciesIn(said, FILLERS)).toEqual([]);
  });
});

test('a time put into the text ends no sentence', () => {
  const time: Inline = { type: 'timeCode', attrs: { at: 12_000, unclear: false, text: '00:00:12' } };
  const text = (words: string, isMarked = false): Inline => ({
    ...{ type: 'text', text: words },
    ...(isMarked && { marks: [{ type: 'disfluency' }] }),
  });
  const line = [text('Eleven. '), time, text(' '), text('Um, ', true), text('it was.')];
  const passage: Passage = { type: 'doc', content: [{ type: 'paragraph', content: line }] };
  expect(plainText(cleaned(passage))).toBe('Eleven. 00:00:12 It was.');
});

test.each([
  ['cy-GB', 'ym, aeth y dyn', ['ym, ', 'y ']],
  ['de', 'Das ist, ähm, gut', [', ähm,']],
  ['fr', 'um, bon', ['um, ']],
])('each language has its own: %s', (language, text, expected) => {
  expect(disfluenciesIn(text, fillersOf(language)).map(({ from, to }) => text.slice(from, to))).toEqual(
    expected,
  );
});

test('phrases can be fillers, the longest first, and signs in them are signs', () => {
  const said = 'It was, you know what, cold (sort of).';
  const parts = disfluenciesIn(said, ['you know', 'you know what', '(sort of)', ' ']);
  expect(parts.map(({ from, to }) => said.slice(from, to))).toEqual([', you know what,', ' (sort of)']);
});

test('they stand in order, overlap nowhere, and what is not marked is never lost', () => {
  const piece = fc.constantFrom(
    'um',
    'the',
    'the',
    'I',
    'was',
    'w-',
    'wall',
    ',',
    '—',
    '.',
    ' ',
    ' ',
    '…',
    '5',
    'Ā',
  );
  fc.assert(
    fc.property(fc.array(piece, { maxLength: 40 }), (pieces) => {
      const text = pieces.join('');
      const found = disfluenciesIn(text, FILLERS);
      let last = 0;
      for (const { from, to } of found) {
        expect(from).toBeGreaterThanOrEqual(last);
        expect(to).toBeGreaterThan(from);
        last = to;
      }
      expect(last).toBeLessThanOrEqual(text.length);
      const bare = (words: string) => words.toLowerCase().replace(/\s+/g, '');
      const kept = found.reduceRight((left, { from, to }) => left.slice(0, from) + left.slice(to), text);
      expect(bare(plainText(cleaned(marked(text))))).toBe(bare(kept));
    }),
  );
});
