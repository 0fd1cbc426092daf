import type { PageTold } from '../messages';

/** Tells all pages that what they began with is another now. */
export async function tellPages(): Promise<void> {
  const told: PageTold = { tell: 'begin-again' };
  const tabs = await chrome.tabs.query({});
  await Promise.all(
    tabs.map(async ({ id }) => {
      // A page without the companion hears nothing.
      if (id !== undefined) await chrome.tabs.sendMessage(id, told).catch(() => undefined);
    }),
  );
}
