import { useState } from 'react';
import { useNotes } from '../api';
import { Button } from '../ui';
import { NoteCard } from './NoteCard';
import { NoteForm } from './NoteForm';

/** Beside an entry: what was noted on it, as far as the reader may see, and a way to note more. */
export function NotesOf({ entry }: { entry: string }) {
  const { data = [] } = useNotes();
  const [writing, setWriting] = useState(false);
  const here = data.filter((note) => note.entry === entry);
  return (
    <section aria-label="Notes" className="grid gap-3">
      <h2 className="section-head">Notes</h2>
      {here.map((note) => (
        <NoteCard key={note.id} note={note} />
      ))}
      {writing ? (
        <NoteForm entry={entry} done={() => setWriting(false)} />
      ) : (
        <Button look="text" className="justify-self-start text-[14px]" onClick={() => setWriting(true)}>
          Write a note to its keepers
        </Button>
      )}
    </section>
  );
}
