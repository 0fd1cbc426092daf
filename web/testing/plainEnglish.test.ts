import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { stringsOf } from './stringsOf';

const ROOT = path.join(import.meta.dirname, '../..');

/** Ways of saying things that the interface gave up, with what it says instead. */
const GIVEN_UP: [RegExp, string][] = [
  [
    /\bstands? (?:in|at|there|when|here|for itself|beside|above|before|after|alone)\b/i,
    'is, appears, is shown',
  ],
  [/\bit may stand\b|\blet it stand\b|\blet (?:it|them) (?:lie|be)\b/i, 'This is fine; Allow it; Cancel'],
  [/\blook(?:ed|s)? through\b|\blook again\b|\bwhat is doubtful\b/i, 'check, review'],
  [/\be-mails?\b/i, 'email'],
  [/\bwords? of the house\b|\bthe house (?:says|is obeyed)\b/i, 'house style'],
  [/\b(?:not )?at hand\b/i, 'loaded'],
  [/\bthe finder\b|\bfinder:/i, 'the look-up'],
  [/\b(?:took|taken|takes?) over (?:a|the|all|into|from)\b/i, 'bring in; use'],
  [/\bhand(?:ed)? (?:it )?on\b/i, 'save as a file for another team'],
  [/\bdissolve/i, 'delete the group'],
  [/\bhere should stand\b/i, 'expected … here'],
  [/\bis no (?:kind|test|step|address|entry|date|time)\b|\bthat is no\b|\bthis is no\b/i, 'is not a …'],
  [/\bfetching\b|\bcould not fetch\b/i, 'loading; could not load'],
  [/\bstumbled\b|\bdivides by nought\b/i, 'went wrong; by zero'],
  [
    /\bwho may do what\b|\bwhat becomes of\b|\bread otherwise\b/i,
    'sharing; what to do with; differ from yours',
  ],
  [/\bday of review\b|\bdays of review\b|\bgrows? old\b/i, 'review date; go out of date'],
  [/\bparted by\b|\binside each other\b/i, 'separated by; nested'],
  [/\bkept on this computer\b|\bis kept\b|\bkeep wording\b/i, 'saved'],
];

describe.each(['web', 'client', 'core', 'server'])('plain English in %s', (folder) => {
  const all = stringsOf(path.join(ROOT, folder));

  test.each(GIVEN_UP)('nothing says %s', (pattern, better) => {
    const found = all
      .filter(({ words }) => pattern.test(words))
      .map(({ file, line, words }) => `${path.relative(ROOT, file)}:${line} “${words}”: ${better}`);
    expect(found).toEqual([]);
  });
});

test('a string of a screen is read, and what is given up in it is found', () => {
  const own = stringsOf(path.join(ROOT, 'web'));
  expect(own.length).toBeGreaterThan(1000);
  expect(own.some(({ words }) => words === 'Search titles, wordings and cues')).toBe(true);
  expect(GIVEN_UP.some(([pattern]) => pattern.test('Send an e-mail'))).toBe(true);
});
