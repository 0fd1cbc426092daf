import { useCallback, useDeferredValue, useMemo, useState } from 'react';
import type { Entry } from '#contracts';
import type { Answers } from '#core/draft';
import { ApiProblem, inWords, isProblem } from '#client/api';
import { SignInAgain } from '../account';
import { calendarToday } from '#client/clock';
import { useShell } from '../shell';
import { Button, Notice } from '../ui';
import type { BankIndex } from '#core/bank';
import { ProposalsOf } from '../proposals';
import { EntryActions } from './EntryActions';
import { History, HistoryOfMerged } from './History';
import { ReviewOf } from '../reviews';
import { NotesOf } from '../notes';
import { PresentHere } from './PresentHere';
import { Theirs } from './Theirs';
import { VariationPanel } from './VariationPanel';
import type { EntryEditing } from './useEntryEditing';
import { Doubts } from './workbench/Doubts';
import { Misspelt } from './workbench/Misspelt';
import { PointedOut } from './workbench/PointedOut';
import { Preview } from './workbench/Preview';
import { useReading } from './workbench/useReading';

interface Props {
  index: BankIndex;
  editing: EntryEditing;
  said: string | null;
  takeCue: (cue: string) => void;
  /** Told where in the margin the words at the caret are spoken of; null on a window too narrow for a margin. */
  besideWords: (place: HTMLElement | null) => void;
}

function Refused({ error, leadIn, takeCue }: { error: Error; leadIn: string } & Pick<Props, 'takeCue'>) {
  const problem = error instanceof ApiProblem ? error.problem : null;
  const proposed = isProblem(error, 'cue-taken') ? error.problem.proposed : undefined;
  const others = (problem?.faults ?? []).filter(({ message }) => message !== problem?.detail);
  return (
    <Notice tone="warning" title={inWords(error)}>
      {others.map(({ place, message }) => (
        <p key={place + message}>{message}</p>
      ))}
      Nothing was saved. Your change is still here.{' '}
      {proposed && (
        <Button look="text" onClick={() => takeCue(proposed)}>
          Use {leadIn + proposed}
        </Button>
      )}
    </Notice>
  );
}

const NO_ANSWERS: Answers = {};

/** How the entry reads for a case, and what is doubtful about it: every branch of it can be tried. */
function Workbench({ index, editing }: Pick<Props, 'index' | 'editing'>) {
  const { changing, collection, place, show } = editing;
  const { member } = useShell();
  const reading = useReading(collection?.kindsOfWork ?? NO_KINDS);
  const { record } = reading;
  const [answers, answer] = useState(NO_ANSWERS);
  const { content } = changing;
  const request = useMemo(
    () => ({
      entry: { id: 'reading', revision: 1, content },
      wording: place.wording,
      record,
      today: calendarToday(),
      writer: member,
      find: (id: string) => index.entries.get(id)?.content,
    }),
    [content, place.wording, record, member, index],
  );
  // What is typed stands on the page first; the reading follows when there is time.
  const settled = useDeferredValue(request);
  return (
    <>
      <Preview reading={reading} request={settled} answers={answers} />
      <PointedOut
        index={index}
        content={content}
        entry={editing.entry?.id}
        isShared={collection !== undefined && !collection.own}
        change={editing.editable ? editing.put : null}
        show={show}
      />
      <Misspelt content={content} change={editing.editable ? editing.put : null} show={show} />
      <Doubts request={request} wording={place.wording} show={show} answer={answer} />
    </>
  );
}

const NO_KINDS: readonly string[] = [];

/** Beside an entry that is kept: its notes, what can be done with it, its history. */
function OfKept({ index, entry, editing }: Pick<Props, 'index' | 'editing'> & { entry: Entry }) {
  const { collection, changing, editable } = editing;
  const bringBack = editable ? changing.bringBack : null;
  return (
    <>
      <ReviewOf entry={entry.id} keeps={collection?.right === 'keep'} />
      <NotesOf entry={entry.id} />
      <History entry={entry.id} current={entry.revision} bringBack={bringBack} />
      {entry.merged?.map((id) => (
        <HistoryOfMerged key={id} entry={id} bringBack={bringBack} />
      ))}
      <VariationPanel index={index} entry={entry} />
      <EntryActions
        index={index}
        entry={entry}
        keeps={collection?.right === 'keep'}
        isChanged={changing.isChanged}
      />
    </>
  );
}

/** Beside an entry: what became of a save, how it reads for a case, and its history. */
export function EntryMargin({ index, editing, said, takeCue, besideWords }: Props) {
  const { entry, collection, changing } = editing;
  const { theirs, error, setAside } = changing;
  const beside = useCallback(
    (place: HTMLElement | null) =>
      besideWords(window.matchMedia('(min-width: 900px)').matches ? place : null),
    [besideWords],
  );
  const { member } = useShell();
  return (
    <div className="entry-margin grid gap-6 pt-6">
      <div ref={beside} className="grid gap-2 empty:hidden" />
      {entry && <PresentHere entry={entry.id} />}
      {theirs && <Theirs theirs={theirs} changing={changing} />}
      {isProblem(error, 'not-signed-in') ? (
        <SignInAgain member={member} kept="Your change is saved on this computer." goOn={changing.save} />
      ) : (
        error && <Refused error={error} leadIn={collection?.leadIn ?? ''} takeCue={takeCue} />
      )}
      {said && (!changing.isChanged || !entry) && <Notice title={said} />}
      <ProposalsOf entry={entry?.id} amending={changing.proposal !== undefined} />
      {setAside && (
        <Notice title="Your change was discarded.">
          <Button look="text" onClick={changing.takeUpAgain}>
            Bring it back
          </Button>
        </Notice>
      )}
      <Workbench index={index} editing={editing} />
      {entry && <OfKept index={index} entry={entry} editing={editing} />}
    </div>
  );
}
