import type { Router } from 'express';
import type { Context } from '../../context';
import { bind } from '../../http';
import { assign, assignment, assignmentsOf, changeAssignment, makeAssignment } from './assignments';
import { classCounts } from './classCounts';
import { earlierSummingsUp } from './earlierSummingsUp';
import { handIn, othersComments, submissionOf } from './submissions';

/** Submissions, the comments of colleagues on them, and the assignments they belong to. */
export function feedbackRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'handIn', ({ member, params, body }) =>
    handIn(context, member.id, params.case, body),
  );

  bind(router, context, 'submission', ({ member, params }) => submissionOf(db, member.id, params.case));

  bind(router, context, 'othersComments', ({ member, params }) => othersComments(db, member.id, params.case));

  bind(router, context, 'earlierSummingsUp', ({ member, params }) =>
    earlierSummingsUp(db, member.id, params.case),
  );

  bind(router, context, 'assignments', ({ member }) => assignmentsOf(db, member.id));

  bind(router, context, 'makeAssignment', ({ member, body }) => makeAssignment(context, member.id, body));

  bind(router, context, 'assignment', ({ member, params }) => assignment(db, member.id, params.assignment));

  bind(router, context, 'classCounts', ({ member, params }) => classCounts(db, member.id, params.assignment));

  bind(router, context, 'changeAssignment', ({ member, params, body, version }) =>
    changeAssignment(context, member.id, params.assignment, version, body),
  );

  bind(router, context, 'assign', ({ member, params, body }) =>
    assign(context, member.id, params.assignment, body),
  );
}
