import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Batch, Case, RowChange } from '#contracts';
import { inWords } from '#client/api';
import { LETTER_STATES, type BatchSetup, type LetterState } from '#core/batch';
import type { BankIndex } from '#core/bank';
import { KEYS, queryClient } from '../../api';
import { Figure, type Action } from '../../shell';
import { Button, Key, Notice } from '../../ui';
import { BatchHead } from './BatchHead';
import { LetterBeside } from './LetterBeside';
import { LetterList } from './LetterList';
import type { Letter } from './letterMaker';
import { LetterOnLeaf } from './LetterOnLeaf';
import type { LetterHandle } from './LetterText';
import { sampleOf } from './sample';
import { isOut, STATE_WORDS } from './stateWords';
import { useRowChanges } from './useBatch';
import type { LettersMade } from './useLetters';

type Shown = LetterState | 'all' | 'sample';

interface Props {
  one: Case;
  setup: BatchSetup;
  index: BankIndex;
  made: LettersMade;
}

const USUAL_SAMPLE = 10;

interface SampleProps {
  letters: readonly Letter[];
  sample: readonly string[] | null;
  ask: (count: number) => void;
  letGo: (rest: readonly Letter[]) => void;
}

/** Checking a sample: once all of it is checked, the rest can be let go, which is said plainly. */
function Sample({ letters, sample, ask, letGo }: SampleProps) {
  const [count, setCount] = useState(USUAL_SAMPLE);
  const open = letters.filter(({ state }) => state === 'to-check');
  if (sample === null)
    return open.length <= 1 ? null : (
      <p className="flex flex-wrap items-baseline gap-2 text-[13.5px]">
        <Button look="text" onClick={() => ask(count)}>
          Check a sample
        </Button>
        of
        <input
          type="number"
          min={1}
          max={1000}
          aria-label="Letters in the sample"
          value={count}
          onChange={({ target }) => setCount(Math.max(1, Math.min(1000, Number(target.value) || 1)))}
          className="live-word w-16"
        />
      </p>
    );
  const left = open.filter(({ row }) => sample.includes(row.id));
  const rest = open.filter(({ row, gaps }) => !sample.includes(row.id) && gaps.length === 0);
  if (left.length > 0)
    return (
      <p className="text-[13.5px] text-soft">
        {left.length.toLocaleString()} of the sample of {sample.length.toLocaleString()} still to check.
      </p>
    );
  return (
    <Notice title="The sample is checked.">
      {rest.length > 0 && (
        <>
          <p>
            {rest.length.toLocaleString()} other {rest.length === 1 ? 'letter was' : 'letters were'} not
            looked at.
          </p>
          <Button className="mt-1" onClick={() => letGo(rest)}>
            Let {rest.length === 1 ? 'it' : `these ${rest.length.toLocaleString()}`} go unread
          </Button>
        </>
      )}
    </Notice>
  );
}

/** The letters a list shows: of one state, of the sample, or all. */
function shownOf(
  letters: readonly Letter[],
  shown: Shown,
  sample: readonly string[] | null,
): readonly Letter[] {
  if (shown === 'all') return letters;
  if (shown === 'sample') return letters.filter(({ row }) => sample?.includes(row.id));
  return letters.filter(({ state }) => state === shown);
}

/** The one to check behind a letter in a list, or the first before it; null where all are checked. */
function nextToCheck(letters: readonly Letter[], here: string): string | null {
  const at = letters.findIndex(({ row }) => row.id === here);
  const isOpen = ({ state, row }: Letter) => state === 'to-check' && row.id !== here;
  return (
    (letters.slice(at + 1).find(isOpen) ?? letters.slice(0, Math.max(0, at)).find(isOpen))?.row.id ?? null
  );
}

/** The letters one by one on the leaf, and all of them beside it. */
export function LettersView({ one, setup, index, made }: Props) {
  const { letters, maker, done, isReady } = made;
  const [params, setParams] = useSearchParams();
  const [said, say] = useState<string | null>(null);
  const [shown, show] = useState<Shown>((params.get('state') as LetterState | null) ?? 'all');
  const [sample, setSample] = useState<string[] | null>(null);
  const [beside, setBeside] = useState<HTMLElement | null>(null);
  const handle = useRef<LetterHandle | null>(null);
  const list = useRef<HTMLDivElement>(null);
  const changes = useRowChanges(one.id);
  const wanted = params.get('row');
  // One that was gone to stays where it is, though its state is another by now.
  const inList = useMemo(() => {
    const found = shownOf(letters, shown, sample);
    if (shown === 'all' || found.some(({ row }) => row.id === wanted)) return found;
    return letters.filter((letter) => letter.row.id === wanted || found.includes(letter));
  }, [letters, shown, sample, wanted]);
  const letter =
    inList.find(({ row }) => row.id === wanted) ??
    inList.find(({ state }) => state === 'to-check') ??
    inList[0];
  const here = letter?.row.id ?? null;
  const go = useCallback(
    (row: string) => {
      say(null);
      setParams({ show: 'letters', row }, { replace: true });
    },
    [setParams],
  );
  useEffect(() => {
    if (isReady) list.current?.focus();
  }, [isReady]);
  const change = (what: RowChange) => changes.mutate([what]);
  const choices = useMemo(
    () => [
      ...new Set([
        ...setup.rules.map(({ entry }) => entry),
        ...letters.flatMap(({ row }) => row.entry ?? []),
      ]),
    ],
    [setup.rules, letters],
  );

  const check = async () => {
    if (!letter || !maker || isOut(letter.state)) return;
    if (!((await handle.current?.flush()) ?? true))
      return say('What you wrote is not saved yet, so it was not checked. Nothing is lost.');
    const row = queryClient
      .getQueryData<Batch>(KEYS.batch(one.id))
      ?.rows.find(({ id }) => id === letter.row.id);
    const now = row ? maker.of(row) : letter;
    if (!now.document) return say('No letter was decided on for this row yet.');
    if (now.gaps.length > 0) {
      handle.current?.write();
      return say(
        `It has ${now.gaps.length === 1 ? 'a gap' : `${now.gaps.length} gaps`}: ${now.gaps.map(({ name }) => name).join(', ')}.`,
      );
    }
    say(null);
    change({ row: now.row.id, checked: now.seal, ...(now.row.isHeld && { isHeld: false }) });
    const next = nextToCheck(inList, now.row.id);
    if (next) go(next);
    else {
      setParams({ show: 'letters', row: now.row.id }, { replace: true });
      say('All in this list are checked.');
    }
    list.current?.focus();
  };
  const hold = () => {
    if (letter && !isOut(letter.state)) change({ row: letter.row.id, isHeld: !letter.row.isHeld });
  };
  const decide = (key: string): boolean => {
    const entry = key === '0' ? null : choices[Number(key) - 1];
    if (!letter || isOut(letter.state) || entry === undefined) return false;
    change({ row: letter.row.id, entry });
    return true;
  };
  const press = (key: string): boolean => {
    if (key === 'Enter') void check();
    else if (key.toLowerCase() === 'h') hold();
    else if (key.toLowerCase() === 'w') handle.current?.write();
    else return /^\d$/.test(key) && decide(key);
    return true;
  };
  const actions: Action[] = [
    { label: 'This letter is checked: the next one', key: 'Alt + Enter', run: () => void check() },
    { label: 'Hold this letter back, or no more', key: 'Alt + H', run: hold },
    { label: 'Go to the list of letters', key: 'Alt + L', run: () => list.current?.focus() },
  ];
  const byState = LETTER_STATES.map((state) => ({
    state,
    count: letters.filter((each) => each.state === state).length,
  })).filter(({ count }) => count > 0);
  const byHand = letters.filter(({ row, state }) => row.byHand && !isOut(state)).length;
  return (
    <Figure
      marginLabel="Letters of this batch"
      margin={
        <div className="grid gap-2 pt-4">
          <label className="grid gap-0.5">
            <span className="eyebrow">Shown</span>
            <select className="input" value={shown} onChange={({ target }) => show(target.value as Shown)}>
              <option value="all">all {letters.length.toLocaleString()} letters</option>
              {sample && <option value="sample">the sample, {sample.length.toLocaleString()}</option>}
              {byState.map(({ state, count }) => (
                <option key={state} value={state}>
                  {STATE_WORDS[state]}, {count.toLocaleString()}
                </option>
              ))}
              {shown !== 'all' && shown !== 'sample' && !byState.some(({ state }) => state === shown) && (
                <option value={shown}>{STATE_WORDS[shown]}, 0</option>
              )}
            </select>
          </label>
          <LetterList {...{ letters: inList, here, go, press, list }} />
          {byHand > 0 && (
            <p className="text-[13px] text-soft">
              {byHand.toLocaleString()} of {letters.length.toLocaleString()} {byHand === 1 ? 'is' : 'are'}{' '}
              changed by hand; {byHand === 1 ? 'it keeps' : 'they keep'} it.
            </p>
          )}
          <Sample
            {...{ letters, sample }}
            ask={(count) => {
              setSample(sampleOf(letters, count, Math.random));
              show('sample');
            }}
            letGo={(rest) => {
              changes.mutate(rest.map(({ row, seal }) => ({ row: row.id, checked: seal })));
              setSample(null);
              show('all');
            }}
          />
          {said && <Notice title={said} />}
          {changes.error && <Notice tone="warning" title={inWords(changes.error)} />}
          {letter && (
            <LetterBeside
              {...{ letter, setup, index, choices, hold, change, say }}
              check={() => void check()}
            />
          )}
          <div ref={setBeside} />
          <p className="text-[13px] text-soft">
            In the list: <Key>Enter</Key> checks and goes on, <Key>H</Key> holds back, <Key>W</Key> writes on
            it.
          </p>
        </div>
      }
    >
      <BatchHead one={one} view="letters">
        {isReady && letters.length > 0 && (
          <p className="text-[13px] text-soft">
            {letters.filter(({ state }) => state === 'checked' || isOut(state)).length.toLocaleString()} of{' '}
            {letters.length.toLocaleString()} checked
          </p>
        )}
      </BatchHead>
      {!isReady && (
        <p role="status" className="px-9 py-8 text-soft max-[899px]:px-4">
          Filling in {done.toLocaleString()} letters …
        </p>
      )}
      {isReady && letters.length === 0 && (
        <p className="px-9 py-8 text-soft max-[899px]:px-4">There are no rows yet: bring in a table first.</p>
      )}
      {letter && maker && (
        <LetterOnLeaf
          key={letter.row.id}
          {...{ one, letter, handle, actions, say, beside }}
          record={maker.recordOf(letter.row)}
        />
      )}
    </Figure>
  );
}
