/** Signs that are blanks already, in any of the ways people write them: nothing within one is marked again. */
const SIGN = /<[^<>]{1,60}>|\{[^{}]{1,60}\}|\[[^[\]]{1,60}\]|«[^«»]{1,60}»|%[^%\s]{1,60}%/u;

const escaped = (words: string) => words.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
/** A name as it is listed, without signs of its own. */
const bare = (name: string) => name.replace(/^[<{[«%$]+|[>}\]»%$]+$/g, '').trim();

/**
 * Words in which some names are what differs each time, each marked as a blank is: "Dear name" with "name" becomes "Dear [name]". Signs that
 * are there already stay as they are; of two names one within the other the longer is taken.
 */
export function withFieldsMarked(words: string, names: readonly string[]): string {
  const wanted = [...new Set(names.map(bare))]
    .filter((name) => name !== '')
    .sort((a, b) => b.length - a.length);
  if (wanted.length === 0) return words;
  const any = wanted.map(escaped).join('|');
  const found = new RegExp(`${SIGN.source}|(?<![\\p{L}\\p{N}])(?<name>${any})(?![\\p{L}\\p{N}])`, 'gu');
  return words.replace(found, (whole, ...rest) => {
    const { name } = rest.at(-1) as { name?: string };
    return name === undefined ? whole : `[${name}]`;
  });
}
