import { z } from 'zod';

/** How words become the name of a file. */
export const NamingStyleSchema = z.object({
  // What a space within a name becomes.
  spaces: z.enum(['kept', 'hyphens', 'underscores']),
  capitals: z.enum(['kept', 'lower']),
  // Plain: letters without accents, for what sorts or sends names by old rules.
  accents: z.enum(['kept', 'plain']),
});
export type NamingStyle = z.infer<typeof NamingStyleSchema>;

/** Names as they are typed. */
export const AS_TYPED: NamingStyle = { spaces: 'kept', capitals: 'kept', accents: 'kept' };

/** Endings that belong together: what is packed keeps the ending of what is within. */
const DOUBLE = /\.tar\.(gz|bz2|xz|zst)$/i;
const ENDING = /\.[^.\s]{1,12}$/;

/** The name of a file in two: what people read, and its ending with the dot; a name that begins with its only dot has no ending. */
export function splitName(name: string): { stem: string; ending: string } {
  const ending = (DOUBLE.exec(name) ?? ENDING.exec(name))?.[0] ?? '';
  return ending === '' || ending.length === name.length
    ? { stem: name, ending: '' }
    : { stem: name.slice(0, -ending.length), ending };
}

/** Letters that no decomposition of Unicode makes plain. */
const PLAIN: Record<string, string> = {
  ...{ ß: 'ss', æ: 'ae', Æ: 'Ae', œ: 'oe', Œ: 'Oe', ø: 'o', Ø: 'O', ł: 'l', Ł: 'L' },
  ...{ đ: 'd', Đ: 'D', ð: 'd', Ð: 'D', þ: 'th', Þ: 'Th', ı: 'i', '’': "'", '‘': "'", '–': '-', '—': '-' },
};

const withoutAccents = (words: string): string =>
  words
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\u0000-\u007F]/gu, (letter) => PLAIN[letter] ?? letter);

const SPACES: Record<NamingStyle['spaces'], string> = { kept: ' ', hyphens: '-', underscores: '_' };

/**
 * The stem of a file's name from words: one line, without spaces at its ends or in rows, in the form of Unicode that all systems
 * take alike (NFC), in a style. Characters that a system forbids stay: they are told, not lost (`nameFaults`).
 */
export function stemOf(words: string, { spaces, capitals, accents }: NamingStyle): string {
  const line = words.replace(/[\s\u00A0]+/gu, ' ').trim();
  const plain = accents === 'plain' ? withoutAccents(line) : line.normalize('NFC');
  const cased = capitals === 'lower' ? plain.toLowerCase() : plain;
  if (spaces === 'kept') return cased;
  // A dash between spaces joins as it is: "May - June" is no "May---June".
  return cased.replace(/ *([-_]) +| +([-_]) */g, '$1$2').replaceAll(' ', SPACES[spaces]);
}

/** What joins two pieces of a name in a style. */
export const joinerOf = ({ spaces }: NamingStyle): string => SPACES[spaces];
