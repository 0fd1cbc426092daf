import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { Case } from '#contracts';
import { isSame } from '#core/difference';
import { CORRECTABLE, readDetail, saidBySource, valueInWords, writtenDetail, type Value } from '#core/record';
import { KINDS } from '#core/work';
import { ApiProblem, call, inWords } from '#client/api';
import { KEYS, queryClient } from '../api';
import { writtenToday } from '#client/clock';
import { Button } from '../ui';
import { CorrectLists } from './CorrectLists';
import { DetailField } from './DetailField';
import { FromClipboard } from './FromClipboard';
import { takenInWords } from './takenInWords';
import { useClipboardDetails } from './useClipboardDetails';

const CAN = new Set(CORRECTABLE);
const wordsOf = (value: Value | null): string => (value ? valueInWords(value, writtenToday().language) : '');

interface Props {
  one: Case;
  path: string;
}

/** What is typed over a detail, and what it said when one began. */
interface Typed {
  words: string;
  had: Value | null;
}

/** A detail as it is typed, and saving it: what a colleague corrected meanwhile is told, and not written over unseen. */
function useTypedDetail(one: Case, path: string) {
  const there = writtenDetail(one.record, path)?.value ?? null;
  const [typed, setTyped] = useState<Typed | null>(null);
  /** What was typed on and left while the words before it were on their way. */
  const waiting = useRef<string | null>(null);
  const correct = useMutation({
    mutationFn: ({ had, value }: { had: Value | null; value: Value | null; words: string }) =>
      call('correctRecord', { params: { case: one.id }, body: { path, had, value } }),
    onSuccess: (now, sent) => {
      queryClient.setQueryData(KEYS.case(one.id), now);
      setTyped((later) => (!later || later.words === sent.words ? null : { ...later, had: sent.value }));
      const next = waiting.current;
      waiting.current = null;
      if (next !== null) save(next, sent.value);
    },
    onError: () => {
      waiting.current = null;
      void queryClient.invalidateQueries({ queryKey: KEYS.case(one.id) });
    },
  });
  const isUnread = (words: string) => words.trim() !== '' && readDetail(path, words, writtenToday()) === null;
  const save = (words: string, had: Value | null) => {
    if (isUnread(words)) return;
    const value = readDetail(path, words, writtenToday());
    if (words !== wordsOf(had) && !isSame(value, had)) return correct.mutate({ had, value, words });
    setTyped(null);
    if (correct.error) correct.reset();
  };
  /** It was refused since somebody else corrected it: which of the two holds is asked, and nothing is saved by merely leaving. */
  const isOvertaken = correct.error instanceof ApiProblem && typed !== null && !isSame(typed.had, there);
  return {
    words: typed?.words ?? wordsOf(there),
    isUnread: typed !== null && isUnread(typed.words),
    error: correct.error,
    type: (words: string) => {
      if (correct.error && !isOvertaken) correct.reset();
      setTyped({ words, had: typed ? typed.had : there });
    },
    settle: (words: string) => {
      if (correct.isPending) waiting.current = words;
      else if (!isOvertaken) save(words, typed ? typed.had : there);
    },
    overtaken: isOvertaken && {
      keepMine: () => save(typed.words, there),
      takeTheirs: () => {
        correct.reset();
        setTyped(null);
      },
    },
    put: (value: Value) => correct.mutate({ had: there, value, words: wordsOf(value) }),
  };
}

/** One detail, saved when it is left or Enter is pressed; what its source said is one step away. */
function Correction({ one, path }: Props) {
  const { words, isUnread, error, type, settle, put, overtaken } = useTypedDetail(one, path);
  const box = useRef<HTMLDivElement>(null);
  // A button goes with what it offers: the keys stay with the detail.
  const withKeys = (act: () => void) => () => {
    box.current?.querySelector<HTMLElement>('input, select')?.focus();
    act();
  };
  const source = saidBySource(one.record, path);
  const told = isUnread ? 'Not a date yet.' : error ? inWords(error) : undefined;
  return (
    <div ref={box}>
      <DetailField
        path={path}
        label={writtenDetail(one.record, path)?.label}
        value={words}
        error={told}
        change={type}
        settle={settle}
      />
      {overtaken && (
        <p className="mt-0.5 flex flex-wrap gap-3 text-[13px]">
          <Button look="text" onClick={withKeys(overtaken.keepMine)}>
            Save yours
          </Button>
          <Button look="text" onClick={withKeys(overtaken.takeTheirs)}>
            Use the current one
          </Button>
        </p>
      )}
      {source && (
        <p className="mt-0.5 text-[13px] text-soft">
          {source.source} said {wordsOf(source.value)}.{' '}
          <Button look="text" onClick={withKeys(() => put(source.value))}>
            Back to that
          </Button>
        </p>
      )}
    </div>
  );
}

/** A detail as it was before and as it was made. */
interface Changed {
  path: string;
  had: Value | null;
  value: Value | null;
}

/** Corrects one detail; false where it was refused, as when somebody else did meanwhile. */
async function correctOne({ id }: Case, change: Changed): Promise<boolean> {
  const now = await call('correctRecord', { params: { case: id }, body: change }).catch(() => null);
  if (now) queryClient.setQueryData(KEYS.case(id), now);
  return now !== null;
}

/** Puts details from the clipboard into a record, one correction each, tells what became of them, and takes them back. */
function useTakeDetails(one: Case, paths: readonly string[]) {
  const [last, setLast] = useState<readonly Changed[]>([]);
  const details = useClipboardDetails(async (found) => {
    const became = { taken: [] as string[], stood: [] as string[], left: [] as string[] };
    const changed: Changed[] = [];
    for (const [path, words] of found) {
      const had = writtenDetail(one.record, path)?.value ?? null;
      const value = readDetail(path, words, writtenToday());
      const isSaid = value !== null && isSame(value, had);
      if (isSaid) became.stood.push(path);
      else if (value === null || !paths.includes(path)) became.left.push(path);
      else if (await correctOne(one, { path, had, value })) changed.push({ path, had, value });
      else became.left.push(path);
    }
    setLast(changed);
    return takenInWords({ ...became, taken: changed.map(({ path }) => path) });
  });
  const takeBack = async () => {
    setLast([]);
    const kept: string[] = [];
    for (const { path, had, value } of last)
      if (!(await correctOne(one, { path, had: value, value: had }))) kept.push(path);
    details.say(kept.length === 0 ? 'Undone.' : takenInWords({ taken: [], stood: kept, left: [] }));
  };
  return { details, undo: last.length > 0 ? () => void takeBack() : null };
}

/** The details of a case's record, to be corrected, added or taken away by hand, by anyone it is given to. */
export function CorrectRecord({ one }: { one: Case }) {
  const there = [...one.record.details, ...(one.record.said ?? [])].map(({ path }) => path);
  const paths = [...new Set([...KINDS[one.kind].details, ...there])].filter((path) => CAN.has(path));
  const { details, undo } = useTakeDetails(one, paths);
  return (
    <section
      aria-label="Correct the record"
      className="grid grid-cols-2 gap-x-5 gap-y-3 py-2 max-[899px]:grid-cols-1"
    >
      <FromClipboard details={details} undo={undo} />
      {paths.map((path) => (
        <Correction key={path} one={one} path={path} />
      ))}
      <CorrectLists one={one} />
    </section>
  );
}
