import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { useShell } from '../shell';
import { Button, Notice } from '../ui';

/** Notes that were begun and left, by who writes them and on what, until they are sent or given up. */
const begun = new Map<string, string>();

/** A line to note something on an entry, for its keepers. One that is left with Escape is there again when it is opened the next time. */
export function NoteForm({ entry, done }: { entry: string; done: () => void }) {
  const { member } = useShell();
  const key = `${member.id} ${entry}`;
  const [text, setText] = useState(() => begun.get(key) ?? '');
  const type = (words: string) => {
    setText(words);
    begun.set(key, words);
  };
  const note = useMutation({
    mutationFn: () => call('note', { params: { entry }, body: { text } }),
    onSuccess: () => {
      void queryClient.invalidateQueries({ queryKey: KEYS.notes });
      giveUp();
    },
  });
  const giveUp = () => {
    begun.delete(key);
    done();
  };
  const send = () => {
    if (text.trim() !== '' && !note.isPending) note.mutate();
  };
  return (
    <form
      aria-label="Note something"
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        send();
      }}
    >
      <textarea
        aria-label="Note for its keepers"
        placeholder="Such as: wrong dose unit"
        rows={2}
        autoFocus
        // On its way: what would be typed now would go with the form.
        readOnly={note.isPending}
        maxLength={2000}
        className="input resize-none field-sizing-content text-[14px]"
        value={text}
        onChange={({ target }) => type(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Escape') done();
          if (event.key !== 'Enter' || event.shiftKey || event.nativeEvent.isComposing) return;
          event.preventDefault();
          send();
        }}
      />
      {note.error && <Notice tone="warning" title={inWords(note.error)} />}
      <p className="flex gap-2">
        <Button type="submit" disabled={note.isPending || text.trim() === ''}>
          Send the note
        </Button>
        <Button look="text" onClick={giveUp}>
          Cancel
        </Button>
      </p>
    </form>
  );
}
