import { z } from 'zod';
import type { Entry } from '#contracts';
import { digestOf, isSame } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { dropKept, keep, kept } from '#client/kept';

/** The content of an entry that is being written may not hold against its schema yet: it is an object, no more is asked. */
const isContent = (value: unknown) => typeof value === 'object' && value !== null && 'wordings' in value;

const EntryChangeSchema = z.object({
  base: z.number().int(),
  content: z.custom<EntryContent>(isContent),
  reason: z.string(),
  /** Names a new entry once it was sent: sent again, since the answer was lost, it is no second one. */
  sent: z.string().optional(),
  /** Of what was sent last: should the answer be lost, it may have arrived all the same. */
  digest: z.string().optional(),
  /** The proposal that is being amended: saving accepts it so. */
  proposal: z.string().optional(),
});
/** A change to an entry that is not saved yet: what it holds, the revision it was made to, and why. */
export type UnsavedEntryChange = z.infer<typeof EntryChangeSchema>;

/** Where a member's unsaved change of an entry is kept; of a new one, without an id. */
export const unsavedKey = (member: string, entry: string | undefined) => `entry.${member}.${entry ?? 'new'}`;

/** Unsaved changes stay on this computer: clicking away loses nothing. Wording holds no personal details. */
export const readUnsaved = (key: string): UnsavedEntryChange | null => kept(key, EntryChangeSchema);

/** Puts a change where the page of its entry takes it up; false where this computer has no room for it. */
export const keepUnsaved = (key: string, change: UnsavedEntryChange): boolean => keep(key, change);

/** Lets go of an unsaved change for good. */
export const dropUnsaved = (key: string): void => dropKept(key);

/** Whether a change says nothing that is not kept already: the same words, whatever the order in which a store gives them back. */
export const saysNothing = (
  { content, reason, base, proposal, sent }: UnsavedEntryChange,
  start: Pick<UnsavedEntryChange, 'content' | 'base'>,
): boolean => reason === '' && base === start.base && !proposal && !sent && isSame(content, start.content);

/**
 * A change of which the last that was sent has arrived, though its answer did not, as the entry says that is there now: what is
 * written since, as a change of that revision. Null where somebody else saved it, or nothing of it arrived.
 */
export function arrivedChange(
  { digest, ...change }: UnsavedEntryChange,
  { revision, savedBy, content, reason }: Entry,
  member: string,
): UnsavedEntryChange | null {
  if (digest === undefined || revision <= change.base || savedBy !== member) return null;
  if (digest !== digestOf(content)) return null;
  return { ...change, base: revision, reason: change.reason === reason ? '' : change.reason };
}
