import { z } from 'zod';
import { DraftDocumentSchema } from '#core/draft';
import { TranscriptSchema } from '#core/transcript';
import { define } from '../route';

/** Who spoke in an earlier recording that the member wrote down. */
const EarlierCastSchema = z.object({
  /** The title of its case. */
  title: z.string(),
  savedAt: z.iso.datetime(),
  cast: TranscriptSchema.shape.cast,
});
export type EarlierCast = z.infer<typeof EarlierCastSchema>;

/** What one other member has written down of the recording of a case. */
const OthersTranscriptSchema = z.object({
  author: z.string(),
  authorName: z.string(),
  savedAt: z.iso.datetime(),
  /** Whether they have said that they are done. */
  finished: z.boolean(),
  document: DraftDocumentSchema,
});
export type OthersTranscript = z.infer<typeof OthersTranscriptSchema>;

/** Where a foot rests on the stand-in pedal. */
export const STAND_IN_RESTS = ['left', 'middle', 'right'] as const;
export type StandInRest = (typeof STAND_IN_RESTS)[number];

/** Routes of transcripts. */
export const TRANSCRIPT_ROUTES = define({
  earlierCasts: {
    method: 'get',
    path: '/api/casts',
    access: 'member',
    atHand: 'team',
    summary:
      'Who spoke in the recordings that the member wrote down, the last saved first; the same people but once.',
    status: 200,
    response: z.array(EarlierCastSchema),
  },
  othersTranscripts: {
    method: 'get',
    path: '/api/cases/:case/transcripts',
    access: 'given',
    atHand: 'case',
    summary:
      'What other members, whom the case is given to, have written down of its recording: of each the leaf saved last.',
    status: 200,
    response: z.array(OthersTranscriptSchema),
  },
  pressPedal: {
    method: 'post',
    path: '/api/pedal',
    access: 'member',
    summary:
      'Tells the open pages of the member that their on-screen pedal went down or up. Nothing is kept.',
    status: 204,
    body: z.object({ rest: z.enum(STAND_IN_RESTS), isDown: z.boolean() }),
  },
});
