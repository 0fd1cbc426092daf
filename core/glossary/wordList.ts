import { z } from 'zod';
import { memberCount, MOST_MEMBERS } from './families';

/** A term of a glossary as it is kept and exchanged. */
export const TermSchema = z.object({
  text: z
    .string()
    .trim()
    .min(1, 'a term needs a word')
    .max(120, 'a term may have 120 characters at the most')
    .regex(/^[^\t\n\r]*$/, 'a term is one line, without tabs')
    .regex(/^[^#]/, 'a term does not begin with #')
    .refine((text) => memberCount(text) <= MOST_MEMBERS, `a family has ${MOST_MEMBERS} members at the most`),
  /** Typed to bring it; '' for none. */
  cue: z
    .string()
    .max(40, 'a cue may have 40 characters at the most')
    .regex(/^\S*$/, 'the cue of a term has no spaces'),
  weight: z.number().int('a rank is a whole number').min(0).max(1000, 'a rank is from 0 to 1000'),
  /** Read back before the term stands; '' for nothing. */
  note: z
    .string()
    .trim()
    .max(200, 'a note may have 200 characters at the most')
    .regex(/^[^\t\n\r]*$/, 'a note is one line, without tabs'),
});
export type Term = z.infer<typeof TermSchema>;

/** What is wrong with a line of a word list. */
export interface WordListFault {
  /** Counted from 1. */
  line: number;
  message: string;
}

/** A new term, as usual as most. */
export const newTerm = (text: string): Term => ({ text, cue: '', weight: 1, note: '' });

/** What a word list says: its terms, and the lines that cannot be read. */
export interface WordList {
  terms: Term[];
  faults: WordListFault[];
}

const LINES_AT_ONCE = 500;

/**
 * Reads a word list: one term a line, or term, cue, weight and note parted by tabs, the last three as wanted. Empty
 * lines and lines that begin with # are passed over; of a term that comes twice, the last counts. Lines that cannot
 * be read are told, and the others are taken all the same. In steps of some hundred lines, so that whoever reads a long
 * list can do other things between them.
 */
export function* readingWordList(text: string): Generator<void, WordList> {
  const terms = new Map<string, Term>();
  const faults: WordListFault[] = [];
  for (const [at, row] of text
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .entries()) {
    if (at % LINES_AT_ONCE === LINES_AT_ONCE - 1) yield;
    if (row.trim() === '' || row.startsWith('#')) continue;
    const [term = '', cue = '', weight = '', note = ''] = row.split('\t');
    const read = TermSchema.safeParse({
      text: term,
      cue: cue.trim(),
      weight: weight.trim() === '' ? 1 : Number(weight),
      note,
    });
    if (read.success) terms.set(read.data.text, read.data);
    else faults.push({ line: at + 1, message: wordsOf(read.error) });
  }
  return { terms: [...terms.values()], faults };
}

/** Reads a word list as `readingWordList` does, at once. */
export function readWordList(text: string): WordList {
  const steps = readingWordList(text);
  for (;;) {
    const { done, value } = steps.next();
    if (done) return value;
  }
}

const wordsOf = (error: z.ZodError) =>
  error.issues[0]!.path[0] === 'weight'
    ? 'a rank is a whole number from 0 to 1000'
    : error.issues[0]!.message;

/** Writes a word list, as `readWordList` reads it: columns that say nothing are left out. */
export function writeWordList(terms: readonly Term[]): string {
  return terms
    .map(({ text, cue, weight, note }) => {
      const columns = [text, cue, weight === 1 ? '' : String(weight), note];
      while (columns.at(-1) === '') columns.pop();
      return `${columns.join('\t')}\n`;
    })
    .join('');
}
