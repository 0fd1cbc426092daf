import { useMutation } from '@tanstack/react-query';
import type { Editor } from '@tiptap/react';
import { useState } from 'react';
import type { Entry } from '#contracts';
import { isSame, mergedEntry } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { call, inWords } from '#client/api';
import { takeKept, KEYS, queryClient, revisionQuery } from '../../api';
import type { BankIndex } from '#core/bank';
import { DifferenceView } from '../../show';
import { placementsOf, nowAt } from '../../editor';
import { NoteForm } from '../../notes';
import { Button, Notice, TextField } from '../../ui';
import { giveKeys } from '../surface/whereKeysGo';

interface Props {
  editor: Editor;
  id: string;
  entry: Entry;
  index: BankIndex;
  /** The entry's content with what was changed by hand where it was placed; null where nothing was. */
  changedByHand: (editor: Editor, placement: string, before: EntryContent) => EntryContent | null;
}

interface Change {
  before: EntryContent;
  after: EntryContent;
  base: number;
}

/** The changed words with a why, sent to the keepers, or kept at once by one of them. */
function ChangeForm({
  editor,
  placement,
  entry,
  change,
  keeps,
  done,
}: {
  editor: Editor;
  placement: string;
  entry: Entry;
  change: Change;
  keeps: boolean;
  done: (said: string | null) => void;
}) {
  const [reason, setReason] = useState('');
  const send = useMutation({
    mutationFn: async () => {
      const body = { content: change.after, reason };
      if (keeps) return call('saveEntry', { params: { entry: entry.id }, body, version: change.base });
      await call('propose', { params: { entry: entry.id }, body: { ...body, base: change.base } });
      return null;
    },
    onSuccess: (kept) => {
      if (kept) {
        takeKept(kept);
        // What stands here is what was saved: it is no older than that.
        editor.view.dispatch(nowAt(editor.state, placement, kept.revision));
      }
      void queryClient.invalidateQueries({ queryKey: KEYS.proposals });
      done(
        kept
          ? `Saved as revision ${kept.revision}, for all who use it.`
          : 'Proposed. Its keepers have been told.',
      );
    },
  });
  return (
    <form
      aria-label={keeps ? 'Save the change' : 'Propose the change'}
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim() !== '') send.mutate();
      }}
    >
      <DifferenceView before={change.before} after={change.after} />
      <TextField
        label="Reason"
        autoFocus
        maxLength={300}
        value={reason}
        onChange={({ target }) => setReason(target.value)}
      />
      {send.error && <Notice tone="warning" title={inWords(send.error)} />}
      <p className="flex gap-2">
        <Button type="submit" disabled={send.isPending || reason.trim() === ''}>
          {keeps ? 'Save for all' : 'Propose'}
        </Button>
        <Button look="text" onClick={() => done(null)}>
          Cancel
        </Button>
      </p>
    </form>
  );
}

/** From where an entry was placed: its faults noted, and what was changed by hand brought into the bank. */
export function PlacementActions({ editor, id, entry, index, changedByHand }: Props) {
  const [noting, setNoting] = useState(false);
  const [change, setChange] = useState<Change | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const right = index.collections.get(entry.collection)?.right ?? 'read';
  const look = async () => {
    setSaid(null);
    const placed = placementsOf(editor.state.doc)[id];
    if (!placed) return;
    try {
      const { content } = await queryClient.fetchQuery(revisionQuery(placed.entry, placed.revision));
      const mine = changedByHand(editor, id, content);
      if (!mine) return setSaid('None of its own words were changed here.');
      const { content: merged, clashes } = mergedEntry(content, mine, entry.content);
      // Where both changed the same words a person must say which; here the newer ones are shown first.
      if (clashes.length > 0)
        return setSaid(
          `The shared wording was changed at the same place since it was placed here. Take the newer one first, or open “${entry.content.title}” and combine the two there.`,
        );
      if (isSame(merged, entry.content)) return setSaid('The shared wording says the same by now.');
      setChange({ before: entry.content, after: merged, base: entry.revision });
    } catch (error) {
      setSaid(`${inWords(error)} Nothing was changed.`);
    }
  };
  if (noting)
    return (
      <NoteForm
        entry={entry.id}
        done={() => {
          setNoting(false);
          giveKeys(editor.view);
        }}
      />
    );
  if (change)
    return (
      <ChangeForm
        editor={editor}
        placement={id}
        entry={entry}
        change={change}
        keeps={right === 'keep'}
        done={(words) => {
          setChange(null);
          setSaid(words);
          giveKeys(editor.view);
        }}
      />
    );
  return (
    <div className="mt-1 grid gap-1 text-[13.5px]">
      {said && <p role="status">{said}</p>}
      <p className="flex flex-wrap gap-x-4">
        <Button look="text" onClick={() => setNoting(true)}>
          Report a mistake
        </Button>
        {right !== 'read' && (
          <Button look="text" onClick={() => void look()}>
            {right === 'keep' ? 'Save what I changed here' : 'Propose what I changed here'}
          </Button>
        )}
      </p>
    </div>
  );
}
