/** Parts of a question of PostgreSQL's text search (tsquery). */

/** A word as it is, whatever signs it has. */
export const quotedWord = (word: string) => `'${word.replace(/['\\]/g, (sign) => sign + sign)}'`;

/** Whatever has one of them. */
export const anyOf = (terms: readonly string[]) => `(${terms.join(' | ')})`;
