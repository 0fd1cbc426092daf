import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { pathFor, type Backup } from '#contracts';
import { call, inWords } from '#client/api';
import { bytesInWords } from '#core/language';
import { KEYS, queryClient, useBackups } from '../api';
import { useLongWork } from '../longWork';
import { Figure, useShell } from '../shell';
import { Button, Failed, Loading, Notice } from '../ui';
import { KeepingForm } from './KeepingForm';
import { RoomPanel } from './RoomPanel';
import { momentOf, WHY_WORDS } from './whyWords';

const renew = () => {
  for (const queryKey of [KEYS.backups, KEYS.room]) void queryClient.invalidateQueries({ queryKey });
};

function DeleteAsk({ backup, close }: { backup: Backup; close: () => void }) {
  const drop = useMutation({
    mutationFn: () => call('deleteBackup', { params: { backup: backup.name } }),
    onSettled: renew,
  });
  return (
    <div
      role="alertdialog"
      aria-label="Delete this backup?"
      className="mt-2 grid gap-2 border-l-2 border-rust pl-3"
    >
      <p className="text-[14px]">
        It is deleted for good. Today’s entries, cases and texts stay as they are.
      </p>
      <p className="flex gap-2">
        <Button disabled={drop.isPending} onClick={() => drop.mutate()}>
          Delete for good
        </Button>
        {/* It has the keys: Enter twice must not delete what does not come back. */}
        <Button autoFocus onClick={close}>
          Cancel
        </Button>
      </p>
      {drop.error && <Notice tone="warning" title={inWords(drop.error)} />}
    </div>
  );
}

function BackupRow({ backup, isOwner }: { backup: Backup; isOwner: boolean }) {
  const { name, at, why, bytes, isEncrypted } = backup;
  const [asking, setAsking] = useState(false);
  const when = momentOf.format(new Date(at));
  return (
    <li className="border-b border-hair px-9 py-3 max-[899px]:px-4">
      <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
        <span className="min-w-0 grow font-book text-[17px] break-words">{when}</span>
        <Link
          to={`/backups/${encodeURIComponent(name)}`}
          className="min-h-6 text-[14px] text-elder underline"
        >
          Compare with today<span className="sr-only">: {when}</span>
        </Link>
        {isOwner && (
          <>
            <a
              href={pathFor('backupFile', { backup: name })}
              download={name}
              className="min-h-6 text-[14px] text-elder underline"
            >
              Download<span className="sr-only"> the backup of {when}</span>
            </a>
            <Button
              look="text"
              className="text-[14px]"
              aria-label={`Delete the backup of ${when}`}
              onClick={() => setAsking(true)}
            >
              Delete
            </Button>
          </>
        )}
      </div>
      <p className="text-[13px] text-soft">
        {[WHY_WORDS[why], bytesInWords(bytes, navigator.language), isEncrypted && 'encrypted']
          .filter(Boolean)
          .join(' · ')}
      </p>
      {asking && <DeleteAsk backup={backup} close={() => setAsking(false)} />}
    </li>
  );
}

/** Makes a backup now, and says how far it is and what came of it. */
function MakeBackup() {
  const { working, start } = useLongWork('makeBackup');
  const [asked, setAsked] = useState(false);
  const result = working.state === 'done' ? working.result : null;
  if (asked && result) {
    setAsked(false);
    renew();
  }
  return (
    <div className="grid gap-2">
      <Button
        className="justify-self-start"
        disabled={working.state === 'working'}
        onClick={() => {
          setAsked(true);
          start(undefined);
        }}
      >
        Make a backup now
      </Button>
      {working.state === 'working' && (
        <progress
          aria-label="Making the backup"
          value={working.progress}
          className="h-1 w-full appearance-none [&::-webkit-progress-bar]:bg-hair [&::-webkit-progress-value]:bg-leaf"
        />
      )}
      {working.state === 'failed' && (
        <Notice tone="warning" title="No backup was made.">
          <p>{inWords(working.error)}</p>
        </Notice>
      )}
      {result?.state === 'refused' && <Notice tone="warning" title={result.why} />}
      {result?.state === 'done' && (
        <Notice title={`The backup is made: ${bytesInWords(result.result.bytes, navigator.language)}.`} />
      )}
    </div>
  );
}

/** For owners: a backup now, how many stay, where they are, and the room that all takes. */
function OwnersMargin({ folder }: { folder: string | null }) {
  return (
    <div className="grid gap-6 pt-6">
      {folder !== null && (
        <>
          <MakeBackup />
          <KeepingForm />
          <p className="text-[13.5px] break-words text-soft">
            They are in <span className="font-mono text-[12.5px]">{folder}</span> on the server. To restore
            all of one, stop Elderleaf there and run{' '}
            <span className="font-mono text-[12.5px]">npm run restore -- FILE --replace</span>.
          </p>
        </>
      )}
      <RoomPanel />
    </div>
  );
}

/** The backups of the store: made by themselves each day and before large acts; compared with today, and brought back in part. */
export function BackupsPage() {
  const { member } = useShell();
  const isOwner = member.role === 'owner';
  const backups = useBackups(true);
  return (
    <Figure
      marginLabel="Making backups, and storage"
      margin={
        isOwner ? (
          <OwnersMargin folder={backups.data?.folder ?? null} />
        ) : (
          <p className="pt-6 text-[14px] text-soft">
            Compare one with today to bring back what you keep or wrote, as it was then.
          </p>
        )
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">Backups</h1>
      {backups.isPending && <Loading what="the backups" />}
      {backups.isError && (
        <Failed what="the backups" error={backups.error} retry={() => void backups.refetch()} />
      )}
      {backups.data?.backups.length === 0 && (
        <p className="px-9 py-4 text-soft max-[899px]:px-4">
          {isOwner && backups.data.folder === null
            ? 'No backups are made: the server’s setting ELDERLEAF_BACKUPS is off.'
            : 'There are no backups yet. One is made each day.'}
        </p>
      )}
      <ul aria-label="Backups">
        {backups.data?.backups.map((backup) => (
          <BackupRow key={backup.name} backup={backup} isOwner={isOwner} />
        ))}
      </ul>
    </Figure>
  );
}
