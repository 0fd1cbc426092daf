import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { AtHand, Draft, NewCase, NewDraft, NewEntry } from '#contracts';

/** An answer of the server, by the path it was asked at. */
export interface KeptAnswer {
  path: string;
  of: Exclude<AtHand, 'draft'>;
  /** When it was kept, in ms since the epoch. */
  at: number;
  answer: unknown;
}

/** Something made without the server, which is sent once it can be reached. */
export type WaitingAct = { order?: number; member: string; at: string; refused: string | null } & (
  | { kind: 'leaf'; case: NewCase | null; of: string; draft: NewDraft; name: string }
  | { kind: 'entry'; id: string; entry: NewEntry; name: string }
);

/** Where the files of a tray are on this computer: the folder that was opened, or single files by the ids of their lines. */
export interface TrayHere {
  case: string;
  folder: FileSystemDirectoryHandle | null;
  files: Record<string, FileSystemFileHandle>;
}

/** Whose all this is, and when the server was reached last, in ms since the epoch. */
interface About {
  key: 'owner';
  member: string;
  reachedAt: number;
}

interface AtHandSchema extends DBSchema {
  answers: { key: string; value: KeptAnswer; indexes: { of: string } };
  drafts: { key: string; value: Draft; indexes: { case: string } };
  waiting: { key: number; value: WaitingAct };
  trays: { key: string; value: TrayHere };
  about: { key: string; value: About };
}
export type AtHandStore = IDBPDatabase<AtHandSchema>;

export const STORE_NAME = 'elderleaf';
/** The form of what is kept. With a new one, what can be fetched again goes, and what waits to be sent stays. */
export const STORE_VERSION = 2;

/** Why nothing is kept in this browser: it has no store, or a newer Elderleaf made it. */
export type NoStore = 'none' | 'newer';

function make(db: AtHandStore): void {
  const had = new Set<string>(db.objectStoreNames);
  for (const name of had) if (name !== 'waiting') db.deleteObjectStore(name as 'answers');
  db.createObjectStore('answers', { keyPath: 'path' }).createIndex('of', 'of');
  db.createObjectStore('drafts', { keyPath: 'id' }).createIndex('case', 'case');
  db.createObjectStore('trays', { keyPath: 'case' });
  db.createObjectStore('about', { keyPath: 'key' });
  if (!had.has('waiting')) db.createObjectStore('waiting', { keyPath: 'order', autoIncrement: true });
}

let opening: Promise<AtHandStore | null> | null = null;
let why: NoStore | null = null;

/** Why nothing can be kept; null where it can, or has not been tried. */
export const noStore = (): NoStore | null => why;

async function openNow(version: number): Promise<AtHandStore | null> {
  try {
    const store = await openDB<AtHandSchema>(STORE_NAME, version, {
      upgrade: make,
      // Another window wants to bring it up to date, or to delete it: it is opened again when it is next asked for.
      blocking: () => {
        store.close();
        opening = null;
      },
      terminated: () => void (opening = null),
    });
    why = null;
    return store;
  } catch (error) {
    why = error instanceof DOMException && error.name === 'VersionError' ? 'newer' : 'none';
    return null;
  }
}

/** What this browser keeps of Elderleaf for when the server cannot be reached; null where it keeps nothing, see `noStore`. */
export function openStore(version = STORE_VERSION): Promise<AtHandStore | null> {
  return (opening ??= openNow(version));
}

/** Closes the store, so that it is opened anew when it is next asked for. */
export async function closeStore(): Promise<void> {
  const store = await opening;
  opening = null;
  store?.close();
}
