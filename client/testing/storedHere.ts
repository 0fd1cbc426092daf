import 'fake-indexeddb/auto';
import { IDBFactory } from 'fake-indexeddb';
import { closeStore } from '#client/atHand';

/** Gives a page of a test a browser's store of its own, with nothing in it. */
export async function emptyStore(): Promise<void> {
  await closeStore();
  globalThis.indexedDB = new IDBFactory();
}
