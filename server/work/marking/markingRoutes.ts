import type { Router } from 'express';
import type { Context } from '../../context';
import { bind } from '../../http';
import { othersMarkings } from './othersMarkings';

/** What colleagues have marked on the same pages. */
export function markingRoutes(router: Router, context: Context): void {
  bind(router, context, 'othersMarkings', ({ member, params }) =>
    othersMarkings(context.db, member.id, params.case),
  );
}
