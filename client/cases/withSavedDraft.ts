import type { CaseSummary, DraftSummary } from '#contracts';
import { byNeed } from '#core/work';

/**
 * The cases of the desk with a draft as it was just saved, in the desk's order. So the desk stands as it will stay when one comes
 * back to it: a list that moves under the hand once the server has answered is clicked amiss.
 */
export function withSavedDraft(
  cases: readonly CaseSummary[],
  { case: of, state, savedAt, excerpt }: Pick<DraftSummary, 'case' | 'state' | 'savedAt' | 'excerpt'>,
): CaseSummary[] {
  return cases
    .map((one) => {
      if (one.id !== of) return one;
      const isFirst = one.draft === null;
      return {
        ...one,
        draft: { state, savedAt, excerpt },
        unfinished: one.unfinished + (isFirst && state === 'open' ? 1 : 0),
        finished: one.finished + (isFirst && state === 'finished' ? 1 : 0),
      };
    })
    .sort(byNeed);
}
