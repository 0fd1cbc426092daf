import { compareNames } from './sortedNames';
import { alikeKey, type NamePlace } from './nameFaults';

/** A file of a folder, with the name that it has and the one that it is to have. */
export interface FileInFolder {
  id: string;
  folder: string;
  name: string;
  /** Null as long as it has no other. */
  newName: string | null;
  /** Whether it has that name already. */
  renamed: unknown;
}

/** The names that the files of some folders have or are to have. What two files share is found at once, however many there are. */
export class FolderNames {
  private readonly holders = new Map<string, { id: string; name: string; isNew: boolean }[]>();
  private readonly folders = new Map<string, string>();
  private readonly sorted = new Map<string, { id: string; name: string }[]>();

  /** `root`: the path of the folder that the others are below; '' for not known. */
  constructor(
    files: readonly FileInFolder[],
    private readonly root: string,
  ) {
    for (const { id, folder, name, newName, renamed } of files) {
      const key = this.keyOf(folder, alikeKey(newName ?? name));
      const held = this.holders.get(key) ?? [];
      held.push({ id, name: newName ?? name, isNew: newName !== null && !renamed });
      this.holders.set(key, held);
      this.folders.set(id, folder);
    }
  }

  /** The names of the others in the folder of a file, as folders sort them. */
  sortedBeside(id: string): string[] {
    const folder = this.folders.get(id) ?? '';
    let all = this.sorted.get(folder);
    if (!all) {
      all = [...this.holders]
        .filter(([key]) => key.startsWith(`${folder}/`) && !key.slice(folder.length + 1).includes('/'))
        .flatMap(([, held]) => held)
        .sort((a, b) => compareNames(a.name, b.name));
      this.sorted.set(folder, all);
    }
    return all.filter((one) => one.id !== id).map(({ name }) => name);
  }

  private readonly keyOf = (folder: string, name: string) => `${folder}/${name}`;

  /** Where the name of a file is to stand: among all others of its folder. */
  placeOf(id: string): NamePlace {
    const folder = this.folders.get(id) ?? '';
    const other = (name: string) =>
      this.holders.get(this.keyOf(folder, name))?.find((holder) => holder.id !== id);
    return {
      folder: [this.root.replace(/[\\/]+$/, ''), folder].filter((part) => part !== '').join('/'),
      taken: { get: other, has: (name) => other(name) !== undefined },
    };
  }
}
