/**
 * Words with their first letter large. Those that begin with a figure stay as they are: what stands behind it may be a
 * unit, which another case would make another one ("2 mg").
 */
export const withCapital = (words: string): string =>
  words.replace(
    /^([^\p{L}\p{N}]*)(\p{L})/u,
    (_, before: string, letter: string) => before + letter.toLocaleUpperCase(),
  );
