import { z } from 'zod';
import { linesOf } from '#core/passage';
import { AnswerSchema, type Answers, type DraftDocument } from './draft';

/** One earlier use of an entry: the answers that may be offered again, and the alternates that were taken. */
export const EarlierUseSchema = z.object({
  entry: z.string().min(1).max(60),
  answers: z.record(z.string(), AnswerSchema),
});
export type EarlierUse = z.infer<typeof EarlierUseSchema>;

/**
 * What a draft's placements leave for the next text about the same person, in the order they were placed: answers of
 * fields that offer the last one again, and which alternate was taken. Placements of which nothing stands any more
 * leave nothing.
 */
export function earlierUses(draft: DraftDocument): EarlierUse[] {
  const standing = new Set<string>();
  for (const inline of linesOf(draft).flat())
    for (const mark of inline.marks ?? []) if (mark.type === 'placed') standing.add(mark.attrs.placement);
  return Object.entries(draft.attrs.placements).flatMap(([id, { entry, fields, answers }]) => {
    if (!standing.has(id)) return [];
    const kept = fields.flatMap((field) => {
      const answer = answers[field.id];
      return answer && (field.offerLast || field.kind === 'alternates') ? [[field.id, answer] as const] : [];
    });
    return kept.length > 0 ? [{ entry, answers: Object.fromEntries(kept) }] : [];
  });
}

/** The last answer to each field of an entry among its earlier uses, the latest of which comes last. */
export function lastAnswers(uses: readonly EarlierUse[], entry: string): Answers {
  const own = uses.filter((use) => use.entry === entry);
  return Object.fromEntries(own.flatMap(({ answers }) => Object.entries(answers)));
}
