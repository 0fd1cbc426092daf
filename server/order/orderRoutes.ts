import type { Router } from 'express';
import { announceChanges } from '../bank/announceEntry';
import type { Context } from '../context';
import { bind } from '../http/bind';
import { answerInLines } from '../http/longWork';
import { alikeEntries } from './alikeEntries';
import { mergeEntries } from './mergeEntries';

/** Keeping the bank in order. */
export function orderRoutes(router: Router, context: Context): void {
  bind(router, context, 'alike', async ({ member, body, response }) => {
    await answerInLines(response, member.id, () => alikeEntries(context, member.id, body.least));
    return { progress: 1 };
  });

  bind(router, context, 'mergeEntries', async ({ member, body }) => {
    const { entry, deletion, changed } = await mergeEntries(context, member.id, body);
    await announceChanges(context, changed);
    return { entry, deletion };
  });
}
