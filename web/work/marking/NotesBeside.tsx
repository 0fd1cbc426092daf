import { dayInWords } from '#client/clock';
import { Button } from '../../ui';
import { wordsOfMarking } from './wordsOfMarking';
import type { Markings } from './useMarkings';
import { isSameObject, type NoteOnPage } from './useNotes';

const whoAndWhen = ({ author, at }: NoteOnPage): string =>
  [author || 'Somebody', at && dayInWords(at)].filter((one) => one !== '').join(', ');

/** A remark with what was answered to it, in the file and here. */
function Remark({
  note,
  replies,
  markings: { acts, markings, current },
  open,
}: {
  note: NoteOnPage;
  replies: readonly NoteOnPage[];
  markings: Markings;
  open: boolean;
}) {
  const own = markings.filter(({ marking }) => isSameObject(note.object, marking.answers));
  const [on] = note.on;
  return (
    <li className="border-b border-hair py-1">
      <button
        type="button"
        className="block min-h-6 w-full text-left hover:bg-flower"
        onClick={() => acts.look(note.page, { x: on!.left, y: on!.top })}
      >
        <span className="block text-[12.5px] text-soft">{whoAndWhen(note)}</span>
        <span className="font-book whitespace-pre-line">{note.text}</span>
      </button>
      <ul className="pl-3">
        {replies.map((reply, at) => (
          <li key={at}>
            <span className="block text-[12.5px] text-soft">{whoAndWhen(reply)}</span>
            <span className="font-book whitespace-pre-line">{reply.text}</span>
          </li>
        ))}
        {own.map((one) => (
          <li key={one.marking.id}>
            <button
              type="button"
              aria-current={one.marking.id === current ? 'true' : undefined}
              className="block min-h-6 w-full text-left font-book hover:bg-flower"
              onClick={() => acts.pick(one.marking.id)}
            >
              {wordsOfMarking(one) || 'Without words'}
            </button>
          </li>
        ))}
      </ul>
      {open && note.object && (
        <Button look="text" onClick={() => acts.answer(note)}>
          Answer
        </Button>
      )}
    </li>
  );
}

/** What others have remarked in the file, page by page, each to be looked at and answered. */
export function NotesBeside({
  notes,
  markings,
  open,
}: {
  notes: readonly NoteOnPage[];
  markings: Markings;
  open: boolean;
}) {
  const heads = notes.filter((note) => !notes.some(({ object }) => isSameObject(object, note.answers)));
  if (heads.length === 0) return null;
  return (
    <section aria-label="Remarks in the file" className="border-t border-hair pt-2 text-[14px]">
      <h2 className="eyebrow">Remarks in the file</h2>
      <ul className="max-h-[40vh] overflow-y-auto">
        {heads.map((note, at) => (
          <Remark
            key={at}
            {...{ note, markings, open }}
            replies={notes.filter(({ answers }) => isSameObject(note.object, answers))}
          />
        ))}
      </ul>
    </section>
  );
}
