import { lazy, Suspense, type ComponentType, type LazyExoticComponent } from 'react';
import { useParams } from 'react-router';
import type { CaseSummary } from '#contracts';
import { KIND_IDS, type KindId } from '#core/work';
import { KEYS, queryClient, useCase } from '../api';
import { Figure, loadScreen } from '../shell';
import { Failed, Loading } from '../ui';
import { SHOWN } from './shown';

type CaseScreen = LazyExoticComponent<ComponentType<{ id: string }>>;

/** The screen of each kind, fetched when the first case of it is opened. */
const SCREENS = Object.fromEntries(
  KIND_IDS.map((id) => [id, lazy(() => loadScreen(SHOWN[id].load).then((screen) => ({ default: screen })))]),
) as Record<KindId, CaseScreen>;

// Fetched with this page: nearly every case is written on the leaf that all kinds share.
void SHOWN.leaf.load();

/** What a case that is not there yet is shown as, or one that cannot be had. */
const Waiting = ({ failed }: { failed?: { error: Error | null; refetch: () => unknown } }) => (
  <Figure marginLabel="Beside the leaf" margin={null}>
    {failed ? (
      <Failed what="this case" error={failed.error} retry={() => void failed.refetch()} />
    ) : (
      <Loading what="the case" />
    )}
  </Figure>
);

/** The kind of a case that the desk has listed already, so that its screen need not wait for the case. */
const listedKind = (id: string): KindId | undefined =>
  queryClient.getQueryData<CaseSummary[]>(KEYS.cases)?.find((one) => one.id === id)?.kind;

/** A case, drawn as its kind of work is. */
export function CasePage() {
  const { case: id } = useParams();
  const found = useCase(id!);
  const kind = found.data?.kind ?? listedKind(id!);
  if (!kind) return <Waiting failed={found.isError ? found : undefined} />;
  const Screen = SCREENS[kind];
  return (
    <Suspense fallback={<Waiting />}>
      <Screen id={id!} />
    </Suspense>
  );
}
