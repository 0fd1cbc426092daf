import { z } from 'zod';
import { CalendarDateSchema, TimeOfDaySchema } from '#core/calendar';
import { EntryFileSchema, FieldSchema, NamedConditionSchema } from '#core/entry';
import { PERSONS } from '#core/language';
import { emptyPassage, KeyIdSchema, PassageSchema, type Passage } from '#core/passage';
import { ValueSchema } from '#core/record';
import { TranscriptSchema, type Transcript } from '#core/transcript';
import { EnvelopeSchema, type Envelope } from './envelope';

/**
 * What fills a field this time. Values keep their type, so that each blank can write them its own way. A text
 * given to a date, a time or a number is what was typed and could not be read: it is kept, and leaves a gap.
 */
export const AnswerSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('text'), text: z.string().max(20_000) }),
  // `other`: words of one's own beside the options. No options and no other words: none of these.
  z.object({
    kind: z.literal('chosen'),
    options: z.array(z.string().max(60)).max(200),
    other: z.string().max(5000).optional(),
  }),
  z.object({ kind: z.literal('date'), date: CalendarDateSchema }),
  z.object({ kind: z.literal('time'), time: TimeOfDaySchema }),
  // With its unit where that is not the field's own: what was worked out from amounts, or takes the place of a record's.
  z.object({ kind: z.literal('number'), value: z.number(), unit: z.string().max(40).optional() }),
  z.object({ kind: z.literal('yes-no'), yes: z.boolean() }),
  // Person words: known from the record's sex, or asked.
  z.object({ kind: z.literal('person'), person: z.enum(PERSONS), known: z.boolean() }),
  // Which of a field's alternates was taken.
  z.object({ kind: z.literal('alternate'), index: z.number().int().min(0).max(49) }),
  z.object({
    kind: z.literal('detail'),
    value: ValueSchema,
    source: z.string().max(300),
    asOf: CalendarDateSchema.nullable(),
  }),
]);
export type Answer = z.infer<typeof AnswerSchema>;
/** Answers by the ids of the fields they fill. */
export type Answers = Record<string, Answer>;

/** So many files go along with a placement at the most: those of the entry, and of the entries within it. */
export const MOST_PLACED_FILES = 40;

/**
 * One use of an entry in a draft. It carries the fields of the revision it was placed from, so that it stays
 * alive when the entry changes, is deleted, or is no longer shared with this member.
 */
export const PlacementSchema = z.object({
  entry: z.string().min(1).max(60),
  revision: z.number().int().min(1),
  title: z.string().max(200),
  cue: z.string().max(60).nullable(),
  wording: z.string().min(1).max(60),
  language: z.string().min(2).max(35),
  fields: z.array(FieldSchema).max(200),
  answers: z.record(KeyIdSchema, AnswerSchema),
  conditions: z.array(NamedConditionSchema).max(200).optional(),
  // The day it was placed: what is computed from today does not move when the draft is opened tomorrow.
  day: CalendarDateSchema.optional(),
  // The newest revision of its entry that was seen and not wanted: it is not offered again.
  keptAgainst: z.int32().min(1).optional(),
  // The files that go along with the entry.
  files: z.array(EntryFileSchema).max(MOST_PLACED_FILES).optional(),
  // The texts that the wording's other parts went to, such as Subject: what stands there is not the wording itself.
  parts: z.array(z.string().max(60)).max(50).optional(),
  // Answered last for the same person, and offered again: by the field's id.
  offered: z.record(KeyIdSchema, AnswerSchema).optional(),
});
export type Placement = z.infer<typeof PlacementSchema>;
/** Placements by their ids. */
export type Placements = Record<string, Placement>;

/** The text being written: a passage whose document node also carries the placements its blanks belong to. */
export interface DraftDocument extends Passage {
  attrs: {
    placements: Placements;
    /** Of each criterion of an assignment, which of its levels was given: both by their ids. */
    levels?: Record<string, string>;
    /** Of a transcript: who speaks, and how labels and times are written. */
    transcript?: Transcript;
    /** Of a letter: to whom it goes and what it is called, where its writer said so. */
    envelope?: Envelope;
  };
}

const AttrsSchema = z.object({
  attrs: z.object({
    placements: z.record(KeyIdSchema, PlacementSchema),
    levels: z.record(KeyIdSchema, z.string().min(1).max(60)).optional(),
    transcript: TranscriptSchema.optional(),
    envelope: EnvelopeSchema.optional(),
  }),
});

/** Checks a whole draft document: its passage, and its placements. */
export const DraftDocumentSchema: z.ZodType<DraftDocument> = z
  .unknown()
  .transform((value, context): DraftDocument => {
    const passage = PassageSchema.safeParse(value);
    const attrs = AttrsSchema.safeParse(value);
    for (const issue of [...(passage.error?.issues ?? []), ...(attrs.error?.issues ?? [])]) {
      context.addIssue({ code: 'custom', message: issue.message, path: issue.path });
    }
    if (!passage.success || !attrs.success) return z.NEVER;
    return { ...passage.data, attrs: attrs.data.attrs };
  });

/** A draft with nothing on it. */
export function emptyDraft(): DraftDocument {
  return { ...emptyPassage(), attrs: { placements: {} } };
}
