import { useEffect, useState, useSyncExternalStore } from 'react';
import { useSearchParams } from 'react-router';
import type { Case, Tray } from '#contracts';
import { KEYS, queryClient, useCase } from '../../api';
import { Figure } from '../../shell';
import { Failed, Loading } from '../../ui';
import { FilesView } from './FilesView';
import { TrayFiles } from './here/trayFiles';
import { HowView } from './HowView';
import { RenameView } from './out/RenameView';
import { PaperShelf } from './paperShelf';
import { VIEWS, type View } from './TrayHead';
import { useTray } from './useTray';

/** The files of a tray on this computer, and what is read of them, for as long as its page is open. */
function useFilesHere(of: string) {
  const [{ files, shelf }] = useState(() => {
    const made = new TrayFiles(of, () => queryClient.getQueryData<Tray>(KEYS.tray(of))?.lines ?? []);
    return { files: made, shelf: new PaperShelf(made) };
  });
  const here = useSyncExternalStore(files.subscribe, files.snapshot);
  // Drawn again with each file that was read.
  useSyncExternalStore(shelf.subscribe, shelf.snapshot);
  useEffect(() => {
    void files.again();
    // Scans may have come while one was elsewhere.
    const look = () => void files.look().catch(() => 0);
    window.addEventListener('focus', look);
    return () => window.removeEventListener('focus', look);
  }, [files]);
  useEffect(() => () => shelf.end(), [shelf]);
  return { files, shelf, here };
}

function OpenTray({ one, tray }: { one: Case; tray: Tray }) {
  const [params] = useSearchParams();
  const held = useFilesHere(one.id);
  const asked = params.get('show') as View | null;
  const view = asked && VIEWS.includes(asked) ? asked : 'names';
  if (view === 'how') return <HowView {...{ one, tray }} />;
  if (view === 'out') return <RenameView {...{ one, tray }} files={held.files} here={held.here} />;
  return <FilesView {...{ one, tray }} {...held} />;
}

/** A tray of files: they are named one after the other, and get their names. */
export function TrayLeaf({ id }: { id: string }) {
  const found = useCase(id);
  const tray = useTray(id);
  if (found.data && tray.data) return <OpenTray one={found.data} tray={tray.data} />;
  const failed = found.isError ? found : tray.isError ? tray : null;
  return (
    <Figure marginLabel="Beside the tray" margin={null}>
      {failed ? (
        <Failed
          what="this tray"
          error={failed.error}
          retry={() => void Promise.all([found.refetch(), tray.refetch()])}
        />
      ) : (
        <Loading what="the tray" />
      )}
    </Figure>
  );
}
