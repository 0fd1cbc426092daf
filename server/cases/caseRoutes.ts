import { and, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { byNeed } from '#core/work';
import type { Context } from '../context';
import { cases, casesGiven, type Queries } from '../db';
import { bind } from '../http';
import { caseHead, firstDrafts, NO_DRAFTS, readCase, toCaseSummary } from './caseAccess';
import { changeCase } from './changeCase';
import { changeRecordList, correctCase } from './correctCase';
import { findCases } from './findCases';
import { makeCase } from './makeCase';
import { newerWordings } from './newerWordings';

/** Stores a case and gives it to members, within a transaction of the caller's. */
export async function insertCase(
  tx: Queries,
  row: Omit<typeof cases.$inferInsert, 'closedAt'> & { number: string | null },
  givenTo: readonly string[],
): Promise<void> {
  await tx.insert(cases).values(row);
  await tx.insert(casesGiven).values(givenTo.map((member) => ({ case: row.id, member })));
}

/** Cases: the desk, one case, and cases begun by hand. */
export function caseRoutes(router: Router, context: Context): void {
  const { db } = context;

  bind(router, context, 'cases', async ({ member }) => {
    const heads = await db
      .select(caseHead)
      .from(cases)
      .innerJoin(casesGiven, and(eq(casesGiven.case, cases.id), eq(casesGiven.member, member.id)));
    const first = await firstDrafts(db, member.id);
    return heads.map((head) => toCaseSummary(head, first.get(head.id) ?? NO_DRAFTS)).sort(byNeed);
  });

  bind(router, context, 'newerWordings', ({ member }) => newerWordings(db, member.id));

  bind(router, context, 'findCases', ({ member, body }) => findCases(context, member.id, body.words));

  bind(router, context, 'makeCase', ({ member, body }) => makeCase(context, member, body));

  bind(router, context, 'changeCase', ({ member, params, body }) =>
    changeCase(context, member, params.case, body),
  );

  bind(router, context, 'correctRecord', ({ member, params, body }) =>
    correctCase(context, member, params.case, body),
  );

  bind(router, context, 'changeRecordList', ({ member, params, body }) =>
    changeRecordList(context, member, params.case, body),
  );

  bind(router, context, 'case', ({ member, params }) => readCase(db, member.id, params.case));
}
