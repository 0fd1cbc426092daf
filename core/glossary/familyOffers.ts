import type { Families } from './families';
import { folded } from './keys';
import type { Offer } from './offer';

/** Stands for a glossary where a term is of the small words that come along with a language. */
export const SMALL_WORDS = 'small-words';

/** Families that are in reach, and how often this person has used which of them, by its words folded. */
export interface FamilySource {
  id: string;
  families: Families;
  times: ReadonlyMap<string, number>;
}

/** The first letters of a family are a word by themselves; nothing else stands close before them. */
const LETTERS = /(?:^|[\s(“‘"'—–])(\p{L}{2,6})$/u;

/** What is offered of the families whose first letters stand last in a line: what one uses oneself first, then the usual. */
export function familyOffers(line: string, sources: readonly FamilySource[]): Offer[] {
  const letters = LETTERS.exec(line)?.[1];
  if (!letters) return [];
  const offers = sources.flatMap(({ id, families, times }) =>
    families.of(letters).map(({ text }): Offer => ({
      kind: 'term',
      text,
      list: id,
      by: 'family',
      from: line.length - letters.length,
      times: times.get(folded(text)) ?? 0,
      readBack: null,
    })),
  );
  return offers.sort((a, b) => b.times - a.times);
}

/** So many of what else is found stand before a family, and so many of it among that. */
const BEFORE = 3;
const AMONG = 3;

/**
 * Offers with those of a family put among them: first where nothing begins as its letters do; behind the first few where words do;
 * those that one uses oneself before what one uses less; and where the letters are a word as they are, last and only those.
 */
export function withFamilies(offers: readonly Offer[], family: readonly Offer[], isWord: boolean): Offer[] {
  const cues = offers.filter(({ by }) => by === 'cue');
  const others = offers.filter(({ by }) => by !== 'cue');
  if (family.length === 0) return [...offers];
  if (isWord) return [...cues, ...others, ...family.filter(({ times }) => times > 0)];
  const begun = others.filter(({ by }) => by === 'beginning' || by === 'initials').length;
  if (begun === 0) return [...cues, ...family, ...others];
  const own = family.filter(({ times }) => times > 0 && times >= others[0]!.times);
  const among = family.filter((one) => !own.includes(one)).slice(0, AMONG);
  return [...cues, ...own, ...others.slice(0, BEFORE), ...among, ...others.slice(BEFORE)];
}
