import type { EntryContent } from './entry';
import { MOST_ENTRY_FILES, notYetIn } from './entryFile';

/**
 * One entry's content with what others have beside their words: their cues, tags, files and notes to colleagues. Its own words,
 * fields and purpose stand. `isFree` tells of a cue whether it may be taken over.
 */
export function mergedContent(
  into: EntryContent,
  others: readonly EntryContent[],
  isFree: (cue: string) => boolean = () => true,
): EntryContent {
  const cues = [...into.cues];
  for (const cue of others.flatMap((one) => one.cues)) {
    const same = (one: typeof cue) => one.as === cue.as && one.text.toLowerCase() === cue.text.toLowerCase();
    // The groups of a pattern answer fields of its own entry.
    if (cue.as !== 'pattern' && !cues.some(same) && isFree(cue.text)) cues.push(cue);
  }
  const files = others.reduce((all, other) => [...all, ...notYetIn(all, other.files)], into.files ?? []);
  const notes = [into, ...others].map(({ note }) => note.trim()).filter((note) => note !== '');
  return {
    ...into,
    cues,
    tags: [...new Set([into, ...others].flatMap(({ tags }) => tags))],
    note: [...new Set(notes)].join('\n'),
    ...(files.length > 0 && { files: files.slice(0, MOST_ENTRY_FILES) }),
  };
}
