import { joined } from './settings';

/** As long as a page of Elderleaf takes to open, at the most, in milliseconds. */
const WAIT_MS = 15_000;

/** Waits until the page of a tab has been loaded. */
function loaded(tab: number): Promise<void> {
  return new Promise((resolve) => {
    const done = () => {
      chrome.tabs.onUpdated.removeListener(heard);
      resolve();
    };
    const heard = (id: number, { status }: { status?: string }) => {
      if (id === tab && status === 'complete') done();
    };
    chrome.tabs.onUpdated.addListener(heard);
    setTimeout(done, WAIT_MS);
  });
}

/**
 * Opens a page of Elderleaf with something of the companion's for whoever is signed in there: it lies in that page's own tab, under
 * `companion.<name>`, and `elderleaf-<name>` tells of it. So it goes through no address and no server. False where this browser is not
 * joined.
 */
export async function openWith(path: string, name: string, something: string): Promise<boolean> {
  const to = await joined();
  if (!to) return false;
  const { id } = await chrome.tabs.create({ url: to.address + path });
  if (id === undefined) return false;
  await loaded(id);
  await chrome.scripting.executeScript({
    target: { tabId: id },
    func: (under: string, left: string) => {
      sessionStorage.setItem(`companion.${under}`, left);
      window.dispatchEvent(new Event(`elderleaf-${under}`));
    },
    args: [name, something],
  });
  return true;
}

/** Opens the pocket with words to keep: its capture slip makes an entry of them. False where this browser is not joined. */
export const keepWords = (words: string): Promise<boolean> => openWith('/pocket', 'to-keep', words);
