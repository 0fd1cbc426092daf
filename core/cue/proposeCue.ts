import { SHORT_WORDS } from './shortWords';

const SMALL_WORDS = new Set('a an and as at by for from in is of on or the to with'.split(' '));

const plain = (title: string) =>
  title
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .match(/[a-z0-9]+/g) ?? [];

/** The rules by which cues can be made of a title, so that they can be worked out instead of memorised. */
export const CUE_MAKING = ['initials', 'consonants', 'topic'] as const;
/** A rule by which cues are proposed. */
export type CueMaking = (typeof CUE_MAKING)[number];
/** The rule of a collection that has set none. */
export const DEFAULT_CUE_MAKING: CueMaking = 'initials';

/** "hedgehog": "hdgh": the first letter and the consonants that follow, four letters in all. */
const consonants = (word: string) => (word.charAt(0) + word.slice(1).replace(/[aeiou]/g, '')).slice(0, 4);

/** What a rule makes of a title's telling words, the first choice first; then it is numbered. */
function* made(words: readonly string[], by: CueMaking): Generator<string> {
  const [first = 'x'] = words;
  if (by === 'topic') {
    for (let number = 1; ; number += 1) yield first.slice(0, 3) + number;
  }
  const base =
    by === 'consonants'
      ? consonants(first)
      : words
          .map((word) => word[0])
          .join('')
          .slice(0, 6);
  yield base;
  if (by === 'consonants' && words.length > 1) yield base + words[1]!.charAt(0);
}

function* candidates(title: string, by: CueMaking): Generator<string> {
  const all = plain(title);
  const telling = all.filter((word) => !SMALL_WORDS.has(word));
  const words = telling.length > 0 ? telling : all;
  if (by !== 'initials') yield* made(words, by);
  const [initials = ''] = made(words, 'initials');
  if (words.length > 1) yield initials;
  const [first = 'x', second = ''] = words;
  yield first.slice(0, 3) + second.slice(0, 1);
  yield first.slice(0, 3) + second.slice(0, 3);
  const base = words.length > 1 ? initials : first.slice(0, 4);
  for (let number = 2; ; number += 1) yield base + number;
}

const never = () => false;

/**
 * A free cue (without lead-in) for a title, by a rule: the initials of its telling words, else the starts of its first
 * words, else with a number; a word's consonants; or the beginning of its topic and a number. It neither equals nor begins nor continues a taken one, so that neither can
 * fire in the middle of the other; nor is it a word, as the small ones of English are and those that `isWord` knows (asked in
 * small letters). '' when short cues already begin everything, since a cue can wait.
 */
export function proposeCue(
  title: string,
  taken: Iterable<string>,
  by: CueMaking = DEFAULT_CUE_MAKING,
  isWord: (cue: string) => boolean = never,
): string {
  const others = [...taken].map((cue) => cue.toLowerCase());
  const free = (cue: string) => !others.some((other) => other.startsWith(cue) || cue.startsWith(other));
  // A number can be refused by a short cue that begins everything here, so such words give way to an x.
  for (const lead of ['', 'x', 'z', 'q']) {
    let tries = 0;
    for (const cue of candidates(title, by)) {
      const whole = lead + cue;
      if (free(whole) && cue.length > 1 && !SHORT_WORDS.has(whole) && !isWord(whole)) return whole;
      if ((tries += 1) > others.length + 5) break;
    }
  }
  return '';
}
