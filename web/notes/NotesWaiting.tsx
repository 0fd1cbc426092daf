import { Link } from 'react-router';
import { useEntriesAtHand, useNotes } from '../api';
import type { BankIndex } from '#core/bank';
import { Failed } from '../ui';
import { NoteCard } from './NoteCard';

/** All notes that a member keeps the entries of, or wrote. */
export function NotesWaiting({ index }: { index: BankIndex }) {
  const notes = useNotes();
  useEntriesAtHand(notes.data?.map(({ entry }) => entry) ?? []);
  if (notes.isError)
    return <Failed what="the notes" error={notes.error} retry={() => void notes.refetch()} />;
  return (
    <section aria-label="Notes" className="pt-5">
      <h2 className="section-head border-b border-hair px-9 pb-1 max-[899px]:px-4">Notes on entries</h2>
      {notes.data?.length === 0 && (
        <p className="px-9 py-4 text-[14px] text-soft max-[899px]:px-4">No notes.</p>
      )}
      <ul>
        {notes.data?.map((note) => {
          const entry = index.entries.get(note.entry);
          return (
            entry && (
              <li key={note.id} className="border-b border-hair px-9 py-4 max-[899px]:px-4">
                <NoteCard note={note}>
                  <Link
                    to={`/bank/${entry.id}`}
                    className="font-book text-[17px] break-words hover:text-elder"
                  >
                    {entry.content.title}
                  </Link>
                </NoteCard>
              </li>
            )
          );
        })}
      </ul>
    </section>
  );
}
