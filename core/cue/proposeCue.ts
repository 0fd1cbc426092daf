const SMALL_WORDS = new Set('a an and as at by for from in is of on or the to with'.split(' '));

const plain = (title: string) =>
  title
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .match(/[a-z0-9]+/g) ?? [];

function* candidates(title: string): Generator<string> {
  const all = plain(title);
  const telling = all.filter((word) => !SMALL_WORDS.has(word));
  const words = telling.length > 0 ? telling : all;
  const initials = words
    .map((word) => word[0])
    .join('')
    .slice(0, 6);
  if (words.length > 1) yield initials;
  const [first = 'x', second = ''] = words;
  yield first.slice(0, 3) + second.slice(0, 1);
  yield first.slice(0, 3) + second.slice(0, 3);
  const base = words.length > 1 ? initials : first.slice(0, 4);
  for (let number = 2; ; number += 1) yield base + number;
}

/**
 * A free cue (without lead-in) for a title: the initials of its telling words, else the starts of its first
 * words, else with a number. It neither equals nor begins nor continues a taken one, so that neither can
 * fire in the middle of the other; '' when short cues already begin everything, since a cue can wait.
 */
export function proposeCue(title: string, taken: Iterable<string>): string {
  const others = [...taken].map((cue) => cue.toLowerCase());
  const free = (cue: string) => !others.some((other) => other.startsWith(cue) || cue.startsWith(other));
  // A number can be refused by a short cue that begins everything here, so such words give way to an x.
  for (const lead of ['', 'x', 'z', 'q']) {
    let tries = 0;
    for (const cue of candidates(title)) {
      if (free(lead + cue) && cue.length > 1) return lead + cue;
      if ((tries += 1) > others.length + 5) break;
    }
  }
  return '';
}
