import type { Router } from 'express';
import type { Context } from '../context';
import { bind } from '../http';
import { jobToComeBackTo, stopJobs } from './jobs';

/** Jobs that a page left, and comes back to. */
export function jobRoutes(router: Router, context: Context): void {
  bind(router, context, 'jobLeft', async ({ member, params }) => {
    const job = await jobToComeBackTo(context, member.id, params.work);
    if (!job) return null;
    const { state, asked, progress, endedAt, result } = job;
    return state === 'done' && endedAt
      ? { state, asked, endedAt: endedAt.toISOString(), result }
      : { state: 'working' as const, asked, progress };
  });

  bind(router, context, 'stopJob', async ({ member, params }) => {
    await stopJobs(context, member.id, params.work);
    return undefined;
  });
}
