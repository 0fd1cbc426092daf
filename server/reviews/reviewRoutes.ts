import type { Router } from 'express';
import type { Context } from '../context';
import { bind } from '../http';
import { bindLong } from '../jobs';
import { ageing, giveReview, reviewsFor } from './reviews';

/** What grows old, and when entries are looked at again. */
export function reviewRoutes(router: Router, context: Context): void {
  bindLong(router, context, 'ageing', ({ member }) => ageing(context, member.id));

  bind(router, context, 'reviews', async ({ member }) => ({
    reviews: await reviewsFor(context.db, member.id),
  }));

  bind(router, context, 'giveReview', async ({ member, body }) => {
    await giveReview(context, member.id, body);
    return undefined;
  });
}
