import { useMutation, useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { Import, ImportUndone } from '#contracts';
import { call } from '#client/api';
import { KEYS, queryClient, renewCollection } from '../api';
import { Button, Notice, Refused } from '../ui';

const entriesInWords = (count: number) => (count === 1 ? '1 entry' : `${count.toLocaleString()} entries`);

/** What an import brought, in words. */
export const broughtInWords = ({ made, changed }: Pick<Import, 'made' | 'changed'>): string =>
  [
    ...(made > 0 || changed === 0 ? [`${entriesInWords(made)} added`] : []),
    ...(changed > 0 ? [`${entriesInWords(changed)} changed`] : []),
  ].join(', ');

const undoneInWords = ({ deleted, reverted, leftCount }: ImportUndone): string =>
  [
    deleted > 0 && `${entriesInWords(deleted)} moved to the wastebasket.`,
    reverted > 0 && `${entriesInWords(reverted)} put back as before.`,
    leftCount > 0 &&
      `${entriesInWords(leftCount)} changed since: ${leftCount === 1 ? 'it stays as it is' : 'they stay as they are'}.`,
  ]
    .filter(Boolean)
    .join(' ') || 'There was nothing left to take back.';

const whenOf = new Intl.DateTimeFormat(undefined, { dateStyle: 'medium', timeStyle: 'short' });

/** What this member brought in, the newest first; each can be taken back, days later too. */
export function BroughtIn() {
  const { data } = useQuery({ queryKey: KEYS.imports, queryFn: () => call('imports') });
  const renew = async (collection: string) => {
    await Promise.all([
      queryClient.invalidateQueries({ queryKey: KEYS.imports }),
      queryClient.invalidateQueries({ queryKey: KEYS.bank }),
      renewCollection(collection).catch(() => undefined),
    ]);
  };
  const undo = useMutation({
    mutationFn: ({ id }: Import) => call('undoImport', { params: { import: id } }),
    onSuccess: (_, { collection }) => renew(collection),
  });
  const drop = useMutation({
    mutationFn: ({ id }: Import) => call('dropImport', { params: { import: id } }),
    onSuccess: (_, { collection }) => renew(collection),
  });
  const shown = (data ?? []).filter(({ state }) => state !== 'undone').slice(0, 8);
  if (shown.length === 0 && !undo.data) return null;
  return (
    <section aria-label="Brought in before" className="pt-6">
      <h2 className="eyebrow">Brought in before</h2>
      {undo.data && (
        <div className="py-2">
          <Notice title={undoneInWords(undo.data)}>
            {undo.data.left.length > 0 && <p>{undo.data.left.join(', ')}</p>}
          </Notice>
        </div>
      )}
      {(undo.error ?? drop.error) && <Refused error={undo.error ?? drop.error} />}
      <ul>
        {shown.map((one) => (
          <li key={one.id} className="grid gap-0.5 border-b border-hair py-2 text-[13.5px] last:border-0">
            <span className="break-words">{one.name}</span>
            <span className="text-[12.5px] text-soft">
              {whenOf.format(new Date(one.at))}
              {one.state === 'arriving' ? ', not finished' : `, ${broughtInWords(one)}`}
            </span>
            <span className="flex gap-4">
              {one.state === 'arriving' ? (
                <Button look="text" disabled={drop.isPending} onClick={() => drop.mutate(one)}>
                  Delete<span className="sr-only"> what came of {one.name}</span>
                </Button>
              ) : (
                <>
                  <Link to={`/bank?in=${one.collection}`} className="min-h-6 text-elder underline">
                    Show<span className="sr-only"> {one.name} in the bank</span>
                  </Link>
                  <Button look="text" disabled={undo.isPending} onClick={() => undo.mutate(one)}>
                    Undo<span className="sr-only"> {one.name}</span>
                  </Button>
                </>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
