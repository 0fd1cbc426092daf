import type { Router } from 'express';
import type { Context } from '../context';
import { bind } from '../http';
import { placedBy, usageOf } from './usageOf';

/** What is used, and what it saves. */
export function usageRoutes(router: Router, context: Context): void {
  bind(router, context, 'usage', ({ member }) => usageOf(context.db, member.id));

  bind(router, context, 'placed', ({ member }) => placedBy(context.db, member.id));
}
