import type { PersonOfClass } from './assignment';

/** Whose a file is: somebody's for sure, or likely one of some; nobody's it could be told of where the list is empty. */
export interface WhoseFile {
  sure: boolean;
  /** Names of people of the class, the likeliest first. */
  likely: readonly string[];
}

/** The words of a text without accents and capitals, as names in file names are compared. */
const wordsOf = (text: string): string[] =>
  text
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .split(/[^\p{L}\p{N}]+/u)
    .filter((word) => word !== '');

/** File names run words together: "TomosHale" is two. */
const parted = (name: string): string =>
  name.replace(/(\p{Ll})(\p{Lu})/gu, '$1 $2').replace(/\.[^.]{1,8}$/, '');

const hasAll = (words: ReadonlySet<string>, wanted: readonly string[]) =>
  wanted.length > 0 && wanted.every((word) => words.has(word));

/** So many words of a text are its first page, as far as a name is looked for there. */
const FIRST_PAGE = 120;

/**
 * Whose a file is, by its name, else by what stands on its first page: somebody for sure where all words of one person's name, or
 * their number, are there, and of nobody else. Where only the family name is, or several people are meant, they are likely.
 */
export function whoseFile(fileName: string, text: string, people: readonly PersonOfClass[]): WhoseFile {
  const inName = new Set(wordsOf(parted(fileName)));
  const inText = new Set(wordsOf(text).slice(0, FIRST_PAGE));
  for (const words of [inName, inText]) {
    const whole = people.filter(
      ({ name, number }) => hasAll(words, wordsOf(name)) || (number !== '' && hasAll(words, wordsOf(number))),
    );
    // "Ann Lee" is within "Mary Ann Lee": the one whose name says most is meant.
    const most = Math.max(0, ...whole.map(({ name }) => wordsOf(name).length));
    const found = whole.filter(({ name }) => wordsOf(name).length === most).map(({ name }) => name);
    if (found.length === 1) return { sure: true, likely: found };
    if (found.length > 1) return { sure: false, likely: found };
  }
  const near = people.filter(({ name }) => inName.has(wordsOf(name).at(-1) ?? '')).map(({ name }) => name);
  return { sure: false, likely: near };
}

/** What a person may be called whose file it is, where no class is known: the name of the file without its ending and its signs. */
export const nameFromFile = (fileName: string): string =>
  parted(fileName)
    .replace(/[_\-.]+/g, ' ')
    .replace(/\s+/g, ' ')
    .trim()
    .slice(0, 200);

/** People of a class from lines or a table that was pasted: a name each, and behind a tab, comma or semicolon their number. */
export function peopleFromLines(lines: string): PersonOfClass[] {
  const seen = new Set<string>();
  return lines.split(/\r?\n/).flatMap((line) => {
    const [name = '', number = ''] = line.split(/[\t;,]/).map((part) => part.trim());
    if (name === '' || seen.has(name)) return [];
    seen.add(name);
    return [{ name: name.slice(0, 200), number: number.slice(0, 60) }];
  });
}
