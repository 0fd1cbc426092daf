import { joined } from './settings';

/** As long as the pocket takes to open, at the most, in milliseconds. */
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
 * Opens the pocket of Elderleaf with words to keep: its capture slip makes an entry of them, as the member who is signed in there.
 * The words go from this browser's page to the pocket's, through no address and no server. False where this browser is not joined.
 */
export async function keepWords(words: string): Promise<boolean> {
  const to = await joined();
  if (!to) return false;
  const { id } = await chrome.tabs.create({ url: `${to.address}/pocket` });
  if (id === undefined) return false;
  await loaded(id);
  await chrome.scripting.executeScript({
    target: { tabId: id },
    func: (text: string) => {
      sessionStorage.setItem('companion.to-keep', text);
      window.dispatchEvent(new Event('elderleaf-to-keep'));
    },
    args: [words],
  });
  return true;
}
