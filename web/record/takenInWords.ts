import { DETAILS } from '#core/record';

const LABELS = new Map<string, string>(DETAILS.map(({ path, label }) => [path, label]));
const inList = (paths: readonly string[]) =>
  new Intl.ListFormat('en-GB').format(paths.map((path) => LABELS.get(path) ?? path));

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
    taken.length > 0 ? `Taken: ${inList(taken)}.` : 'Nothing was taken.',
    stood.length > 0 && `What stood there already was kept: ${inList(stood)}.`,
    left.length > 0 && `Left out: ${inList(left)}.`,
  ];
  return sentences.filter(Boolean).join(' ');
}
