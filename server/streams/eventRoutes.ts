import type { Router } from 'express';
import type { Context } from '../context';
import { sessionOf } from '../auth';
import { bind } from '../http';

/** The stream of what changes, for open pages. */
export function eventRoutes(router: Router, context: Context): void {
  bind(router, context, 'events', async ({ member, request, response }) => {
    response.writeHead(200, {
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.write('retry: 1000\n\n');
    context.events.listen(member.id, sessionOf(request), response);
    return Promise.resolve(undefined);
  });
}
