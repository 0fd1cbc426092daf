import type { LineChange, TrayLine } from '#contracts';
import type { FoundFile } from './fileSystem';

/** By what a file of a tray is known again. */
export const keyOf = (folder: string, name: string) => `${folder}/${name}`;

/** The name that a file has by what the tray knows. */
export const nameNow = ({ name, newName, renamed }: TrayLine): string =>
  renamed === 'here' && newName !== null ? newName : name;

/** The other of its two names. Null where it has but one. */
const otherName = (line: TrayLine): string | null =>
  line.renamed === 'here' && line.newName !== null ? line.name : line.newName;

/**
 * Which lines the files of a folder are of. A file may have the other of its line's two names: a script renamed it, or it was renamed from here
 * and that was never told, since the window was closed over it or the server could not be reached. It is known again by its size then.
 * @returns The files by the lines they are of; those of none; and for lines that were renamed from here, or back, what is to be told of it.
 */
export async function knownAgain(
  found: readonly FoundFile[],
  lines: readonly TrayLine[],
): Promise<{ ofLines: Map<string, FoundFile>; fresh: FoundFile[]; untold: LineChange[] }> {
  const left = new Map(found.map((one) => [keyOf(one.folder, one.handle.name), one]));
  const ofLines = new Map<string, FoundFile>();
  const take = (line: TrayLine, name: string): FoundFile | undefined => {
    const key = keyOf(line.folder, name);
    const one = left.get(key);
    if (!one) return undefined;
    left.delete(key);
    ofLines.set(line.id, one);
    return one;
  };
  const without = lines.filter((line) => !take(line, nameNow(line)));
  const untold: LineChange[] = [];
  for (const line of without) {
    const other = otherName(line);
    const one = other === null ? undefined : left.get(keyOf(line.folder, other));
    const file = one && (await one.handle.getFile().catch(() => null));
    if (file?.size !== line.bytes || !take(line, other!)) continue;
    // What was taken away as a script or a table is told already.
    if (line.renamed === null) untold.push({ line: line.id, renamed: 'here' });
    if (line.renamed === 'here') untold.push({ line: line.id, renamed: null });
  }
  return { ofLines, fresh: [...left.values()], untold };
}
