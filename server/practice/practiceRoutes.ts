import type { Router } from 'express';
import type { Context } from '../context';
import { bind } from '../http';
import { practise, practisedBy } from './practice';

/** Cues being practised. */
export function practiceRoutes(router: Router, context: Context): void {
  bind(router, context, 'practised', ({ member }) => practisedBy(context.db, member.id));

  bind(router, context, 'practise', ({ member, body }) => practise(context.db, member.id, body));
}
