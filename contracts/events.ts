import { z } from 'zod';
import { STAND_IN_RESTS } from './work/transcript';

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
  // Entries of a collection were moved, deleted or brought back.
  z.object({ type: z.literal('entries-changed'), collection: z.string() }),
  // Collections that the member may see, or what they may do there, are others now.
  z.object({ type: z.literal('reach-changed') }),
  // Who may do what in a collection that the member may see is granted otherwise now.
  z.object({ type: z.literal('sharing-changed') }),
  // A proposal that the member may answer, or made, is another now.
  z.object({ type: z.literal('proposals-changed') }),
  // A note that the member wrote, or may answer, is another now.
  z.object({ type: z.literal('notes-changed') }),
  // Others have opened or left an entry that the member has open.
  z.object({ type: z.literal('presence-changed'), entry: z.string() }),
  z.object({ type: z.literal('glossary-changed'), glossary: z.string() }),
  // House style is another now.
  z.object({ type: z.literal('house-words-changed') }),
  // Who is of the team, their roles or their groups are others now.
  z.object({ type: z.literal('people-changed') }),
  // The member is signed in elsewhere, or a browser was joined.
  z.object({ type: z.literal('sessions-changed') }),
  // The server itself may have missed something: the page asks for everything it shows.
  z.object({ type: z.literal('missed') }),
  z.object({ type: z.literal('case-added'), case: z.string() }),
  // What somebody else wrote beside the submission of a case is another now.
  z.object({ type: z.literal('comments-changed'), case: z.string() }),
  // The member's stand-in pedal, on another page, went down or up.
  z.object({ type: z.literal('pedal-pressed'), rest: z.enum(STAND_IN_RESTS), isDown: z.boolean() }),
  // An enquiry of the team's queue is another now, or came in.
  z.object({ type: z.literal('queue-changed') }),
  // A letter that the member sent is elsewhere on its way now.
  z.object({ type: z.literal('sendings-changed') }),
  // Lines of a tray are others now: which version each then has; or how its files are named, with none.
  z.object({
    type: z.literal('tray-changed'),
    case: z.string(),
    versions: z.record(z.string(), z.number().int()),
  }),
  // A draft of the member was saved, finished or reopened, perhaps in another window.
  z.object({ type: z.literal('draft-saved'), draft: z.string(), version: z.number().int() }),
  // What is known in a case is another now.
  z.object({ type: z.literal('case-changed'), case: z.string() }),
]);
export type LiveEvent = z.infer<typeof EventSchema>;
