import { closeHistory } from '@tiptap/pm/history';
import { useQuery } from '@tanstack/react-query';
import type { Editor } from '@tiptap/react';
import { useEffect, useRef, useState } from 'react';
import type { DraftStateWhy } from '#contracts';
import { finishedPassage } from '#core/fill';
import { call } from '#client/api';
import { PassageView } from '../../show';
import { instantInWords } from '#client/clock';
import { replaceDraft } from '../../editor';
import { Button, Failed, Key, Loading } from '../../ui';

const WHY: Record<DraftStateWhy, string> = {
  written: 'while writing',
  finished: 'finished',
  'saved-over': 'before another window’s text was saved over',
  'set-aside': 'set aside for another window’s text',
  'from-backup': 'as it was in a backup',
};

interface Props {
  editor: Editor;
  draft: string;
  close: (said?: string) => void;
}

/** The text of one earlier state, and the way to bring it back. */
function State({ editor, draft, state, close }: Props & { state: string }) {
  const found = useQuery({
    queryKey: ['draft-state', draft, state],
    queryFn: () => call('draftState', { params: { draft, state } }),
  });
  if (found.isPending) return <Loading what="the text" />;
  if (found.isError) return <Failed what="the text" error={found.error} retry={() => void found.refetch()} />;
  const { document, at } = found.data;
  const bringBack = () => {
    // A step of its own for undo, however soon after the last key.
    editor.view.dispatch(closeHistory(replaceDraft(editor.state, document)));
    close(`The text of ${instantInWords(at)} is on the leaf again. Undo brings the other back.`);
  };
  return (
    <div className="mt-2 border-l border-hair pl-3">
      <div className="max-h-72 overflow-y-auto" tabIndex={0} role="region" aria-label="The earlier text">
        <PassageView passage={finishedPassage(document)} nameOf={() => ''} links={false} />
      </div>
      <p className="mt-2">
        <Button onClick={bringBack}>Bring this text back</Button>
      </p>
    </div>
  );
}

/** Earlier states of the draft: some minutes of writing, each finish, what another window's text replaced. */
export function EarlierStates(props: Props) {
  const { draft, close } = props;
  const slip = useRef<HTMLElement>(null);
  const [open, setOpen] = useState<string | null>(null);
  const states = useQuery({
    queryKey: ['draft-states', draft],
    queryFn: () => call('draftStates', { params: { draft } }),
    staleTime: 0,
  });
  useEffect(
    () => (slip.current?.querySelector<HTMLElement>('li button') ?? slip.current)?.focus(),
    [states.data],
  );
  return (
    <section
      ref={slip}
      tabIndex={-1}
      aria-label="Earlier texts of this draft"
      className="slip outline-none"
      onKeyDown={(event) => event.key === 'Escape' && close()}
    >
      <p className="eyebrow">Earlier texts of this draft</p>
      {states.isPending && <Loading what="earlier texts" />}
      {states.isError && (
        <Failed what="earlier texts" error={states.error} retry={() => void states.refetch()} />
      )}
      {states.data?.length === 0 && (
        <p className="text-[14px] text-soft">
          None yet. The text is saved every few minutes while you write.
        </p>
      )}
      <ul>
        {states.data?.map(({ id, at, why, excerpt }) => (
          <li key={id} className="border-b border-hair last:border-0">
            <button
              type="button"
              aria-expanded={open === id}
              onClick={() => setOpen(open === id ? null : id)}
              className="w-full py-1 text-left hover:bg-flower focus:bg-flower"
            >
              <span className="text-[13px] text-soft">
                {instantInWords(at)}, {WHY[why]}
              </span>
              <span className="line-clamp-1">{excerpt}</span>
            </button>
            {open === id && <State {...props} state={id} />}
          </li>
        ))}
      </ul>
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Enter</Key> shows one, <Key>Esc</Key> leaves
      </p>
    </section>
  );
}
