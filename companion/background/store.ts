import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import type { Bank, CompanionBeginning, Entry, Use } from '#contracts';
import type { ResolvedCue } from '#core/cue';
import type { PackedCues } from '../messages';

/** The bank without its entries, and which of these are of collections that are away. */
export interface BankHead extends Pick<Bank, 'collections' | 'counts' | 'away'> {
  loose: string[];
  /** By collection, the pages of others that some of its entries have a wording for. */
  ownWays: Record<string, string[]>;
  /** How many entries there are. */
  size: number;
}

/** A use that waits to be told: numbers alone. */
export interface WaitingUse {
  kind: string;
  day: string;
  use: Use;
}

interface Kept extends DBSchema {
  entries: { key: string; value: Entry };
  parts: {
    key: keyof Parts;
    value: Parts[keyof Parts];
  };
  uses: { key: number; value: WaitingUse };
}

/** What is kept besides entries. */
interface Parts {
  head: BankHead;
  /** The print of the cues by itself: it is asked for with each key that something is offered for, and the cues may be many. */
  print: string;
  cues: PackedCues;
  patterns: ResolvedCue[];
  beginning: CompanionBeginning;
  renewedAt: number;
}

/** Counts the forms in which things are kept. */
const VERSION = 2;
let opened: Promise<IDBPDatabase<Kept>> | null = null;

/** What this browser keeps. Kept in an earlier form, the bank goes and is asked for anew; uses that wait stay. */
function database(): Promise<IDBPDatabase<Kept>> {
  opened ??= openDB<Kept>('companion', VERSION, {
    upgrade(db) {
      for (const name of ['entries', 'parts'] as const)
        if (db.objectStoreNames.contains(name)) db.deleteObjectStore(name);
      db.createObjectStore('entries', { keyPath: 'id' });
      db.createObjectStore('parts');
      if (!db.objectStoreNames.contains('uses')) db.createObjectStore('uses', { autoIncrement: true });
    },
    terminated: () => (opened = null),
  });
  return opened;
}

/** One of the parts that are kept; undefined for none. */
export async function part<P extends keyof Parts>(name: P): Promise<Parts[P] | undefined> {
  return (await (await database()).get('parts', name)) as Parts[P] | undefined;
}

/** Keeps one of the parts. */
export async function keepPart<P extends keyof Parts>(name: P, value: Parts[P]): Promise<void> {
  await (await database()).put('parts', value, name);
}

/** An entry by its id. */
export const entryOf = async (id: string): Promise<Entry | undefined> =>
  (await database()).get('entries', id);

/** All entries. */
export const allEntries = async (): Promise<Entry[]> => (await database()).getAll('entries');

/** Keeps what changed of the bank, in one transaction: entries that came or changed, ids of those that went, and all that was made of it. */
export async function keepBank(
  { came, gone }: { came: readonly Entry[]; gone: readonly string[] },
  parts: Parts,
): Promise<void> {
  const tx = (await database()).transaction(['entries', 'parts'], 'readwrite');
  const entries = tx.objectStore('entries');
  const rest = tx.objectStore('parts');
  await Promise.all([
    ...came.map((entry) => entries.put(entry)),
    ...gone.map((id) => entries.delete(id)),
    ...(Object.keys(parts) as (keyof Parts)[]).map((name) => rest.put(parts[name], name)),
    tx.done,
  ]);
}

/** Keeps a use until it is told. */
export async function keepUse(use: WaitingUse): Promise<void> {
  await (await database()).add('uses', use);
}

/** Uses that wait, with what each is known by. */
export async function waitingUses(): Promise<{ key: number; use: WaitingUse }[]> {
  const uses = (await database()).transaction('uses').store;
  const [keys, all] = await Promise.all([uses.getAllKeys(), uses.getAll()]);
  return all.map((use, at) => ({ key: keys[at]!, use }));
}

/** Lets go of uses that were told. */
export async function dropUses(keys: readonly number[]): Promise<void> {
  const tx = (await database()).transaction('uses', 'readwrite');
  await Promise.all([...keys.map((key) => tx.store.delete(key)), tx.done]);
}

/** Takes everything away: nothing of the bank stays in a browser that is not joined any more. */
export async function forgetAll(): Promise<void> {
  const tx = (await database()).transaction(['entries', 'parts', 'uses'], 'readwrite');
  const names = ['entries', 'parts', 'uses'] as const;
  await Promise.all([...names.map((name) => tx.objectStore(name).clear()), tx.done]);
}
