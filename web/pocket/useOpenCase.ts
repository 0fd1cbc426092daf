import { useEffect, useState } from 'react';
import { z } from 'zod';
import type { Case } from '#contracts';
import { kept } from '#client/kept';
import { emptyRecord } from '#core/record';
import { useCase } from '../api';
import { OPEN_CASE } from '../leaf';

/** Text of no case: everything is in reach, and nothing is known. */
const NO_CASE: Case = {
  ...{ id: '', kind: 'leaf', title: 'Pocket', number: null, summary: '', openedAt: '2000-01-01T00:00:00Z' },
  ...{ closed: false, draft: null, unfinished: 0, finished: 0 },
  ...{ record: emptyRecord(), drafts: [], given: [], files: [] },
};

const readOpen = () => kept(OPEN_CASE, z.string());

/** The id of the case whose leaf was opened last on this computer, in whichever window; null for none. */
function useOpenCaseId(): string | null {
  const [id, set] = useState(readOpen);
  useEffect(() => {
    const hear = () => set(readOpen());
    window.addEventListener('storage', hear);
    return () => window.removeEventListener('storage', hear);
  }, []);
  return id;
}

/** The case that a text in the pocket is about: the one opened last where that is wanted, else none. */
export function useOpenCase(isWanted: boolean): { one: Case; title: string | null } {
  const id = useOpenCaseId();
  const wanted = isWanted && id !== null;
  const { data } = useCase(wanted ? id : null);
  return wanted && data ? { one: data, title: data.title } : { one: NO_CASE, title: null };
}
