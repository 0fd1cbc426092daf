import { useMemo, useRef } from 'react';
import type { CaseSubmission, SummingUp } from '#contracts';
import { wordsInSubmission } from '#core/submission';
import { summingUpDetails, type Criterion } from '#core/work';
import type { LeafWithMaterial } from '../../leaf';
import type { Among } from './useAmong';
import { useSummingUp } from './useSummingUp';
import { useTally } from './useTally';

const NO_CRITERIA: readonly Criterion[] = [];

/** What the comments on a submission come to, told to its summing-up; and whether finishing waits for a level. */
export function useJudged(
  { editor, open, say, tellDetails }: LeafWithMaterial,
  handed: CaseSubmission | null,
  among: Among | null,
  earlier: readonly SummingUp[],
) {
  const criteria = among?.criteria ?? NO_CRITERIA;
  const limits = among?.limits ?? null;
  const tally = useTally(editor, criteria);
  const last = earlier[0]?.text ?? null;
  const details = useMemo(
    () =>
      handed ? summingUpDetails(handed.name, wordsInSubmission(handed.submission), limits, tally, last) : [],
    [handed, limits, tally, last],
  );
  useSummingUp(editor, details, open, tellDetails);
  // Said once of one criterion: who then finishes all the same means it.
  const told = useRef<string | null>(null);
  const holdsFinish = () => {
    const lacking = tally.criteria.find(({ criterion, level }) => criterion?.levels.length && !level);
    if (!handed || !lacking || told.current === lacking.name) return false;
    told.current = lacking.name;
    document.querySelector<HTMLElement>(`[data-level="${CSS.escape(lacking.criterion!.id)}"]`)?.focus();
    say(`${lacking.name} has no level yet. Choose one, or press F9 again to finish without.`);
    return true;
  };
  return { tally, holdsFinish };
}
