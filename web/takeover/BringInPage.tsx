import { useMutation } from '@tanstack/react-query';
import { useMemo, useState, type ClipboardEvent, type ReactNode } from 'react';
import { Link, useLocation } from 'react-router';
import type { Import } from '#contracts';
import type { BankIndex } from '#core/bank';
import { starterFile, STARTER_LEAD_IN, STARTERS } from '#core/starters';
import { useBank, useBankIndex, usePersonalFinder } from '../api';
import { Figure } from '../shell';
import { Failed, FileDrop, Loading, Notice, Refused } from '../ui';
import { Arrived } from './Arrived';
import { BlanksPanel } from './BlanksPanel';
import { BroughtIn, broughtInWords } from './BroughtIn';
import { ReadAs } from './ReadAs';
import { readPaste, readSources, type Source } from './source';
import { useIntake } from './useIntake';

/** The collection of the shelf that led here; null where none did. */
function useStarterAsked(): Source | null {
  const asked = (useLocation().state as { starter?: string } | null)?.starter;
  return useMemo(() => {
    const starter = STARTERS.find(({ id }) => id === asked);
    if (!starter) return null;
    return { kind: 'collection', name: starter.name, file: starterFile(starter, STARTER_LEAD_IN) };
  }, [asked]);
}

/** Where a file is dropped or words are pasted. */
function TakeSource({
  isReading,
  take,
  paste,
}: {
  isReading: boolean;
  take: (files: readonly File[]) => void;
  paste: (text: string, html: string) => void;
}) {
  const onPaste = (event: ClipboardEvent) => {
    event.preventDefault();
    const { clipboardData: data } = event;
    const [file] = data.files;
    const text = data.getData('text/plain');
    if (text.trim() === '' && file) take([file]);
    else paste(text, data.getData('text/html'));
  };
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_15rem] gap-4 max-[899px]:grid-cols-1">
      <FileDrop
        label="File to bring in"
        hint="Drop a table, a document of answers or comments, a list of abbreviations, mails you sent, or a collection of another team: xlsx, CSV, docx, ODT, RTF, HTML, Markdown, JSON, YAML, eml, mbox or text. You see what it becomes before anything is saved."
        isReading={isReading}
        isMany
        take={take}
      />
      <textarea
        aria-label="Paste here"
        placeholder="Or paste a table or a text here"
        className="input resize-none border border-dashed border-rule/60 p-3 text-[14px]"
        value=""
        onChange={({ target }) => target.value.trim() !== '' && paste(target.value, '')}
        onPaste={onPaste}
      />
    </div>
  );
}

/** What was just brought in, and where it is. */
function Came({ came }: { came: Import }) {
  return (
    <Notice title={`${broughtInWords(came)}.`}>
      <Link to={`/bank?in=${came.collection}`} className="text-elder underline">
        See it in the bank
      </Link>
    </Notice>
  );
}

interface ScreenProps {
  index: BankIndex;
  head: ReactNode;
  done: (came: Import) => void;
}

/** The figure that all of these share. */
function Screen({ head, margin, children }: { head: ReactNode; margin: ReactNode; children?: ReactNode }) {
  return (
    <Figure
      marginLabel="Blanks and earlier files"
      margin={
        <>
          {margin}
          <BroughtIn />
        </>
      }
    >
      {head}
      {children}
    </Figure>
  );
}

function IntakeScreen({ index, head, source, done }: ScreenProps & { source: Source & { kind: 'intake' } }) {
  const find = usePersonalFinder(index);
  const intake = useIntake(source.intake, source.name, find);
  return (
    <Screen head={head} margin={<BlanksPanel intake={intake} />}>
      <ReadAs intake={intake} remarks={source.intake.remarks} />
      <Arrived index={index} name={source.name} file={intake.file} intake={intake} done={done} />
    </Screen>
  );
}

/** Bringing in what one has: tables, documents, lists, and collections of other teams. What each becomes is seen before anything is kept. */
export function BringInPage() {
  const bank = useBank();
  const index = useBankIndex();
  const shelf = useStarterAsked();
  const read = useMutation({ mutationFn: (from: () => Promise<Source>) => from() });
  const [came, setCame] = useState<Import | null>(null);
  const source = came ? null : (read.data ?? (read.isIdle ? shelf : null));
  const begin = (from: () => Promise<Source>) => {
    setCame(null);
    read.mutate(from);
  };
  const head = (
    <>
      <header className="px-9 pt-6 pb-3 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Bring in a file</h1>
      </header>
      <div className="grid gap-3 px-9 pb-4 max-[899px]:px-4">
        {source === null && (
          <>
            <TakeSource
              isReading={read.isPending}
              take={(files) => begin(() => readSources(files))}
              paste={(text, html) => begin(() => readPaste(text, html))}
            />
            <p className="text-[14px]">
              <Link to="/bank/shelf" className="text-elder underline">
                Starter collections
              </Link>
            </p>
          </>
        )}
        {source !== null && (
          <p className="flex items-baseline gap-4 text-[14px]">
            <span className="min-w-0 truncate">{source.name}</span>
            <Link to="/bank/bring-in" className="shrink-0 text-elder underline" onClick={() => read.reset()}>
              Choose another
            </Link>
          </p>
        )}
        {came && <Came came={came} />}
        {read.error && <Refused error={read.error} />}
        {bank.isError && <Failed what="the bank" error={bank.error} retry={() => void bank.refetch()} />}
      </div>
    </>
  );
  const about = (
    <p className="pt-6 text-[14px] text-soft">
      Nothing changes in the bank until you bring it in, and you can undo it later as a whole.
    </p>
  );
  if (source === null || !index)
    return (
      <Screen head={head} margin={about}>
        {source && <Loading what="the bank" />}
      </Screen>
    );
  const shared = { index, head, done: setCame };
  const key = `${read.submittedAt} ${source.name}`;
  return source.kind === 'intake' ? (
    <IntakeScreen key={key} source={source} {...shared} />
  ) : (
    <Screen key={key} head={head} margin={about}>
      <Arrived name={source.name} file={source.file} intake={null} {...shared} />
    </Screen>
  );
}
