import { useMemo } from 'react';
import { useKinds } from '../api';
import type { DocumentWork } from './arrival';
import { SHOWN } from './shown';

/** What the kinds of work of the team make of documents. */
export function useDocumentWorks(): readonly DocumentWork[] {
  const { done } = useKinds();
  return useMemo(() => done.flatMap((kind) => SHOWN[kind].documents ?? []), [done]);
}
