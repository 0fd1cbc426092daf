import type { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../context';
import { sessionOf } from '../auth';
import { bind } from '../http';

/** For how long the page has asked for what it shows, in ms: `?askedFor=1200`. Absent, or none, nothing is said of what was before. */
const AskedForSchema = z.coerce.number().int().nonnegative().optional().catch(undefined);

/** The stream of what changes, for open pages. */
export function eventRoutes(router: Router, context: Context): void {
  bind(router, context, 'events', async ({ member, request, response }) => {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.write('retry: 1000\n\n');
    const askedFor = AskedForSchema.parse(request.query.askedFor);
    context.events.listen(member.id, sessionOf(request), response, askedFor);
    return Promise.resolve(undefined);
  });
}
