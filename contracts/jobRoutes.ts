import { z } from 'zod';
import { define } from './route';

/** What a page comes back to of a long work that it left. */
export const JobLeftSchema = z
  .discriminatedUnion('state', [
    z.object({ state: z.literal('working'), asked: z.unknown(), progress: z.number() }),
    z.object({
      state: z.literal('done'),
      asked: z.unknown(),
      endedAt: z.iso.datetime(),
      result: z.unknown(),
    }),
  ])
  .nullable();

/** Long work goes on when its page is closed. `work` is the name of the route that began it. */
export const JOB_ROUTES = define({
  jobLeft: {
    method: 'get',
    path: '/api/jobs/:work',
    access: 'member',
    summary:
      "The member's newest job of a long work: under way, or done while no page was there to see it, within the hour. Null for none.",
    status: 200,
    response: JobLeftSchema,
  },
  stopJob: {
    method: 'post',
    path: '/api/jobs/:work/stopped',
    access: 'member',
    summary: 'Stops what the member has under way of a long work. Does nothing where there is none.',
    status: 204,
  },
});
