/** An id made of a name: its letters and digits in lower case, another number behind it where it is taken. */
export function freeId(name: string, taken: ReadonlySet<string>): string {
  const plain = name.normalize('NFKD').replace(/\p{M}/gu, '').toLowerCase();
  const stem =
    plain
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '')
      .slice(0, 50) || 'f';
  let free = stem;
  for (let number = 2; taken.has(free); number += 1) free = `${stem}-${number}`;
  return free;
}
