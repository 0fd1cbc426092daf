import type { PageStatus } from '../messages';
import { patternOf } from '../originOf';
import { isLeftAlone } from '../leftAlone';
import { part } from './store';
import { joined, managed, pageSettings } from './settings';

const SCRIPT = 'page';

/** The origins that were granted, as patterns, but for Elderleaf itself: its own leaves bring cues themselves. */
async function granted(): Promise<string[]> {
  const { origins = [] } = await chrome.permissions.getAll();
  return origins;
}

/** What is never looked at: by the team's owners, and by whoever looks after this computer. */
export async function leftAlone(): Promise<string[]> {
  return [...((await part('beginning'))?.leftAlone ?? []), ...((await managed()).leftAlone ?? [])];
}

/** Whether the boxes of a host's pages are looked at. */
export async function isLookedAt(host: string): Promise<boolean> {
  const to = await joined();
  if (!to || host === new URL(to.address).host) return false;
  return !(await pageSettings(host)).isOff && !isLeftAlone(host, await leftAlone());
}

/** Has the companion begin in the pages that were granted, in each of their frames, and nowhere else. */
export async function registerPages(): Promise<void> {
  const matches = await granted();
  const known = await chrome.scripting.getRegisteredContentScripts({ ids: [SCRIPT] });
  if (known.length > 0) await chrome.scripting.unregisterContentScripts({ ids: [SCRIPT] });
  if (matches.length === 0) return;
  await chrome.scripting.registerContentScripts([
    {
      id: SCRIPT,
      matches,
      js: ['page.js'],
      allFrames: true,
      matchOriginAsFallback: true,
      runAt: 'document_start',
    },
  ]);
}

/** Begins in a page that is open already, and was granted just now. */
export async function beginIn(tab: number): Promise<void> {
  await chrome.scripting
    .executeScript({ target: { tabId: tab, allFrames: true }, files: ['page.js'] })
    .catch(() => undefined);
}

/** The origins of the frames of a page that are of other origins than its own. */
async function framesOf(tab: number, origin: string): Promise<string[]> {
  try {
    const [top] = await chrome.scripting.executeScript({
      target: { tabId: tab },
      func: () =>
        Array.from(document.querySelectorAll('iframe'), ({ src }) => src).filter((src) =>
          /^https?:/.test(src),
        ),
    });
    const origins = (top?.result ?? []).map((src) => new URL(src).origin);
    return [...new Set(origins)].filter((one) => one !== origin);
  } catch {
    return [];
  }
}

/** What is so on the page of a tab; null where it is none of the web. */
export async function pageStatus(tab: number | null): Promise<PageStatus | null> {
  if (tab === null) return null;
  const { url } = await chrome.tabs.get(tab);
  if (!url || !/^https?:/.test(url)) return null;
  const { host, origin } = new URL(url);
  const to = await joined();
  const { isOff, form } = await pageSettings(host);
  const asked = (of: string) => chrome.permissions.contains({ origins: [patternOf(of)] });
  const frames = await framesOf(tab, origin);
  const isAsked = await Promise.all(frames.map(asked));
  const state =
    to && origin === to.address
      ? 'own'
      : isLeftAlone(host, await leftAlone())
        ? 'left-alone'
        : !(await asked(origin))
          ? 'asked'
          : isOff
            ? 'off'
            : 'on';
  return { host, origin, state, form, frames: frames.filter((_, at) => !isAsked[at]) };
}
