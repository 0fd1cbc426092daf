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

  const told = async <T>(kept: T): Promise<T> => {
    await context.events.tellAll({ type: 'house-words-changed' });
    return kept;
  };

  bind(router, context, 'makeHouseWord', async ({ member, body }) =>
    told(await keepHouseWord(context, member.id, body)),
  );

  bind(router, context, 'saveHouseWord', async ({ member, body, params }) =>
    told(await keepHouseWord(context, member.id, body, params.word)),
  );

  bind(router, context, 'dropHouseWord', async ({ member, params }) => {
    await dropHouseWord(context, member.id, params.word);
    return told(undefined);
  });

  bindLong(router, context, 'saidOtherwise', ({ member }) => saidOtherwise(context, member.id));
}
