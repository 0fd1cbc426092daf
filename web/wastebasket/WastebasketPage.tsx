import { useMutation, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Deletion, Restored } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { instantInWords } from '#client/clock';
import { Figure, useShell } from '../shell';
import { Button, Failed, Loading, Notice } from '../ui';
import { EmptyingForm } from './EmptyingForm';

const WHAT: Record<Deletion['what'], string> = {
  entries: 'from the bank',
  collection: 'a collection with all in it',
  draft: 'your draft',
  glossary: 'a glossary',
  file: 'a file',
};

function broughtBack(title: string, { lostCues }: Restored): string {
  const cues = lostCues.map(({ cue }) => cue).join(', ');
  return `“${title}” is back${cues ? `, without ${cues}: by now that brings another entry` : ''}.`;
}

/** What went together into the wastebasket; entries can be brought back one by one. */
function Deleted({
  deletion,
  bringBack,
}: {
  deletion: Deletion;
  bringBack: (entry: Deletion['entries'][number]) => void;
}) {
  const { what, entries, count } = deletion;
  return (
    <details className="text-[13.5px]">
      <summary className="cursor-pointer text-soft">Show them</summary>
      <ul className="pl-4">
        {entries.map((entry) => (
          <li key={entry.id} className="flex items-baseline gap-3">
            <span className="break-words">{entry.title}</span>
            {what === 'entries' && (
              <Button look="text" aria-label={`Bring back ${entry.title}`} onClick={() => bringBack(entry)}>
                Bring back
              </Button>
            )}
          </li>
        ))}
        {count > entries.length && <li className="text-soft">and {count - entries.length} more</li>}
      </ul>
    </details>
  );
}

function Row({ deletion, say }: { deletion: Deletion; say: (words: string) => void }) {
  const { id, what, title, by, at, until, count } = deletion;
  const [asking, setAsking] = useState(false);
  const settled = () => {
    for (const queryKey of [KEYS.wastebasket, KEYS.bank, KEYS.cases, KEYS.glossaries])
      void queryClient.invalidateQueries({ queryKey });
  };
  const restore = useMutation({
    mutationFn: ({ only }: { only: string[] | null; name: string }) =>
      call('restore', { params: { deletion: id }, body: { entries: only } }),
    onSuccess: (restored, { name }) => say(broughtBack(name, restored)),
    onSettled: settled,
  });
  const purge = useMutation({
    mutationFn: () => call('purge', { params: { deletion: id } }),
    onSuccess: () => say(`“${title}” was deleted for good.`),
    onSettled: settled,
  });
  const error = restore.error ?? purge.error;
  return (
    <li className="border-b border-hair px-9 py-3 max-[899px]:px-4">
      <div className="flex flex-wrap items-baseline gap-x-4">
        <span className="min-w-0 grow font-book text-[17px] break-words">
          {title} <span className="font-face text-[13.5px] text-soft">{WHAT[what]}</span>
        </span>
        <Button
          look="text"
          aria-label={`Bring back ${title}`}
          disabled={restore.isPending}
          onClick={() => restore.mutate({ only: null, name: title })}
        >
          Bring back
        </Button>
        <Button look="text" aria-label={`Delete ${title} for good`} onClick={() => setAsking(true)}>
          Delete for good
        </Button>
      </div>
      <p className="text-[13px] text-soft">
        {by}, {instantInWords(at)}
        {until && `; deleted for good ${instantInWords(until)}`}
      </p>
      {count > 1 && (
        <Deleted
          deletion={deletion}
          bringBack={({ id: entry, title: name }) => restore.mutate({ only: [entry], name })}
        />
      )}
      {error && <Notice tone="warning" title={inWords(error)} />}
      {asking && (
        <div
          role="alertdialog"
          aria-label="Delete for good?"
          className="mt-2 grid gap-2 border-l-2 border-rust pl-3"
        >
          <p className="text-[14px]">Its history is deleted too. This cannot be undone.</p>
          <p className="flex gap-2">
            <Button disabled={purge.isPending} onClick={() => purge.mutate()}>
              Delete for good
            </Button>
            {/* It has the keys: Enter twice must not delete what does not come back. */}
            <Button autoFocus onClick={() => setAsking(false)}>
              Cancel
            </Button>
          </p>
        </div>
      )}
    </li>
  );
}

/** What was deleted and can be brought back. */
export function WastebasketPage() {
  const { member } = useShell();
  const [said, setSaid] = useState<string | null>(null);
  const wastebasket = useQuery({
    queryKey: KEYS.wastebasket,
    queryFn: () => call('wastebasket'),
    staleTime: 0,
  });
  return (
    <Figure
      marginLabel="About the wastebasket"
      margin={
        <div className="grid gap-5 pt-6">
          <p className="text-[14px] text-soft">
            What you deleted, and what others deleted where you are a keeper. Everything comes back with it:
            wording, history, and cues that are still free.
          </p>
          <EmptyingForm isOwner={member.role === 'owner'} />
        </div>
      }
    >
      <h1 className="px-9 pt-6 pb-2 font-book text-[26px] leading-tight max-[899px]:px-4">Wastebasket</h1>
      {said && (
        <div className="px-9 pb-2 max-[899px]:px-4">
          <Notice title={said} />
        </div>
      )}
      {wastebasket.isPending && <Loading what="the wastebasket" />}
      {wastebasket.isError && (
        <Failed what="the wastebasket" error={wastebasket.error} retry={() => void wastebasket.refetch()} />
      )}
      {wastebasket.data?.length === 0 && (
        <p className="px-9 py-4 text-soft max-[899px]:px-4">The wastebasket is empty.</p>
      )}
      <ul aria-label="Deleted">
        {wastebasket.data?.map((deletion) => (
          <Row key={deletion.id} deletion={deletion} say={setSaid} />
        ))}
      </ul>
    </Figure>
  );
}
