import { CaseRecordSchema, type CaseRecord } from '#core/record';
import { patternOf } from '../originOf';
import { joined } from './settings';

/** The tab of a case of Elderleaf that was looked at last; null where none is open. */
async function tabOfCase(): Promise<chrome.tabs.Tab | null> {
  const to = await joined();
  if (!to) return null;
  const tabs = await chrome.tabs.query({ url: patternOf(to.address) });
  const cases = tabs.filter(({ url }) => url?.startsWith(`${to.address}/cases/`));
  return cases.sort((a, b) => (b.lastAccessed ?? 0) - (a.lastAccessed ?? 0))[0] ?? null;
}

/** What the case that is open in Elderleaf is called; null where none is. */
export async function titleOfOpenCase(): Promise<string | null> {
  const tab = await tabOfCase();
  return tab && ((tab.title ?? '').replace(/ [·|-] Elderleaf$/, '') || 'A case');
}

/**
 * The record of the case that is open in Elderleaf, as its member's own page reads it: the token of this browser may not. Null where
 * none is open, or it cannot be read.
 */
export async function recordOfOpenCase(): Promise<CaseRecord | null> {
  const tab = await tabOfCase();
  if (tab?.id === undefined) return null;
  const [read] = await chrome.scripting.executeScript({
    target: { tabId: tab.id },
    func: async () => {
      const id = location.pathname.split('/')[2] ?? '';
      const answer = await fetch(`/api/cases/${id}`).catch(() => null);
      return answer?.ok ? ((await answer.json()) as { record: unknown }).record : null;
    },
  });
  const record = CaseRecordSchema.safeParse(read?.result);
  return record.success ? record.data : null;
}
