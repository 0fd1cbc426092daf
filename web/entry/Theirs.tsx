import { useMemo } from 'react';
import type { Entry } from '#contracts';
import { mergedEntry } from '#core/difference';
import { useRevision, useTeam } from '../api';
import { Button, Notice } from '../ui';
import { DifferenceView, titleOf } from '../show';
import type { EntryChanging } from './useEntryChange';

/** What someone else saved while one was changing the same entry: both beside what they began from, to be made one. */
export function Theirs({ theirs, changing }: { theirs: Entry; changing: EntryChanging }) {
  const base = useRevision(theirs.id, changing.base || null).data?.content;
  const who = useTeam().data?.members.find(({ id }) => id === theirs.savedBy)?.name;
  const both = useMemo(() => {
    if (!base) return null;
    const mine = mergedEntry(base, changing.content, theirs.content);
    return { mine, theirs: mergedEntry(base, theirs.content, changing.content) };
  }, [base, changing.content, theirs.content]);
  const clashes = both?.mine.clashes.map(titleOf).join(', ');
  return (
    <Notice tone="warning" title={`${who ?? 'Someone'} saved this entry while you were changing it.`}>
      <p>
        {theirs.reason ? `Why: “${theirs.reason}”.` : 'No reason given.'} Your version is on the page,
        complete.
      </p>
      {base && (
        <div className="my-2 border-l border-hair pl-3 text-ink">
          <p className="eyebrow">What they changed</p>
          <DifferenceView before={base} after={theirs.content} />
          <p className="eyebrow mt-2">What you changed</p>
          <DifferenceView before={base} after={changing.content} />
        </div>
      )}
      <p className="eyebrow">Compare with theirs</p>
      <div className="my-2 border-l border-hair pl-3 text-ink">
        <DifferenceView before={changing.content} after={theirs.content} />
      </div>
      {clashes && <p>You both changed: {clashes}.</p>}
      <p className="mt-2 flex flex-wrap gap-2">
        {both && !clashes && (
          <Button look="main" onClick={() => changing.takeMerged(both.mine.content, theirs.revision)}>
            Combine, mine where both changed
          </Button>
        )}
        {both && clashes && (
          <>
            <Button onClick={() => changing.takeMerged(both.mine.content, theirs.revision)}>
              Combine, mine where both changed
            </Button>
            <Button onClick={() => changing.takeMerged(both.theirs.content, theirs.revision)}>
              Combine, theirs where both changed
            </Button>
          </>
        )}
        <Button onClick={changing.saveOverTheirs}>Save mine as the next revision</Button>
        <Button onClick={changing.letGo}>Use theirs</Button>
      </p>
    </Notice>
  );
}
