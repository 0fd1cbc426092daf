import { and, eq } from 'drizzle-orm';
import type { Router } from 'express';
import type { Context } from '../context';
import { ignoredPhrases } from '../db';
import { bind } from '../http';
import { bindLong } from '../jobs';
import { typedAgain } from './typedAgain';

/** Phrases that are typed again and again. */
export function phraseRoutes(router: Router, context: Context): void {
  bindLong(router, context, 'typedAgain', ({ member }) => typedAgain(context, member.id));

  bind(router, context, 'ignorePhrase', async ({ member, body: { key, ignored } }) => {
    const row = { member: member.id, phrase: key };
    if (ignored) await context.db.insert(ignoredPhrases).values(row).onConflictDoNothing();
    else
      await context.db
        .delete(ignoredPhrases)
        .where(and(eq(ignoredPhrases.member, member.id), eq(ignoredPhrases.phrase, key)));
    return undefined;
  });
}
