import { labelOfDetail } from '#core/record';
import { kindOf, KIND_IDS } from './kinds';

/** Of all kinds together so many are told, and of some. */
const MOST_TOLD = 10;
const MOST_OF_KIND = 24;

/** The details that the cases of these kinds of work are asked for or work out, each once; of all kinds where none is named, the first few. */
export function detailsOf(kinds: readonly string[]): { path: string; label: string }[] {
  const all = (kinds.length > 0 ? kinds : KIND_IDS).flatMap((id) => {
    const kind = kindOf(id);
    return [...(kind?.details ?? []), ...(kinds.length > 0 ? (kind?.worksOut ?? []) : [])];
  });
  const paths = [...new Set<string>(all)].slice(0, kinds.length > 0 ? MOST_OF_KIND : MOST_TOLD);
  return paths.map((path) => ({ path, label: labelOfDetail(path) }));
}
