import { blankLabel, mapLines, plainText, type Inline, type Passage } from '#core/passage';

/** An entry as it is read outside the bank: its wording with everything that is within it. */
export interface BankRow {
  /** The names of the collections it is in, from the outermost in. */
  path: readonly string[];
  /** What is typed to bring it, with its lead-in; '' for none. */
  cue: string;
  title: string;
  purpose: string;
  tags: readonly string[];
  passage: Passage;
  /** What a field of its blanks is called. */
  nameOf: (field: string) => string;
}

/** What is worked out where a wording is placed, and has no words before. */
const NAMES = { timeCode: 'time', number: 'number', reference: 'number' } as const;

/** A passage as it is read outside the bank: each blank in brackets as the name of its field or the form it has, without signs of the bank's own. */
export function readable(passage: Passage, nameOf: (field: string) => string): Passage {
  return mapLines(passage, (line) =>
    line.flatMap((inline): Inline[] => {
      if (inline.type === 'text' || inline.type === 'hardBreak') return [inline];
      const name =
        inline.type === 'blank'
          ? blankLabel(nameOf(inline.attrs.field), inline.attrs.form)
          : NAMES[inline.type as keyof typeof NAMES];
      if (name === undefined) return [];
      return [{ type: 'text', text: `[${name}]`, ...(inline.marks ? { marks: inline.marks } : {}) }];
    }),
  );
}

/** The wording of a row in plain words. */
export const wordsOfRow = ({ passage, nameOf }: Pick<BankRow, 'passage' | 'nameOf'>): string =>
  plainText(readable(passage, nameOf));

/** What the columns of a table of entries are called. */
export const TABLE_HEADS: readonly string[] = [
  'Collection',
  'Cue',
  'Title',
  'Wording',
  'When to use it',
  'Tags',
];

/** A cell that no spreadsheet computes with: one that begins with a sign of a formula gets an apostrophe before it. */
export const safeCell = (text: string): string => (/^[=+\-@\t\r]./s.test(text) ? `'${text}` : text);
