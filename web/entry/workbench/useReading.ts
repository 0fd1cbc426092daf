import { useState } from 'react';
import { emptyRecord } from '#core/record';
import { useCase, useCases } from '../../api';
import type { CaseSummary } from '#contracts';

const fits = (kinds: readonly string[]) => (one: CaseSummary) => kinds.includes(one.kind);

/** Which case an entry is read for: one of the kind it is meant for, until another is picked. */
export function useReading(kindsOfWork: readonly string[]) {
  const cases = useCases();
  const [picked, setPicked] = useState<string | null>(null);
  const all = cases.data ?? [];
  const id = picked ?? all.find(fits(kindsOfWork))?.id ?? all[0]?.id ?? null;
  const record = useCase(id).data?.record ?? EMPTY;
  return { all, id, record, pick: setPicked };
}

// One and the same while no case is known, so that nothing is read anew for it.
const EMPTY = emptyRecord();

export type EntryReading = ReturnType<typeof useReading>;
