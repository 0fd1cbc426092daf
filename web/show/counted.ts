/** How many there are of something, in words. */
export const counted = (count: number, one: string, many: string) =>
  count === 1 ? `one ${one}` : `${count.toLocaleString()} ${many}`;
