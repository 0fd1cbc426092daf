import { alikeKey, renameSteps, type Renaming } from '#core/naming';

/** What became of one renaming: done, or why not, in words. */
export interface RenamedHere extends Renaming {
  problem: string | null;
}

const PIECE = 4 * 1024 * 1024;

/** Whether two files hold the same, piece by piece: a scan may be larger than memory. */
async function holdSame(one: File, other: File): Promise<boolean> {
  if (one.size !== other.size) return false;
  for (let at = 0; at < one.size; at += PIECE) {
    const [a, b] = await Promise.all(
      [one, other].map(async (file) => new Uint8Array(await file.slice(at, at + PIECE).arrayBuffer())),
    );
    if (a!.some((byte, index) => byte !== b![index])) return false;
  }
  return true;
}

async function isThere(folder: FileSystemDirectoryHandle, name: string): Promise<boolean> {
  try {
    await folder.getFileHandle(name);
    return true;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'NotFoundError') return false;
    // A folder of that name, or a name that this system does not take.
    if (error instanceof DOMException && error.name === 'TypeMismatchError') return true;
    throw error;
  }
}

const inWordsOf = (error: unknown): string => {
  const name = error instanceof DOMException || error instanceof TypeError ? error.name : '';
  if (name === 'NotFoundError') return 'it is not in the folder any more';
  if (name === 'NotAllowedError') return 'the browser may not change this folder';
  if (name === 'QuotaExceededError') return 'the disk is full';
  if (name === 'TypeError') return 'this system does not take the name';
  return 'the folder would not have it';
};

/**
 * Gives a file another name: copied, the copy compared with it piece by piece, and only then is the old one taken away. Gives why it was left
 * as it is, in words; null where it has the new name.
 */
async function renameOne(folder: FileSystemDirectoryHandle, { from, to }: Renaming): Promise<string | null> {
  let copy: FileSystemFileHandle | null = null;
  try {
    const old = await folder.getFileHandle(from);
    const source = await old.getFile();
    if (await isThere(folder, to)) return 'the name is taken';
    copy = await folder.getFileHandle(to, { create: true });
    const writing = await copy.createWritable();
    await source.stream().pipeTo(writing);
    const written = await copy.getFile();
    const now = await (await folder.getFileHandle(from)).getFile();
    const isSame = now.lastModified === source.lastModified && (await holdSame(now, written));
    if (!isSame) {
      await folder.removeEntry(to);
      return 'it changed while it was copied';
    }
    await folder.removeEntry(from);
    return null;
  } catch (error) {
    // What was begun is taken away again: the old file is there.
    if (copy && (await isThere(folder, from).catch(() => false)))
      await folder.removeEntry(to).catch(() => undefined);
    return inWordsOf(error);
  }
}

/** Where only capitals change, a system that minds none finds the file in its own way: it goes aside first. */
const byAside = ({ from, to }: Renaming): Renaming[] => {
  const held = `${from}.1.tmp`;
  return alikeKey(from) === alikeKey(to)
    ? [
        { from, to: held },
        { from: held, to },
      ]
    : [{ from, to }];
};

/**
 * Gives the files of one folder their new names, one after the other; what cannot be renamed stays as it is, and is told with its reason.
 * `tell` hears of each that is done. Names that are taken by others there are never written over.
 */
export async function renameHere(
  folder: FileSystemDirectoryHandle,
  wanted: readonly Renaming[],
  tell: () => void,
): Promise<RenamedHere[]> {
  const problems = new Map<string, string>();
  // By which name a file goes at the moment: some go aside first.
  const first = new Map<string, string>();
  for (const step of renameSteps(wanted).flatMap(byAside)) {
    const begun = first.get(step.from) ?? step.from;
    const problem = problems.get(begun) ?? (await renameOne(folder, step));
    if (problem) problems.set(begun, problem);
    else {
      first.delete(step.from);
      first.set(step.to, begun);
    }
    tell();
  }
  // One that went aside and found no place goes back.
  for (const [now, begun] of first) {
    const end = wanted.find(({ from }) => from === begun)!.to;
    if (now !== end) await renameOne(folder, { from: now, to: begun });
  }
  return wanted.map((one) => ({ ...one, problem: problems.get(one.from) ?? null }));
}
