import { and, eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { CaseSummary } from '#contracts';
import { readFhirBundle, type ReadCase } from '#core/exchange';
import { byNeed } from '#core/work';
import type { Context } from '../context';
import { cases, casesGiven } from '../db';
import { bind, Refusal } from '../http';
import { caseHead, firstDrafts, NO_DRAFTS, readCase, toCaseSummary } from './caseAccess';
import { changeCase } from './changeCase';
import { changeRecordList, correctCase } from './correctCase';
import { findCases } from './findCases';
import { makeCase } from './makeCase';

const reasonOf = ({ record }: ReadCase) => {
  const reason = record.details.find((detail) => detail.path === 'reason')?.value;
  return reason?.kind === 'text' ? reason.text : '';
};

/** Stores a case that was read from outside and gives it to members; all or nothing. */
export async function insertCase(
  context: Context,
  read: ReadCase,
  id: string,
  givenTo: string[],
): Promise<CaseSummary> {
  const admitted = read.record.details.find((detail) => detail.path === 'admitted')?.value;
  const openedAt = admitted?.kind === 'date' ? new Date(`${admitted.date}T12:00:00Z`) : context.now();
  const row = {
    id,
    kind: 'admission' as const,
    title: read.title,
    number: read.number,
    summary: reasonOf(read),
    openedAt,
    closedAt: null,
  };
  await context.db.transaction(async (tx) => {
    await tx.insert(cases).values({ ...row, record: read.record });
    await tx.insert(casesGiven).values(givenTo.map((member) => ({ case: id, member })));
  });
  return toCaseSummary(row, NO_DRAFTS);
}

/** Cases: the desk, one case, and cases from outside. */
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

  bind(router, context, 'findCases', ({ member, body }) => findCases(context, member.id, body.words));

  bind(router, context, 'makeCase', ({ member, body }) => makeCase(context, member, body));

  bind(router, context, 'takeBundle', async ({ member, body }) => {
    const reading = readFhirBundle(body);
    if (!reading.ok) {
      const count = reading.faults.length;
      const what = count === 1 ? 'One thing is' : `${count} things are`;
      throw new Refusal(
        'not-fhir',
        `${what} wrong with this file. No case was made; mend the file and drop it again.`,
        {
          faults: reading.faults.slice(0, 100),
        },
      );
    }
    const summary = await insertCase(context, reading.read, context.newId(), [member.id]);
    await context.events.tell(member.id, { type: 'case-added', case: summary.id });
    return { case: summary, remarks: reading.remarks };
  });

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
