import { z } from 'zod';
import { MarkingOnSchema } from '#core/passage';
import { define } from '../route';

/** What one other member has marked on the pages of a case. */
const OthersMarkingsSchema = z.object({
  author: z.string(),
  authorName: z.string(),
  savedAt: z.iso.datetime(),
  /** Whether they have said that they are done. */
  finished: z.boolean(),
  markings: z.array(MarkingOnSchema.extend({ words: z.string() })),
});
export type OthersMarkings = z.infer<typeof OthersMarkingsSchema>;

/** Routes of pages that are marked. */
export const MARKING_ROUTES = define({
  othersMarkings: {
    method: 'get',
    path: '/api/cases/:case/markings',
    access: 'given',
    atHand: 'case',
    summary:
      'What other members, whom the case is given to, have marked on its pages: of each the leaf saved last.',
    status: 200,
    response: z.array(OthersMarkingsSchema),
  },
});
