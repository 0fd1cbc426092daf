/** The beginning of a text, of so many UTF-16 code units at the most: never with half a sign at its end, which a store refuses. */
export const cutTo = (text: string, length: number): string =>
  text.slice(0, length).replace(/[\uD800-\uDBFF]$/, '');
