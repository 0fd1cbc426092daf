import { z } from 'zod';
import { storedDay } from './limits';
import { LanguageTagSchema } from '#core/language';
import { LETTERS_COUNTED, TermSchema } from '#core/glossary';
import { WAYS } from '#core/savings';

const settings = z.object({
  name: z.string().trim().min(1, 'a glossary needs a name').max(80),
  language: LanguageTagSchema,
  // Kinds of work it is in reach for; none for all.
  kindsOfWork: z.array(z.string().max(40)).max(20),
  priority: z.number().int().min(0).max(9),
  // Whether its terms are read back where another is much alike.
  careful: z.boolean(),
  // Which letters of a term find it as one types; none for its cue alone.
  letters: z
    .array(z.enum(LETTERS_COUNTED))
    .max(LETTERS_COUNTED.length)
    .default([...LETTERS_COUNTED]),
});

/** What is set of a glossary by who made it. */
export const GlossarySettingsSchema = settings;
export type GlossarySettings = z.infer<typeof settings>;

/** A glossary as members see it, without its terms. */
export const GlossarySchema = settings.extend({
  id: z.string(),
  // A list that comes with the pages instead of the API.
  shipped: z.enum(['english']).nullable(),
  version: z.number().int().min(1),
  // How many terms; null for a shipped list.
  count: z.number().int().nullable(),
  right: z.enum(['contribute', 'keep']),
});
export type Glossary = z.infer<typeof GlossarySchema>;

/** The terms of a glossary as a word list: a term a line, with cue, weight and note after tabs. */
export const TermsSchema = z.object({ version: z.number().int(), terms: z.string() });

/** A word list that is taken into a glossary, and whether it replaces the terms that are there. */
export const ImportSchema = z.object({
  terms: z.string().max(4_000_000),
  // Whether terms that the list does not have go.
  replace: z.boolean(),
});
/** What a word list brought, and what in it could not be read. */
export const ImportedSchema = z.object({
  glossary: GlossarySchema,
  added: z.number().int(),
  changed: z.number().int(),
  dropped: z.number().int(),
  faults: z.array(z.object({ line: z.number().int(), message: z.string() })),
});
export type Imported = z.infer<typeof ImportedSchema>;

/** A term that is kept in a glossary. */
export const KeptTermSchema = TermSchema;

/** A page tells every few seconds: more of one thing than this nobody has done. */
const count = z.int32().min(0).max(1000);
/** Characters and keys of those uses. */
const keys = z.int32().min(0).max(1_000_000);

/** Uses that happened since the last telling: numbers only. */
export const ToldUsesSchema = z.object({
  // The day where the member is.
  day: storedDay,
  kind: z.string().max(40),
  uses: z
    .array(
      z.object({
        source: z.enum(['entry', 'term']),
        list: z.string().max(80),
        term: z.string().max(120),
        times: count,
        shown: keys,
        pressed: keys,
        /** In which way it was brought and by how many keys and clicks; not told where it was not brought but counted for what it saved. */
        brought: z.object({ way: z.enum(WAYS), keys }).optional(),
      }),
    )
    .max(500),
});
/** What a page tells of uses, as it is read. */
export type ToldUses = z.output<typeof ToldUsesSchema>;
/** A use of a term or an entry that was offered or placed, in numbers alone. */
export type Use = z.input<typeof ToldUsesSchema>['uses'][number];

/** What a member has used, by kind of work, and what that saved them, by day. */
export const OwnUsesSchema = z.object({
  used: z.array(
    z.object({
      source: z.enum(['entry', 'term']),
      list: z.string(),
      term: z.string(),
      kind: z.string(),
      times: z.number().int(),
    }),
  ),
  days: z.array(
    z.object({
      day: z.string(),
      times: z.number().int(),
      shown: z.number().int(),
      pressed: z.number().int(),
    }),
  ),
});
export type OwnUses = z.infer<typeof OwnUsesSchema>;
