import { and, eq } from 'drizzle-orm';
import type { Router } from 'express';
import { announceChanges } from '../bank/announceEntry';
import type { Context } from '../context';
import { ignoredPhrases } from '../db/schema';
import { bind, bindLong } from '../http/bind';
import { alikeEntries } from './alikeEntries';
import { keptEntry, visibleEntry } from '../bank/rights';
import { allowDetail, allowedWords, personalInBank } from './personalInBank';
import { knownTo } from './particulars';
import { mergeEntries } from './mergeEntries';
import { dropHouseWord, houseWordsFor, keepHouseWord, saidOtherwise } from './houseWords';
import { practise, practisedBy } from './practice';
import { ageing, giveReview, reviewsFor } from './reviews';
import { rewordedInDrafts } from './rewordedInDrafts';
import { sharedEnds } from './sharedEnds';
import { termInBank } from './termInBank';
import { typedAgain } from './typedAgain';
import { placedBy, usageOf } from './usageOf';

/** Keeping the bank in order. */
export function orderRoutes(router: Router, context: Context): void {
  bindLong(router, context, 'alike', ({ member, body }) => alikeEntries(context, member.id, body.least));

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

  bindLong(router, context, 'personalInBank', ({ member }) => personalInBank(context, member.id));

  bindLong(router, context, 'rewordedInDrafts', ({ member }) => rewordedInDrafts(context, member.id));

  bindLong(router, context, 'sharedEnds', ({ member }) => sharedEnds(context, member.id));

  bindLong(router, context, 'termInBank', ({ member, body }) => termInBank(context, member.id, body));

  bind(router, context, 'houseWords', ({ member }) => houseWordsFor(context.db, member.id));

  bind(router, context, 'makeHouseWord', ({ member, body }) => keepHouseWord(context, member.id, body));

  bind(router, context, 'saveHouseWord', ({ member, body, params }) =>
    keepHouseWord(context, member.id, body, params.word),
  );

  bind(router, context, 'dropHouseWord', async ({ member, params }) => {
    await dropHouseWord(context, member.id, params.word);
    return undefined;
  });

  bindLong(router, context, 'saidOtherwise', ({ member }) => saidOtherwise(context, member.id));

  bindLong(router, context, 'ageing', ({ member }) => ageing(context, member.id));

  bind(router, context, 'reviews', async ({ member }) => ({
    reviews: await reviewsFor(context.db, member.id),
  }));

  bind(router, context, 'giveReview', async ({ member, body }) => {
    await giveReview(context, member.id, body);
    return undefined;
  });

  bind(router, context, 'usage', ({ member }) => usageOf(context.db, member.id));

  bind(router, context, 'practised', ({ member }) => practisedBy(context.db, member.id));

  bind(router, context, 'practise', ({ member, body }) => practise(context.db, member.id, body));

  bind(router, context, 'placed', ({ member }) => placedBy(context.db, member.id));

  bind(router, context, 'knownNames', async ({ member }) => {
    const { names, numbers } = await knownTo(context, member.id);
    return { names: [...names], numbers: [...numbers] };
  });

  bind(router, context, 'allowedDetails', async ({ member, params }) => {
    const { id } = await visibleEntry(context.db, member.id, params.entry);
    return { words: await allowedWords(context.db, id) };
  });

  bind(router, context, 'allowDetail', async ({ member, params, body: { words, why } }) => {
    const { id } = await keptEntry(context.db, member.id, params.entry);
    await allowDetail(context, member.id, { entry: id, words, why });
    return undefined;
  });

  bind(router, context, 'mergeEntries', async ({ member, body }) => {
    const { entry, deletion, changed } = await mergeEntries(context, member.id, body);
    await announceChanges(context, changed);
    return { entry, deletion };
  });
}
