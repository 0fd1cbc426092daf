import { describe, expect, test } from '@jest/globals';
import { mapLines, type Passage } from '#core/passage';
import { place, type PlaceRequest } from '#core/fill';
import { passageFrom, readEntry, writeEntry } from '#core/notation';
import { wordingWithHandChanges } from './handChanges';

const entry = (text: string) => {
  const read = readEntry(`title: T\nfield Name: text\nfield Food: text\n== wording Main\n${text}`);
  if (!read.ok) throw new Error(read.error.code);
  return read.value;
};
const needs = {
  record: { version: 1, details: [] },
  today: '2026-11-24',
  now: '10:00',
} as unknown as PlaceRequest;

/** The entry as placed with answers, its words then changed as by hand, and what its wording becomes. */
function broughtBack(source: string, byHand: (words: string) => string): string {
  const content = entry(source);
  const [wording] = content.wordings;
  const answers = Object.fromEntries(
    content.fields.map(({ id, name }) => [
      id,
      { kind: 'text' as const, text: name === 'Name' ? 'Bramble' : 'worms' },
    ]),
  );
  const { passage } = place({
    ...needs,
    entry: { id: 'e', revision: 1, content },
    id: 'p',
    cue: null,
    answers,
  });
  const now: Passage = mapLines(passage, (line) =>
    line.map((inline) => (inline.type === 'text' ? { ...inline, text: byHand(inline.text) } : inline)),
  );
  const own = wording!.parts[0]!.passage;
  const changed = wordingWithHandChanges(own, passage, now);
  const written = writeEntry({
    ...content,
    wordings: [{ ...wording!, parts: [{ ...wording!.parts[0]!, passage: changed }] }],
  });
  // Behind the lines that name the wording and its part.
  return written.slice(written.indexOf('-- part')).split('\n').slice(1).join('\n').trim();
}

describe('what was changed by hand where a wording was placed', () => {
  test.each([
    [
      '{Name} ate {Food} today.',
      (words: string) => words.replace('today', 'at dusk'),
      '{Name} ate {Food} at dusk.',
    ],
    ['{Name} ate.', (words: string) => words.replace('ate', 'ate well'), '{Name} ate well.'],
    [
      'Keep {Name} warm.\n\nFeed it {Food}.',
      (words: string) => words.replace('warm', 'warm and dark'),
      'Keep {Name} warm and dark.\n\nFeed it {Food}.',
    ],
  ])('%s', (source, byHand, becomes) => {
    const wording = broughtBack(source, byHand);
    expect(wording).toBe(becomes);
    expect(wording).not.toContain('Bramble');
  });

  test('nothing changed: the wording itself, whatever was answered', () => {
    const wording = passageFrom('Kept warm.');
    expect(wordingWithHandChanges(wording, wording, wording)).toBe(wording);
    expect(broughtBack('{Name} ate {Food}.', (words) => words)).toBe('{Name} ate {Food}.');
  });
});
