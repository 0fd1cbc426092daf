import type { DraftDocument } from '#core/draft';

/** What is kept on this computer until the server has it: the text, and the version it was written on. */
export interface LocalCopy {
  version: number;
  document: DraftDocument;
}

const PREFIX = 'elderleaf.draft.';
const name = (member: string, draft: string) => `${PREFIX}${member}.${draft}`;

/** Keeps a copy of a draft on this computer. Returns false when the browser has no room for it. */
export function keepCopy(member: string, draft: string, copy: LocalCopy): boolean {
  try {
    localStorage.setItem(name(member, draft), JSON.stringify(copy));
    return true;
  } catch {
    return false;
  }
}

/** The copy kept on this computer, if the server never got it; null when there is none. */
export function readCopy(member: string, draft: string): LocalCopy | null {
  try {
    return JSON.parse(localStorage.getItem(name(member, draft)) ?? 'null') as LocalCopy | null;
  } catch {
    return null;
  }
}

/** Takes the copy away once the server has the same: personal details stay no longer than they must. */
export function dropCopy(member: string, draft: string): void {
  localStorage.removeItem(name(member, draft));
}
