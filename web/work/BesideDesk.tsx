import { Suspense } from 'react';
import { useKinds } from '../api';
import { SHOWN } from './shown';

/** What the kinds of work of the team have beside the desk, in their order. */
export function BesideDesk() {
  const { done } = useKinds();
  return done.map((kind) => {
    const OnDesk = SHOWN[kind].onDesk;
    return OnDesk ? (
      <Suspense key={kind} fallback={null}>
        <OnDesk />
      </Suspense>
    ) : null;
  });
}
