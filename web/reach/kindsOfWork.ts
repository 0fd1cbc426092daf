/** The kinds of work a list can be in reach for, as people call them. */
export const KINDS_OF_WORK: readonly (readonly [kind: string, words: string])[] = [
  ['admission', 'Ward notes'],
  ['feedback', 'Feedback on reports'],
  ['transcript', 'Transcripts'],
  ['reply', 'Replies'],
];

/** The kinds of work a list is for, in words. */
export const kindsInWords = (kinds: readonly string[]): string =>
  kinds.length === 0
    ? 'all work'
    : KINDS_OF_WORK.flatMap(([kind, words]) => (kinds.includes(kind) ? [words.toLowerCase()] : [])).join(
        ', ',
      );
