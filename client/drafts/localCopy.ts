import { z } from 'zod';
import { DraftDocumentSchema } from '#core/draft';
import { casesOnComputers } from '#client/atHand';
import { dropKept, keepWritten, kept, keptNames } from '#client/kept';
import { writtenDraft } from './writtenDraft';

/** Where a text is written that is kept with something else than a draft, and what such a text is called: "name". */
const WrittenOnSchema = z.object({ to: z.string().startsWith('/cases/'), called: z.string() });

/** What is kept on this computer until the server has it: the text, and the version it was written on. */
const LocalCopySchema = z.object({
  version: z.int32().min(1),
  document: DraftDocumentSchema,
  // Digests of what was sent since that version without an answer: one of them may have arrived all the same.
  sent: z.array(z.string()).optional(),
  // Absent for a draft, which is written on its leaf.
  on: WrittenOnSchema.optional(),
});
export type LocalCopy = z.infer<typeof LocalCopySchema>;

const name = (member: string, draft: string) => `draft.${member}.${draft}`;

/** Where the team keeps no cases on computers, a copy stays in the tab, no longer than that is open. */
const placeNow = () => (casesOnComputers() === 'none' ? 'tab' : 'computer');

/** Keeps a copy of a draft on this computer. Returns false when the browser has no room for it. */
export function keepCopy(member: string, draft: string, copy: LocalCopy): boolean {
  const sent = copy.sent ? `"sent":${JSON.stringify(copy.sent)},` : '';
  const on = copy.on ? `"on":${JSON.stringify(copy.on)},` : '';
  return keepWritten(
    name(member, draft),
    `{"version":${copy.version},${sent}${on}"document":${writtenDraft(copy.document)}}`,
    placeNow(),
  );
}

/** The copy kept on this computer, if the server never got it; null when there is none, or none that can be read. */
export const readCopy = (member: string, draft: string): LocalCopy | null =>
  kept(name(member, draft), LocalCopySchema, 'tab') ?? kept(name(member, draft), LocalCopySchema);

/** Takes the copy away once the server has the same: personal details stay no longer than they must. */
export function dropCopy(member: string, draft: string): void {
  for (const where of ['tab', 'computer'] as const) dropKept(name(member, draft), where);
}

/** The drafts of a member of which this computer keeps what the server never got. */
export const copiesOf = (member: string): string[] => keptNames(name(member, ''));
