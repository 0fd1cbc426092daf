import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { Button, Notice } from '../ui';

/** A line to note something on an entry, for its keepers. */
export function NoteForm({ entry, done }: { entry: string; done: () => void }) {
  const [text, setText] = useState('');
  const note = useMutation({
    mutationFn: () => call('note', { params: { entry }, body: { text } }),
    onSuccess: () => {
      void queryClient.invalidateQueries({ queryKey: KEYS.notes });
      setText('');
      done();
    },
  });
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
        onChange={({ target }) => setText(target.value)}
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
        <Button look="text" onClick={done}>
          Cancel
        </Button>
      </p>
    </form>
  );
}
