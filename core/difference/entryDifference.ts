import type { EntryContent } from '#core/entry';
import { chaptersOf, type Chapter } from '#core/notation';
import { wordDifference, type Piece } from './wordDifference';

/** One part of an entry that reads otherwise: its title, a field, a wording... */
export interface EntryChange extends Pick<Chapter, 'about' | 'name'> {
  /** Whether it is there in both, or only after or before. */
  kind: 'changed' | 'added' | 'dropped';
  pieces: Piece[];
}

const namesIn = (order = '') => order.split(', ').sort().join();

/**
 * Everything in which two contents of an entry differ, part by part in the order of the later one, each in words as the
 * compact notation writes them, so that nothing that differs is passed over. Empty for contents that say the same.
 */
export function entryDifference(before: EntryContent, after: EntryContent): EntryChange[] {
  const [old, now] = [chaptersOf(before), chaptersOf(after)];
  const keys = [...new Set([...now.keys(), ...old.keys()])];
  return keys.flatMap((key): EntryChange[] => {
    const [was, is] = [old.get(key), now.get(key)];
    const { about, name } = (is ?? was)!;
    if (was?.text === is?.text) return [];
    // The order is told where nothing else says why it is another.
    if (about === 'order' && namesIn(was?.text) !== namesIn(is?.text)) return [];
    const kind = !was ? 'added' : !is ? 'dropped' : 'changed';
    return [{ about, name, kind, pieces: wordDifference(was?.text ?? '', is?.text ?? '') }];
  });
}
