import { labelOfDetail } from '#core/record';

const inList = (paths: readonly string[]) =>
  new Intl.ListFormat('en-GB').format(paths.map((path) => labelOfDetail(path)));

/** What became of details that were on the clipboard, by their paths. */
export interface TakenDetails {
  taken: readonly string[];
  /** Those where something else stood already. */
  stood: readonly string[];
  /** Those that this case has no place for, or in which no day could be read. */
  left: readonly string[];
}

/** What became of details, in a sentence or three. */
export function takenInWords({ taken, stood, left }: TakenDetails): string {
  const sentences = [
    taken.length > 0 ? `Filled in: ${inList(taken)}.` : 'Nothing was filled in.',
    stood.length > 0 && `Already there: ${inList(stood)}.`,
    left.length > 0 && `Not used: ${inList(left)}.`,
  ];
  return sentences.filter(Boolean).join(' ');
}
