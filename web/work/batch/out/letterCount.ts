/** How many letters, in words. */
export const letterCount = (count: number): string =>
  count === 1 ? 'one letter' : `${count.toLocaleString()} letters`;
