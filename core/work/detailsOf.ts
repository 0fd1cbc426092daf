import { labelOfDetail } from '#core/record';
import { kindOf, KIND_IDS } from './kinds';

/** Of all kinds together so many are told. */
const MOST_TOLD = 10;

/** The details that the cases of these kinds of work are asked for, each once; of all kinds where none is named, the first few. */
export function detailsOf(kinds: readonly string[]): { path: string; label: string }[] {
  const all = (kinds.length > 0 ? kinds : KIND_IDS).flatMap((id) => kindOf(id)?.details ?? []);
  const paths = [...new Set<string>(all)].slice(0, MOST_TOLD);
  return paths.map((path) => ({ path, label: labelOfDetail(path) }));
}
