import { useCallback } from 'react';
import type { Case } from '#contracts';
import { excerpt, type Passage } from '#core/passage';
import { keptAnswer, keptDraft } from '#client/atHand';
import { copiesOf, readCopy } from '#client/drafts';
import { waitingActs } from '#client/waiting';
import { useWhileWaiting } from './useWhileWaiting';

/** A text that the server never got. */
export interface UnsentText {
  draft: string;
  /** Where its leaf is; null where this computer does not know its case. */
  to: string | null;
  title: string;
  begins: string;
  document: Passage;
}

const EXCERPT_LENGTH = 120;

async function unsentTexts(member: string): Promise<UnsentText[]> {
  const acts = await waitingActs(member);
  const begun = new Set(acts.flatMap((act) => (act.kind === 'leaf' ? [act.draft.id] : [])));
  const all: UnsentText[] = [];
  for (const draft of copiesOf(member)) {
    const copy = begun.has(draft) ? null : readCopy(member, draft);
    if (!copy) continue;
    const { document, on } = copy;
    const begins = excerpt(document, EXCERPT_LENGTH);
    if (on) {
      all.push({ draft, to: on.to, title: `A ${on.called}`, begins, document });
      continue;
    }
    const of = (await keptDraft(draft))?.case;
    const one = of === undefined ? undefined : ((await keptAnswer(`/api/cases/${of}`)) as Case | undefined);
    all.push({
      draft,
      to: of === undefined ? null : `/cases/${of}/leaves/${draft}`,
      title: one?.title || 'A leaf',
      begins,
      document,
    });
  }
  return all;
}

/** The texts that only this computer has, of leaves that the server knows. */
export const useUnsentTexts = (member: string): readonly UnsentText[] =>
  useWhileWaiting(useCallback(() => unsentTexts(member), [member]));
