import { z } from 'zod';
import { DraftDocumentSchema } from '#core/draft';
import { dropKept, keepWritten, kept } from '#client/kept';
import { writtenDraft } from './writtenDraft';

/** What is kept on this computer until the server has it: the text, and the version it was written on. */
const LocalCopySchema = z.object({ version: z.int32().min(1), document: DraftDocumentSchema });
export type LocalCopy = z.infer<typeof LocalCopySchema>;

const name = (member: string, draft: string) => `draft.${member}.${draft}`;

/** Keeps a copy of a draft on this computer. Returns false when the browser has no room for it. */
export const keepCopy = (member: string, draft: string, copy: LocalCopy): boolean =>
  keepWritten(name(member, draft), `{"version":${copy.version},"document":${writtenDraft(copy.document)}}`);

/** The copy kept on this computer, if the server never got it; null when there is none, or none that can be read. */
export const readCopy = (member: string, draft: string): LocalCopy | null =>
  kept(name(member, draft), LocalCopySchema);

/** Takes the copy away once the server has the same: personal details stay no longer than they must. */
export const dropCopy = (member: string, draft: string): void => dropKept(name(member, draft));
