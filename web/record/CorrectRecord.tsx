import { useMutation } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import type { Case } from '#contracts';
import { isSame } from '#core/difference';
import { CORRECTABLE, readDetail, saidBySource, valueInWords, writtenDetail, type Value } from '#core/record';
import { KINDS } from '#core/work';
import { call, inWords } from '#client/api';
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

/** One detail, saved when it is left or Enter is pressed; what its source said is one step away. */
function Correction({ one, path }: Props) {
  const written = writtenDetail(one.record, path);
  const had = written?.value ?? null;
  const [typed, setTyped] = useState<string | null>(null);
  const correct = useMutation({
    mutationFn: (value: Value | null) =>
      call('correctRecord', { params: { case: one.id }, body: { path, had, value } }),
    onSuccess: (now) => {
      setTyped(null);
      queryClient.setQueryData(KEYS.case(one.id), now);
    },
    onError: () => void queryClient.invalidateQueries({ queryKey: KEYS.case(one.id) }),
  });
  const box = useRef<HTMLDivElement>(null);
  const back = (value: Value) => {
    // The button goes with what it offers: the keys stay with the detail.
    box.current?.querySelector<HTMLElement>('input, select')?.focus();
    correct.mutate(value);
  };
  const source = saidBySource(one.record, path);
  const words = typed ?? wordsOf(had);
  const isUnread = typed !== null && typed.trim() !== '' && readDetail(path, typed, writtenToday()) === null;
  const settle = (value: string) => {
    if (isUnread || correct.isPending) return;
    if (value === wordsOf(had)) return setTyped(null);
    const next = readDetail(path, value, writtenToday());
    if (isSame(next, had)) setTyped(null);
    else correct.mutate(next);
  };
  const told = isUnread ? 'Not a date yet.' : correct.error ? inWords(correct.error) : undefined;
  return (
    <div ref={box}>
      <DetailField
        path={path}
        label={written?.label}
        value={words}
        error={told}
        change={(value) => {
          if (correct.error) correct.reset();
          setTyped(value);
        }}
        settle={settle}
      />
      {source && (
        <p className="mt-0.5 text-[13px] text-soft">
          {source.source} said {wordsOf(source.value)}.{' '}
          <Button look="text" onClick={() => back(source.value)}>
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
