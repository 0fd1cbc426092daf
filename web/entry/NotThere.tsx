import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, Navigate, useNavigate } from 'react-router';
import { call, inWords } from '#client/api';
import { takeKept } from '../api';
import { Figure, useShell } from '../shell';
import { Button, Notice } from '../ui';
import type { BankIndex } from '#core/bank';
import { dropUnsaved, readUnsaved, unsavedKey, type UnsavedEntryChange } from '#client/unsaved';
import { WordingsView } from '../show';

interface Props {
  id: string;
  index: BankIndex;
}

/** What a member had changed in an entry that is not theirs to see any more: it can go on as their own. */
function Unsaved({ id, index, change }: Props & { change: UnsavedEntryChange }) {
  const { member } = useShell();
  const navigate = useNavigate();
  const own = index.bank.collections.find((collection) => collection.own && collection.parent === null);
  const [key] = useState(() => crypto.randomUUID());
  const keep = useMutation({
    // Its cue is not taken along: it brings the shared wording for others.
    mutationFn: () =>
      call('makeEntry', {
        body: {
          collection: own?.id ?? '',
          content: { ...change.content, cues: [] },
          reason: change.reason,
          key,
        },
      }),
    onSuccess: (kept) => {
      takeKept(kept);
      dropUnsaved(unsavedKey(member.id, id));
      void navigate(`/bank/${kept.id}`);
    },
  });
  return (
    <section aria-label="What you had changed" className="mt-5 border-t border-hair pt-4">
      <p>Your unsaved change is on this computer:</p>
      <div className="book my-3 border-l-2 border-leaf pl-4">
        <p className="font-semibold">{change.content.title}</p>
        <WordingsView content={change.content} />
      </div>
      {keep.error && <Notice tone="warning" title={inWords(keep.error)} />}
      <Button look="main" disabled={keep.isPending} onClick={() => keep.mutate()}>
        Save it in my own wording
      </Button>
    </section>
  );
}

/** In the place of an entry that is not there, or not for this member any more. */
export function NotThere({ id, index }: Props) {
  const { member } = useShell();
  const [change] = useState(() => readUnsaved(unsavedKey(member.id, id)));
  const became = index.became.get(id);
  // What was merged into another is found there; what was being written on it is told first.
  if (became && !change) return <Navigate to={`/bank/${became.id}`} replace />;
  return (
    <Figure marginLabel="Beside the entry" margin={null}>
      <div className="px-9 py-8 max-[899px]:px-4">
        <h1 className="font-book text-[26px]">No such entry</h1>
        <p role="status" className="mt-2 text-soft">
          It may have been removed, or its collection is not shared with you.
        </p>
        {change && <Unsaved id={id} index={index} change={change} />}
        <Link to="/bank" className="mt-4 inline-block text-elder underline">
          Back to the bank
        </Link>
      </div>
    </Figure>
  );
}
