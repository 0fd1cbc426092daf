import { KIND_IDS, kindOf, KINDS } from '#core/work';

/** The kinds of work a list can be meant for, each with its name: those that do not reach for everything anyway. */
export const KINDS_OF_WORK: readonly (readonly [kind: string, words: string])[] = KIND_IDS.filter(
  (id) => !KINDS[id].reachesAll,
).map((id) => [id, KINDS[id].work] as const);

/** A kind of work by name; one that is not known here by what it was called. */
export const kindInWords = (kind: string): string => kindOf(kind)?.work ?? kind;

/** The kinds of work a list is for, in words. */
export const kindsInWords = (kinds: readonly string[]): string =>
  kinds.length === 0
    ? 'all work'
    : KIND_IDS.flatMap((id) => (kinds.includes(id) ? [KINDS[id].work.toLowerCase()] : [])).join(', ');
