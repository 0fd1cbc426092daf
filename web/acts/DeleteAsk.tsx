import { useQuery } from '@tanstack/react-query';
import type { Entry } from '#contracts';
import { call } from '#client/api';
import { Button, Failed, Loading } from '../ui';

interface Props {
  entries: readonly Entry[];
  go: () => void;
  close: () => void;
}

const cuesOf = (entries: readonly Entry[]) =>
  entries.flatMap(({ content }) => (content.retired ? [] : content.cues.map(({ text }) => text)));

const TOLD = 6;
const few = (all: readonly string[]) =>
  all.slice(0, TOLD).join(', ') + (all.length > TOLD ? ` and ${all.length - TOLD} more` : '');

/** Asks before entries are deleted, and says what that touches. */
export function DeleteAsk({ entries, go, close }: Props) {
  const ids = entries.map(({ id }) => id);
  const touched = useQuery({
    queryKey: ['touched', ids],
    queryFn: () => call('touched', { body: { entries: ids } }),
    staleTime: 0,
  });
  const cues = cuesOf(entries);
  const what = entries.length === 1 ? `“${entries[0]!.content.title}”` : `${entries.length} entries`;
  return (
    <div role="alertdialog" aria-label={`Delete ${what}?`} className="grid gap-2 border-l-2 border-rust pl-3">
      <p className="text-[14px] font-semibold break-words">Delete {what}?</p>
      {touched.isPending && <Loading what="what uses it" />}
      {touched.isError && (
        <Failed what="what uses it" error={touched.error} retry={() => void touched.refetch()} />
      )}
      {touched.data && (
        <ul className="list-disc pl-5 text-[13.5px] text-soft">
          {cues.length > 0 && (
            <li>
              {cues.length === 1 ? 'Its cue becomes free' : 'Their cues become free'}: {few(cues)}.
            </li>
          )}
          {touched.data.within.length > 0 && (
            <li>
              {few(touched.data.within.map(({ title }) => `“${title}”`))}{' '}
              {touched.data.within.length === 1
                ? 'includes it and will have a gap'
                : 'include it and will have a gap'}
              .
            </li>
          )}
          {touched.data.drafts > 0 && (
            <li>
              {touched.data.drafts === 1
                ? 'One unfinished draft holds'
                : `${touched.data.drafts} unfinished drafts hold`}{' '}
              what was placed from here: the words stay as they are.
            </li>
          )}
          <li>It waits in the wastebasket, with its history, and can be brought back.</li>
        </ul>
      )}
      <p className="flex gap-2">
        {/* Drawn anew when it can be pressed: then it has the keys. */}
        <Button key={String(touched.isSuccess)} look="main" autoFocus disabled={!touched.data} onClick={go}>
          Delete
        </Button>
        <Button onClick={close}>Cancel</Button>
      </p>
    </div>
  );
}
