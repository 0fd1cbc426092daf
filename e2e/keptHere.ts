import type { Page } from '@playwright/test';

/** The paths whose answers a page keeps in its browser. */
export const keptPaths = (page: Page): Promise<string[]> =>
  page.evaluate(
    () =>
      new Promise<string[]>((resolve) => {
        const opening = indexedDB.open('elderleaf');
        opening.onsuccess = () => {
          const db = opening.result;
          if (!db.objectStoreNames.contains('answers')) return resolve([]);
          const asked = db.transaction('answers').objectStore('answers').getAllKeys();
          asked.onsuccess = () => {
            db.close();
            resolve(asked.result as string[]);
          };
        };
      }),
  );
