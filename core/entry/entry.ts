import { z } from 'zod';
import { LanguageTagSchema } from '#core/language';
import { PassageSchema, JOINS } from '#core/passage';
import { CueSchema } from '#core/cue';
import { CommentUseSchema } from './commentUse';
import { NamedConditionSchema } from './condition';
import { EntryFilesSchema } from './entryFile';
import { FieldSchema } from './field';
import { PageAddressSchema } from './pageAddress';

const PartSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().max(60),
  passage: PassageSchema,
});

/** One way an entry can read, by language, length or tone, in one or more named parts. */
export const WordingSchema = z.object({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(60),
  language: LanguageTagSchema,
  // How it joins what stands beside it where it is placed; by what it is when left out (`joinOf`).
  joins: z.enum(JOINS).optional(),
  // Takes the place of the others where the same was said before in one submission.
  short: z.literal(true).optional(),
  // Takes the place of the others on that page of others alone, as a person is named there.
  onPage: PageAddressSchema.optional(),
  parts: z.array(PartSchema).min(1).max(20),
});

/** All that one revision of an entry holds. Stored as JSON with its version. */
export const EntryContentSchema = z.object({
  version: z.literal(1),
  title: z.string().trim().min(1, 'give the entry a title').max(200),
  purpose: z.string().max(2000).default(''),
  note: z.string().max(5000).default(''),
  tags: z.array(z.string().trim().min(1).max(60)).max(50).default([]),
  cues: z.array(CueSchema).max(20).default([]),
  wordings: z.array(WordingSchema).min(1).max(40),
  fields: z.array(FieldSchema).max(200).default([]),
  // Out of use: it stays in the bank to be read, and no cue or offer brings it. In use when left out.
  retired: z.literal(true).optional(),
  // When its optional passages stand; the wordings name them by id.
  conditions: z.array(NamedConditionSchema).max(200).optional(),
  // They go along wherever it is placed.
  files: EntryFilesSchema.optional(),
  // What it is as a comment on a submission.
  comment: CommentUseSchema.optional(),
});

export type EntryContent = z.infer<typeof EntryContentSchema>;
export type Wording = z.infer<typeof WordingSchema>;
export type Part = z.infer<typeof PartSchema>;
