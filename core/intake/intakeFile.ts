import type { CollectionSettings } from '#core/bank';
import type { EntryContent } from '#core/entry';
import type { RowEntry } from './entriesOfRows';

/** What comes in, in the form in which a collection is saved for another team. */
export interface IntakeFile {
  collections: (CollectionSettings & { id: string; parent: string | null })[];
  entries: { id: string; collection: string; content: EntryContent }[];
}

/** The collection that all of it goes into, or is in. */
const INTAKE_ROOT = 'root';

/** What an entry of a row is known by while it is looked at. */
export const rowKey = (row: number): string => `row ${row}`;

const MOST_TAGS = 50;

/** An entry with the groups that it stands in as tags. */
function tagged({ content, path }: RowEntry): EntryContent {
  const tags = path.map((name) => name.slice(0, 60)).filter((name) => !content.tags.includes(name));
  return tags.length === 0 ? content : { ...content, tags: [...content.tags, ...tags].slice(0, MOST_TAGS) };
}

/**
 * Entries of rows with the collections they go into: those that their groups name, each within the one around it, or all in one with
 * their groups as tags.
 * @param settings of the collection around all; those within it have the same but for their names
 */
export function intakeFile(
  rows: readonly RowEntry[],
  settings: CollectionSettings,
  groups: 'collections' | 'tags',
): IntakeFile {
  const collections: IntakeFile['collections'] = [{ ...settings, id: INTAKE_ROOT, parent: null }];
  const ids = new Map<string, string>();
  const placeOf = (path: readonly string[]): string => {
    let around = INTAKE_ROOT;
    let key = '';
    for (const name of path) {
      key = `${key}\n${name.toLowerCase()}`;
      let id = ids.get(key);
      if (id === undefined) {
        id = `group ${ids.size + 1}`;
        ids.set(key, id);
        collections.push({ ...settings, id, parent: around, name });
      }
      around = id;
    }
    return around;
  };
  const entries = rows.map((one) => ({
    id: rowKey(one.row),
    collection: groups === 'tags' ? INTAKE_ROOT : placeOf(one.path),
    content: groups === 'tags' ? tagged(one) : one.content,
  }));
  return { collections, entries };
}
