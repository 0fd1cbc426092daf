import { compareNames } from '#core/naming';

/** What browsers that can open folders have besides the types that ship (File System Access). */
interface Permitted {
  queryPermission?: (asked: { mode: 'read' | 'readwrite' }) => Promise<PermissionState>;
  requestPermission?: (asked: { mode: 'read' | 'readwrite' }) => Promise<PermissionState>;
}
interface Picking {
  showDirectoryPicker?: (asked: {
    id?: string;
    mode?: 'read' | 'readwrite';
  }) => Promise<FileSystemDirectoryHandle>;
}

/** Whether this browser can open a folder. */
export const canOpenFolders = (): boolean => 'showDirectoryPicker' in window;

/** What a folder is called; the browser's own has no name. */
export const calledFolder = ({ name }: FileSystemDirectoryHandle): string =>
  name === '' ? 'the folder' : `“${name}”`;

/** Lets somebody pick a folder; null where they thought better of it. */
export async function pickFolder(): Promise<FileSystemDirectoryHandle | null> {
  try {
    return (await (window as Picking).showDirectoryPicker?.({ id: 'tray', mode: 'read' })) ?? null;
  } catch (error) {
    if (error instanceof DOMException && error.name === 'AbortError') return null;
    throw error;
  }
}

/** Whether something may be read or changed here; `ask` only where somebody has just pressed a key or a button. */
export async function isPermitted(
  handle: FileSystemHandle,
  mode: 'read' | 'readwrite',
  ask: boolean,
): Promise<boolean> {
  const one = handle as FileSystemHandle & Permitted;
  // A folder of the browser's own needs no leave.
  if (!one.queryPermission) return true;
  if ((await one.queryPermission({ mode })) === 'granted') return true;
  return ask && (await one.requestPermission?.({ mode })) === 'granted';
}

/** A file in a folder that was opened, by the folder below that one, with slashes. */
export interface FoundFile {
  folder: string;
  handle: FileSystemFileHandle;
  within: FileSystemDirectoryHandle;
}

/** What systems put into folders beside what somebody keeps there. */
const BESIDE = /^(?:\.|~\$)|^(?:Thumbs\.db|desktop\.ini)$|\.(?:tmp|crdownload|part)$/i;

/** The files of a folder and of those below it, by their names; at most `most`. */
export async function filesIn(root: FileSystemDirectoryHandle, most: number): Promise<FoundFile[]> {
  const found: FoundFile[] = [];
  const look = async (within: FileSystemDirectoryHandle, folder: string): Promise<void> => {
    const below: FileSystemDirectoryHandle[] = [];
    const files: FileSystemFileHandle[] = [];
    for await (const handle of within.values() as AsyncIterable<FileSystemHandle>) {
      if (BESIDE.test(handle.name)) continue;
      if (handle.kind === 'directory') below.push(handle as FileSystemDirectoryHandle);
      else files.push(handle as FileSystemFileHandle);
    }
    files.sort((a, b) => compareNames(a.name, b.name));
    for (const handle of files) if (found.length < most) found.push({ folder, handle, within });
    for (const one of below.sort((a, b) => compareNames(a.name, b.name)))
      await look(one, folder === '' ? one.name : `${folder}/${one.name}`);
  };
  await look(root, '');
  return found;
}
