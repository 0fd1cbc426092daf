import type { EntryContent } from './entry';

/** The entry with a tag; the very same where it has it. */
export const withTag = (content: EntryContent, tag: string): EntryContent =>
  content.tags.includes(tag) ? content : { ...content, tags: [...content.tags, tag] };

/** The entry out of use, or in use again. */
export function withRetired({ retired: _, ...content }: EntryContent, retired: boolean): EntryContent {
  return retired ? { ...content, retired } : content;
}

/** The entry with letters put before each cue that is typed; those that are keys or patterns stay. */
export const withLead = (content: EntryContent, lead: string): EntryContent => ({
  ...content,
  cues: content.cues.map((cue) => (cue.as ? cue : { ...cue, text: lead + cue.text })),
});
