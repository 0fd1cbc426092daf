import { z } from 'zod';
import { EntrySchema } from '#core/bank';
import { FieldSchema } from '#core/entry';
import { PassageSchema } from '#core/passage';
import { SavedEntrySchema } from './bank';
import { storedRevision } from './limits';

const id = z.string().min(1).max(60);

/** How much two entries must have in common to be told of. */
export const AlikeAskedSchema = z.object({
  /** How much of their words two entries share at the least (Jaccard). */
  least: z.number().min(0.5).max(1),
});

/** How often entries were placed in drafts, and by how many members; of those that never were there is nothing. */
export const UsesSchema = z.record(
  z.string(),
  z.object({ times: z.number().int().min(1), members: z.number().int().min(1) }),
);
export type Uses = z.infer<typeof UsesSchema>;

/** Entries that say nearly the same, in groups: the largest groups, and of each group some; with how many there are. */
export const AlikeSchema = z.object({
  groups: z.array(z.object({ entries: z.array(EntrySchema), count: z.number().int() })),
  /** Groups there are, and entries that were looked at. */
  count: z.number().int(),
  read: z.number().int(),
  uses: UsesSchema,
});
export type Alike = z.infer<typeof AlikeSchema>;

/** As long as an index of the store takes. */
const phraseKey = z.string().min(1).max(500);

/** Phrases that stand in several drafts by hand and in no entry, those first that would save most. */
export const TypedAgainSchema = z.object({
  phrases: z.array(
    z.object({
      pieces: z.array(z.union([z.object({ text: z.string() }), z.object({ differs: z.array(z.string()) })])),
      /** In how many drafts, and the keys that a cue would have saved there. */
      times: z.number().int(),
      saves: z.number().int(),
      key: phraseKey,
    }),
  ),
  /** Drafts that were read. */
  read: z.number().int(),
});
export type TypedAgain = z.infer<typeof TypedAgainSchema>;

/** Phrases that a member does not want to be told of, or again. */
export const IgnoredSchema = z.object({ key: phraseKey, ignored: z.boolean() });

/** A personal detail in an entry: in which wording, part and line, where in that line's text, and what sort it is. */
const PersonalPlaceSchema = z.object({
  wording: z.string(),
  part: z.string(),
  line: z.number().int(),
  from: z.number().int(),
  to: z.number().int(),
  kind: z.enum(['name', 'birth', 'phone', 'e-mail', 'address', 'number', 'pronoun']),
  words: z.string(),
});

/** Shared entries with what in them looks like somebody's details. */
export const PersonalInBankSchema = z.object({
  entries: z.array(z.object({ entry: EntrySchema, places: z.array(PersonalPlaceSchema) })),
  /** Entries there are with any; and entries that were looked at. */
  count: z.number().int(),
  read: z.number().int(),
});
export type PersonalInBank = z.infer<typeof PersonalInBankSchema>;

/** Who is known by name to a member, and the numbers of the cases given to them. */
export const KnownNamesSchema = z.object({ names: z.array(z.string()), numbers: z.array(z.string()) });

/** Words of an entry that look like a detail and may stand, with why. */
export const AllowedSchema = z.object({ words: z.array(z.string()) });

/** Words that may stand in an entry all the same, with why; null takes it back. */
export const AllowingSchema = z.object({
  words: z.string().min(1).max(300),
  why: z.string().trim().min(1).max(300).nullable(),
});

/** Where a text of an entry stands. */
const TextAtSchema = z.union([
  z.object({ in: z.enum(['title', 'purpose']) }),
  z.object({ in: z.literal('wording'), wording: z.string(), part: z.string(), line: z.number().int() }),
  z.object({ in: z.literal('field'), field: z.string(), words: z.number().int() }),
]);
const words = z.string().max(200);

/** A place where a term stands in an entry (UTF-16), the words there and which form of it, and what would be put in their place. */
export const TermPlaceSchema = z.object({
  at: TextAtSchema,
  from: z.number().int(),
  to: z.number().int(),
  put: z.string(),
  words: z.string(),
  form: z.string(),
});

/** Forms of a term, what each becomes, and the collections that are looked through; none for all. */
export const TermAskedSchema = z.object({
  forms: z
    .array(z.object({ from: words.trim().min(1, 'say which words'), to: words }))
    .min(1)
    .max(20),
  collections: z.array(id).max(5000),
});

/** Entries in which a term stands, with the edits that would change it. */
export const TermFoundSchema = z.object({
  entries: z.array(
    z.object({
      entry: EntrySchema,
      places: z.array(TermPlaceSchema),
    }),
  ),
  /** Entries and places there are; and entries that were looked at. */
  count: z.number().int(),
  places: z.number().int(),
  read: z.number().int(),
});
export type TermFound = z.infer<typeof TermFoundSchema>;

/** Entries with what people usually change by hand after placing them: characters of a line (UTF-16) that give way, and what is put there. */
export const RewordedInDraftsSchema = z.object({
  entries: z.array(
    z.object({
      entry: EntrySchema,
      wording: z.string(),
      part: z.string(),
      changes: z.array(
        z.object({
          line: z.number().int(),
          from: z.number().int(),
          to: z.number().int(),
          put: z.string(),
          times: z.number().int(),
        }),
      ),
      /** How often it stands in drafts as it reads now. */
      placed: z.number().int(),
    }),
  ),
  /** Entries there are with any; and those that stand in drafts. */
  count: z.number().int(),
  read: z.number().int(),
});
export type RewordedInDrafts = z.infer<typeof RewordedInDraftsSchema>;

/** Blocks that several entries of a collection begin or end with, and in which texts; those in most entries first. */
export const SharedEndsSchema = z.object({
  ends: z.array(
    z.object({
      kind: z.enum(['opening', 'closing']),
      collection: z.string(),
      language: z.string(),
      passage: PassageSchema,
      fields: z.array(FieldSchema),
      at: z.array(z.object({ entry: EntrySchema, wording: z.string(), part: z.string() })),
      /** The entry that says just this already; null where one must be made. */
      piece: EntrySchema.nullable(),
    }),
  ),
  /** How many there are, and entries that were looked at. */
  count: z.number().int(),
  read: z.number().int(),
});
export type SharedEndsFound = z.infer<typeof SharedEndsSchema>;

/** One line of a long answer: how far the work is (0 to 1), until what came of it. */
export const longAnswerOf = <Result extends z.ZodType>(result: Result) =>
  z.union([z.object({ progress: z.number() }), z.object({ result })]);

const atRevision = z.object({ entry: id, revision: storedRevision });

/** Entries that become one: what that one is then, and which go into it. */
export const MergingSchema = z.object({
  into: atRevision.extend(SavedEntrySchema.shape),
  entries: z.array(atRevision).min(1).max(100),
});
export type Merging = z.infer<typeof MergingSchema>;

/** The entry that is left, and the deletion that brings the others back. */
export const MergedSchema = z.object({ entry: EntrySchema, deletion: z.string() });
