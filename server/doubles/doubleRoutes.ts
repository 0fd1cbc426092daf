import type { Router } from 'express';
import { announceChanges } from '../bank';
import type { Context } from '../context';
import { bind } from '../http';
import { bindLong } from '../jobs';
import { alikeEntries } from './alikeEntries';
import { mergeEntries } from './mergeEntries';
import { sharedEnds } from './sharedEnds';

/** Entries that say the same: told of, and made one. */
export function doubleRoutes(router: Router, context: Context): void {
  bindLong(router, context, 'alike', ({ member, body }) => alikeEntries(context, member.id, body.least));

  bindLong(router, context, 'sharedEnds', ({ member }) => sharedEnds(context, member.id));

  bind(router, context, 'mergeEntries', async ({ member, body }) => {
    const { entry, deletion, changed } = await mergeEntries(context, member.id, body);
    await announceChanges(context, changed);
    return { entry, deletion };
  });
}
