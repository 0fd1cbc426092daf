import type { Router } from 'express';
import type { Context } from '../context';
import { bindLong } from '../jobs';
import { rewordedInDrafts } from './rewordedInDrafts';

/** What people change by hand after placing a wording. */
export function rewordingRoutes(router: Router, context: Context): void {
  bindLong(router, context, 'rewordedInDrafts', ({ member }) => rewordedInDrafts(context, member.id));
}
