import { useMemo, useState } from 'react';
import { KIND_IDS, KINDS, practiceRecord, type KindId } from '#core/work';
import { emptyRecord } from '#core/record';
import { calendarToday } from '#client/clock';
import { useCase, useCases, useKinds } from '../../api';
import type { CaseSummary } from '#contracts';

const fits = (kinds: readonly string[]) => (one: CaseSummary) => kinds.includes(one.kind);

const PRACTICE = 'practice:';

/** The kind of work that a practice case is of; null for a real case. */
const practiceKind = (id: string | null): KindId | null =>
  KIND_IDS.find((kind) => id === `${PRACTICE}${kind}`) ?? null;

/**
 * Which case an entry is read for: one of the kind it is meant for, until another is picked; where there is none, a made-up one of that
 * kind, as can be picked at any time.
 */
export function useReading(kindsOfWork: readonly string[]) {
  const cases = useCases();
  const { done, caseOf } = useKinds();
  const [picked, setPicked] = useState<string | null>(null);
  const all = cases.data ?? [];
  const kinds = done.filter((kind) => KINDS[kind].details.length > 0);
  const practice = kinds.map((kind) => ({ id: PRACTICE + kind, title: `Practice: ${caseOf(kind)}` }));
  const usual = practice.find(({ id }) => kindsOfWork.includes(practiceKind(id)!))?.id ?? null;
  const id = picked ?? all.find(fits(kindsOfWork))?.id ?? usual ?? all[0]?.id ?? null;
  const kind = practiceKind(id);
  const today = calendarToday();
  const madeUp = useMemo(() => (kind ? practiceRecord(kind, today) : null), [kind, today]);
  const known = useCase(kind ? null : id).data?.record;
  return { all, practice, id, record: madeUp ?? known ?? EMPTY, pick: setPicked };
}

// One and the same while no case is known, so that nothing is read anew for it.
const EMPTY = emptyRecord();

export type EntryReading = ReturnType<typeof useReading>;
