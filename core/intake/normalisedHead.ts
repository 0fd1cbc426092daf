/** A head of a column in the form in which heads are compared: small letters without accents, words alone, parted by one space. */
export const normalisedHead = (head: string): string =>
  head
    .replace(/([\p{Ll}\d])(\p{Lu})/gu, '$1 $2')
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();
