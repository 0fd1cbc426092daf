import type { Router } from 'express';
import { keptEntry, visibleEntry } from '../bank';
import type { Context } from '../context';
import { bind } from '../http';
import { bindLong } from '../jobs';
import { knownTo } from './particulars';
import { allowDetail, allowedWords, personalInBank } from './personalInBank';

/** Somebody's details in shared wording. */
export function personalRoutes(router: Router, context: Context): void {
  bindLong(router, context, 'personalInBank', ({ member }) => personalInBank(context, member.id));

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
}
