import type { Sign } from '#core/entry';
import { SignFinder, type EntrySigns } from '#core/signs';
import type { Submission } from '#core/submission';
import { seeded } from '#core/workbench';
import { measure, type Measured } from './measure';

const WORDS = 50_000;
const SYLLABLES = 'ba de fi go hu ka le mi no pu ra se ti wo ze'.split(' ');

/** Words of one to four syllables, few of them often. */
function vocabulary(): string[] {
  const random = seeded(3);
  const syllable = () => SYLLABLES[Math.floor(random() * SYLLABLES.length)]!;
  return Array.from({ length: 3000 }, () =>
    Array.from({ length: 1 + Math.floor(random() * 4) }, syllable).join(''),
  );
}

/** A submission of paragraphs of about a hundred words, in sentences of about twenty. */
function makeSubmission(words: readonly string[]): Submission {
  const random = seeded(5);
  const word = () => words[Math.floor(random() ** 2 * words.length)]!;
  const sentence = () => {
    const said = Array.from({ length: 10 + Math.floor(random() * 20) }, word).join(' ');
    return `${said.charAt(0).toUpperCase()}${said.slice(1)}.`;
  };
  const paragraph = () => Array.from({ length: 5 }, sentence).join(' ');
  const count = Math.round(WORDS / 100);
  const blocks = Array.from({ length: count }, () => ({
    kind: 'paragraph' as const,
    spans: [{ text: paragraph() }],
  }));
  return { version: 1, blocks, comments: [] };
}

/** What most would do: an expression for each sign, one after another, over the whole text. */
function oneAfterAnother(patterns: readonly string[], text: string): number {
  return patterns.reduce((sum, pattern) => sum + [...text.matchAll(new RegExp(pattern, 'gi'))].length, 0);
}

/** All signs of a bank over a submission of 50,000 words; one call is the whole search. */
export function benchSigns(): Measured[] {
  const words = vocabulary();
  const submission = makeSubmission(words);
  const text = submission.blocks
    .map(({ spans }) => spans.map((span) => ('text' in span ? span.text : '')).join(''))
    .join('\n');
  const asWords = Array.from({ length: 200 }, (_, at) => words[at * 13]!);
  const asPatterns = Array.from({ length: 20 }, (_, at) => `\\b${words[at * 17]!} (\\w+)`);
  const entry = (sign: Sign, at: number): EntrySigns => ({ entry: `e${at}`, signs: [sign] });
  const all = [
    ...asWords.map((word): Sign => ({ kind: 'words', words: [word] })),
    ...asPatterns.map((pattern): Sign => ({ kind: 'pattern', pattern })),
  ].map(entry);
  const finder = new SignFinder(all, 'en-GB', []);
  const work = '200 signs of words and 20 patterns over 50,000 words';
  return [
    measure('signs', work, 'Elderleaf', () => finder.in(submission)),
    measure('signs', work, 'a RegExp for each, one after another', () =>
      oneAfterAnother([...asWords.map((word) => `\\b${word}\\b`), ...asPatterns], text),
    ),
  ];
}
