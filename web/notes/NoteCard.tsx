import { useMutation } from '@tanstack/react-query';
import { useState, type ReactNode } from 'react';
import type { Note } from '#contracts';
import { call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { instantInWords } from '#client/clock';
import { Button, Notice } from '../ui';

const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.notes });

/** One note with what was said to it; to be answered, closed and opened again. */
export function NoteCard({ note, children }: { note: Note; children?: ReactNode }) {
  const [answer, setAnswer] = useState('');
  const params = { note: note.id };
  const say = useMutation({
    mutationFn: (text: string) => call('answerNote', { params, body: { text } }),
    // What is typed on meanwhile stays.
    onSuccess: (_note, sent) => setAnswer((now) => (now === sent ? '' : now)),
    onSettled: settled,
  });
  const close = useMutation({
    mutationFn: (closed: boolean) => call('closeNote', { params, body: { closed } }),
    onSettled: settled,
  });
  const error = say.error ?? close.error;
  return (
    <article aria-label={`Note by ${note.by}`} className={`grid gap-1 ${note.closed ? 'text-soft' : ''}`}>
      {children}
      <p className="text-[14.5px] break-words whitespace-pre-line">{note.text}</p>
      <p className="text-[12.5px] text-soft">
        {note.own ? 'You' : note.by}, {instantInWords(note.at)}
        {note.closed && '; closed'}
      </p>
      <ul className="grid gap-1">
        {note.answers.map((one, at) => (
          <li key={at} className="border-l border-hair pl-3 text-[14px] break-words whitespace-pre-line">
            {one.text}
            <span className="block text-[12.5px] text-soft">
              {one.by}, {instantInWords(one.at)}
            </span>
          </li>
        ))}
      </ul>
      {error && <Notice tone="warning" title={inWords(error)} />}
      <form
        className="flex items-end gap-2"
        onSubmit={(event) => {
          event.preventDefault();
          if (answer.trim() !== '' && !say.isPending) say.mutate(answer);
        }}
      >
        {!note.closed && (
          <input
            aria-label="Answer"
            placeholder="Answer"
            maxLength={2000}
            className="input grow text-[14px]"
            value={answer}
            onChange={({ target }) => setAnswer(target.value)}
          />
        )}
        {!note.closed && answer.trim() !== '' && (
          <Button type="submit" disabled={say.isPending}>
            Answer
          </Button>
        )}
        <Button look="text" disabled={close.isPending} onClick={() => close.mutate(!note.closed)}>
          {note.closed ? 'Open again' : 'Close'}
        </Button>
      </form>
    </article>
  );
}
