import type { Assignment } from '#contracts';
import type { CaseGroup } from '../../caseGroup';

/** Assignments as the desk shows them: the submissions of each in one line. */
export const caseGroups = (assignments: readonly Assignment[]): CaseGroup[] =>
  assignments.map(({ id, title, submissions }) => ({
    ...{ id, title, to: `/assignments/${id}`, open: 'Open the assignment' },
    cases: submissions.map((one) => one.case),
  }));
