import { and, desc, eq, sql } from 'drizzle-orm';
import type { SaidBefore } from '#contracts';
import { casesGiven, trayLines, type Queries } from '../../db';

/** So many answers are told at the most: those given most often, and of these the last. */
const MOST_TOLD = 1000;

/** What was answered in the names of files of trays that a member has: each once for its field, the most frequent first. */
export async function saidBefore(db: Queries, member: string): Promise<SaidBefore[]> {
  const answers = db
    .select({
      field: sql<string>`answer.key`.as('field'),
      words: sql<string>`answer.value`.as('words'),
      namedAt: trayLines.namedAt,
    })
    .from(trayLines)
    .innerJoin(casesGiven, and(eq(casesGiven.case, trayLines.case), eq(casesGiven.member, member)))
    .innerJoin(sql`jsonb_each_text(${trayLines.said}) as answer`, sql`true`)
    .where(sql`${trayLines.namedAt} is not null`)
    .as('answers');
  const times = sql<number>`count(*)::int`;
  return db
    .select({ field: answers.field, words: answers.words, times })
    .from(answers)
    .groupBy(answers.field, answers.words)
    .orderBy(desc(times), desc(sql`max(${answers.namedAt})`))
    .limit(MOST_TOLD);
}
