import { useNavigate } from 'react-router';
import type { CaseSubmission } from '#contracts';
import { wordsInSubmission } from '#core/submission';
import type { Action } from '../../shell';
import type { AssignmentWork } from '#core/work';
import { lengthInWords } from './assignment/lengthInWords';
import { useAssignment } from './assignment/useAssignment';

/** Where a submission stands among those of its assignment. */
export interface Among {
  id: string;
  title: string;
  at: number;
  count: number;
  /** The cases before and behind it, and the first that is not finished; null where there is none. */
  before: string | null;
  next: string | null;
  unfinished: string | null;
  /** How its length stands to the limits; '' where it is within them. */
  off: string;
  limits: AssignmentWork['limits'];
  criteria: AssignmentWork['criteria'];
}

/** Where a submission stands among those of its assignment; null for one on its own. */
export function useAmong(of: string, handed: CaseSubmission | null | undefined): Among | null {
  const found = useAssignment(handed?.assignment ?? null).data;
  if (!found || !handed) return null;
  const { id, title, submissions, limits, criteria } = found;
  const at = submissions.findIndex((one) => one.case === of);
  const unfinished = [...submissions.slice(at + 1), ...submissions.slice(0, Math.max(0, at))].find(
    ({ state }) => state !== 'finished',
  );
  return {
    ...{ id, title, at, count: submissions.length, limits, criteria },
    before: submissions[at - 1]?.case ?? null,
    next: submissions[at + 1]?.case ?? null,
    unfinished: unfinished?.case ?? null,
    off: lengthInWords(wordsInSubmission(handed.submission), limits),
  };
}

/** Ways from a submission to the others of its assignment, for the look-up and by keys. */
export function useWaysAmong(among: Among | null, say: (words: string) => void): Action[] {
  const navigate = useNavigate();
  if (!among) return [];
  const go = (to: string | null, otherwise: string) => (to ? void navigate(`/cases/${to}`) : say(otherwise));
  return [
    { label: 'Next submission', key: 'Alt + V', run: () => go(among.next, 'That was the last submission.') },
    { label: 'Submission before', run: () => go(among.before, 'That was the first submission.') },
    { label: 'Next unfinished submission', run: () => go(among.unfinished, 'All others are finished.') },
    { label: 'Open the assignment', run: () => void navigate(`/assignments/${among.id}`) },
  ];
}
