import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { Case } from '#contracts';
import { inWords } from '#client/api';
import type { BatchSetup } from '#core/batch';
import type { BankIndex } from '#core/bank';
import { Figure } from '../../shell';
import { Key, Notice } from '../../ui';
import { BatchHead } from './BatchHead';
import { FillingIn } from './FillingIn';
import { LetterBeside } from './LetterBeside';
import { LetterList } from './LetterList';
import type { Letter } from './letterMaker';
import { LetterOnLeaf } from './LetterOnLeaf';
import type { LetterHandle } from './LetterText';
import { Sample } from './Sample';
import { sampleOf } from './sampleOf';
import { ShownLetters, shownOf, type Shown } from './ShownLetters';
import { isOut } from './stateWords';
import { useRowChange } from './useBatch';
import { useLetterActs } from './useLetterActs';
import type { LettersMade } from './useLetters';

interface Props {
  one: Case;
  setup: BatchSetup;
  index: BankIndex;
  made: LettersMade;
}

/** Which letters are listed, and which of them is on the leaf. */
function useListed(letters: readonly Letter[], say: (words: string | null) => void) {
  const [params, setParams] = useSearchParams();
  const [sample, setSample] = useState<string[] | null>(null);
  // Held here as well: the address follows later than the next key comes.
  const [wanted, want] = useState(params.get('row'));
  const [asked, ask] = useState(params.get('state') as Shown | null);
  // What leads to the letters as such, while they are shown, leads to all of them.
  const isBare = !params.has('state') && !params.has('row');
  const [wasBare, setWasBare] = useState(isBare);
  if (isBare !== wasBare) {
    setWasBare(isBare);
    if (isBare) {
      want(null);
      ask(null);
    }
  }
  // A sample is this page's own: opened anew there is none.
  const shown = asked === null || (asked === 'sample' && !sample) ? 'all' : asked;
  const inList = useMemo(() => shownOf(letters, shown, sample, wanted), [letters, shown, sample, wanted]);
  const letter =
    inList.find(({ row }) => row.id === wanted) ??
    inList.find(({ state }) => state === 'to-check') ??
    inList[0];
  const go = useCallback(
    (row: string) => {
      say(null);
      want(row);
      setParams({ show: 'letters', ...(asked && { state: asked }), row }, { replace: true });
    },
    [setParams, say, asked],
  );
  const show = (state: Shown) => {
    want(null);
    ask(state);
    setParams({ show: 'letters', state }, { replace: true });
  };
  return { inList, letter, go, shown, show, sample, setSample };
}

/** How many letters of a batch were changed by hand: they keep that. */
function ByHandLine({ letters }: { letters: readonly Letter[] }) {
  const byHand = letters.filter(({ row, state }) => row.byHand && !isOut(state)).length;
  if (byHand === 0) return null;
  return (
    <p className="text-[13px] text-soft">
      {byHand.toLocaleString()} of {letters.length.toLocaleString()}{' '}
      {byHand === 1 ? 'is changed by hand; it keeps that.' : 'are changed by hand; they keep that.'}
    </p>
  );
}

/** How many letters of a batch are checked, those that are out among them. */
function CheckedLine({ letters }: { letters: readonly Letter[] }) {
  const checked = letters.filter(({ state }) => state === 'checked' || isOut(state)).length;
  return (
    <p className="text-[13px] text-soft">
      {checked.toLocaleString()} of {letters.length.toLocaleString()} checked
    </p>
  );
}

const KeysOfList = () => (
  <p className="text-[13px] text-soft">
    In the list: <Key>Enter</Key> checks and goes on, <Key>H</Key> holds back, <Key>W</Key> writes on it.
  </p>
);

/** The entries that rows of a batch get, each once: one key decides on each. */
const entriesOf = (setup: BatchSetup, letters: readonly Letter[]): string[] => [
  ...new Set([...setup.rules.map(({ entry }) => entry), ...letters.flatMap(({ row }) => row.entry ?? [])]),
];

/** The letters one by one on the leaf, and all of them beside it. */
export function LettersView({ one, setup, index, made }: Props) {
  const { letters, maker, done, isReady } = made;
  const [said, say] = useState<string | null>(null);
  // A blank that is filled in is what one has in hand: it comes before the list, all else about the letter behind it.
  const [inHand, setInHand] = useState<HTMLElement | null>(null);
  const [beside, setBeside] = useState<HTMLElement | null>(null);
  const [notices, setNotices] = useState<HTMLElement | null>(null);
  const handleRef = useRef<LetterHandle | null>(null);
  const listRef = useRef<HTMLDivElement>(null);
  const { changes, save, change } = useRowChange(one.id);
  const { inList, letter, go, sample, setSample, ...listed } = useListed(letters, say);
  useEffect(() => {
    if (isReady) listRef.current?.focus();
  }, [isReady]);
  const choices = useMemo(() => entriesOf(setup, letters), [setup, letters]);
  const acts = useLetterActs({
    ...{ of: one.id, letter, inList, maker, choices, handleRef, listRef, change, go, say },
  });
  const { check, hold, press, actions } = acts;
  const margin = (
    <div className="grid gap-2 pt-4">
      <div ref={setNotices} className="empty:hidden" />
      <div ref={setInHand} className="empty:hidden" />
      <ShownLetters {...{ letters, sample }} {...listed} />
      <LetterList {...{ letters: inList, here: letter?.row.id ?? null, go, press, listRef }} />
      <ByHandLine letters={letters} />
      <Sample
        {...{ letters, sample }}
        ask={(count) => {
          setSample(sampleOf(letters, count, Math.random));
          listed.show('sample');
          listRef.current?.focus();
        }}
        letGo={(rest) => {
          changes.mutate(rest.map(({ row, seal }) => ({ row: row.id, checked: seal })));
          setSample(null);
          listed.show('all');
        }}
      />
      {said && <Notice title={said} />}
      {changes.error && <Notice tone="warning" title={inWords(changes.error)} />}
      {letter && <LetterBeside {...{ letter, setup, index, choices, hold, check, change, save, say }} />}
      <div ref={setBeside} />
      <KeysOfList />
    </div>
  );
  return (
    <Figure marginLabel="Letters of this batch" margin={margin}>
      <BatchHead one={one} view="letters">
        {isReady && letters.length > 0 && <CheckedLine letters={letters} />}
      </BatchHead>
      {!isReady && <FillingIn done={done} />}
      {isReady && !letter && (
        <p className="px-9 py-8 text-soft max-[899px]:px-4">
          {letters.length === 0
            ? 'There are no rows yet: bring in a table first.'
            : 'No letter is in this state any more.'}
        </p>
      )}
      {letter && maker && (
        <LetterOnLeaf
          key={letter.row.id}
          {...{ one, letter, handleRef, actions, say, inHand, beside, notices }}
          record={maker.recordOf(letter.row)}
        />
      )}
    </Figure>
  );
}
