import { beforeEach, expect, test } from '@jest/globals';
import { keptHere } from '../testing/keptHere';
import { SentencesTyped } from './sentencesTyped';

let computer: ReturnType<typeof keptHere>;
beforeEach(() => {
  computer = keptHere();
});

const SENTENCE = 'The wound was flushed with warm saline.';

test('a sentence is counted once a draft, whatever its case and marks, and remembered for the next', () => {
  const first = new SentencesTyped('imke');
  expect([first.heard(SENTENCE), first.heard(SENTENCE)]).toEqual([1, 0]);
  expect(new SentencesTyped('imke').heard('the wound was flushed, with warm  saline!')).toBe(2);
  expect(new SentencesTyped('imke').heard(SENTENCE)).toBe(3);
  expect(new SentencesTyped('imke').heard('The wound was flushed with warm water.')).toBe(1);
});

test('what is short is said by everybody; what a colleague typed here is theirs', () => {
  const typed = new SentencesTyped('imke');
  expect([typed.heard('All well.'), typed.heard('Incomprehensibilities notwithstanding.')]).toEqual([0, 0]);
  typed.heard(SENTENCE);
  expect(new SentencesTyped('odile').heard(SENTENCE)).toBe(1);
});

test('no word of it is kept, and no more than the last 1,500', () => {
  const typed = new SentencesTyped('imke');
  typed.heard(SENTENCE);
  for (let at = 0; at < 1500; at += 1) typed.heard(`It was weighed again on day ${at} of its stay.`);
  const kept = localStorage.getItem('elderleaf.sentences.imke')!;
  expect(kept).not.toMatch(/wound|saline|weighed/);
  expect(JSON.parse(kept)).toHaveLength(1500);
  expect(new SentencesTyped('imke').heard(SENTENCE)).toBe(1);
});

test('what is broken on this computer counts as nothing, and without room it goes on', () => {
  localStorage.setItem('elderleaf.sentences.imke', '{');
  expect(new SentencesTyped('imke').heard(SENTENCE)).toBe(1);
  computer.isFull = true;
  const typed = new SentencesTyped('odile');
  expect(typed.heard(SENTENCE)).toBe(1);
});
