import type { Router } from 'express';
import type { Context } from '../context';
import { KindIdSchema } from '#core/work';
import { bind, notFound } from '../http';
import { placedBy, usageOf } from './usageOf';
import { usualOf } from './usual';

/** What is used, and what it saves. */
export function usageRoutes(router: Router, context: Context): void {
  bind(router, context, 'usage', ({ member }) => usageOf(context.db, member.id));

  bind(router, context, 'placed', ({ member }) => placedBy(context.db, member.id));

  bind(router, context, 'usual', ({ member, params }) => {
    const kind = KindIdSchema.safeParse(params.kind);
    if (!kind.success) throw notFound();
    return usualOf(context.db, member.id, kind.data);
  });
}
