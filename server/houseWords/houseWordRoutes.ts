import type { Router } from 'express';
import type { Context } from '../context';
import { bind } from '../http';
import { bindLong } from '../jobs';
import { dropHouseWord, houseWordsFor, keepHouseWord, saidOtherwise } from './houseWords';
import { termInBank } from './termInBank';

/** The words of the house style, and a term everywhere. */
export function houseWordRoutes(router: Router, context: Context): void {
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
}
