import { z } from 'zod';

/** What open pages are told. An event names what changed; the page asks for the rest itself. */
export const EventSchema = z.discriminatedUnion('type', [
  z.object({
    type: z.literal('entry-saved'),
    entry: z.string(),
    collection: z.string(),
    revision: z.number().int(),
    title: z.string(),
    by: z.string(),
    byName: z.string(),
  }),
  z.object({ type: z.literal('glossary-changed'), glossary: z.string() }),
  z.object({ type: z.literal('case-added'), case: z.string() }),
]);
export type LiveEvent = z.infer<typeof EventSchema>;
