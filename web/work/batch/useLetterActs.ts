import type { RefObject } from 'react';
import type { Batch, RowChange } from '#contracts';
import { KEYS, queryClient } from '../../api';
import type { Action } from '../../shell';
import type { Letter, LetterMaker } from './letterMaker';
import type { LetterHandle } from './LetterText';
import { isOut } from './stateWords';

/** The one to check behind a letter in a list, or the first before it; null where all are checked. */
function nextToCheck(letters: readonly Letter[], here: string): string | null {
  const at = letters.findIndex(({ row }) => row.id === here);
  const isOpen = ({ state, row }: Letter) => state === 'to-check' && row.id !== here;
  return (
    (letters.slice(at + 1).find(isOpen) ?? letters.slice(0, Math.max(0, at)).find(isOpen))?.row.id ?? null
  );
}

interface Options {
  of: string;
  letter: Letter | undefined;
  inList: readonly Letter[];
  maker: LetterMaker | null;
  /** The entries that a key each decides on. */
  choices: readonly string[];
  handleRef: RefObject<LetterHandle | null>;
  listRef: RefObject<HTMLDivElement | null>;
  change: (change: RowChange) => void;
  go: (row: string) => void;
  say: (words: string | null) => void;
}

const gapsInWords = ({ gaps }: Letter) =>
  `It has ${gaps.length === 1 ? 'a gap' : `${gaps.length} gaps`}: ${gaps.map(({ name }) => name).join(', ')}.`;

/** What is done with the letter on the leaf: checked, held back, decided about; by keys in the list, or on the leaf. */
export function useLetterActs(options: Options) {
  const { of, letter, inList, maker, choices, handleRef, listRef, change, go, say } = options;
  const open = letter && !isOut(letter.state) ? letter : null;
  /** The letter as it reads with all that was written: saved first. */
  const asSaved = (one: Letter): Letter => {
    const rows = queryClient.getQueryData<Batch>(KEYS.batch(of))?.rows;
    const row = rows?.find(({ id }) => id === one.row.id);
    return row && maker ? maker.of(row) : one;
  };
  const check = async () => {
    if (!open) return;
    const isSaved = (await handleRef.current?.flush()) ?? true;
    if (!isSaved) return say('What you wrote is not saved yet, so it was not checked. Nothing is lost.');
    const now = asSaved(open);
    if (!now.document) return say('No letter was decided on for this row yet.');
    if (now.gaps.length > 0) {
      handleRef.current?.write();
      return say(gapsInWords(now));
    }
    change({ row: now.row.id, checked: now.seal, ...(now.row.isHeld && { isHeld: false }) });
    const next = nextToCheck(inList, now.row.id);
    go(next ?? now.row.id);
    if (!next) say('All in this list are checked.');
    listRef.current?.focus();
  };
  const hold = () => open && change({ row: open.row.id, isHeld: !open.row.isHeld });
  const decide = (key: string): boolean => {
    const entry = key === '0' ? null : choices[Number(key) - 1];
    if (!open || entry === undefined) return false;
    change({ row: open.row.id, entry });
    return true;
  };
  const press = (key: string): boolean => {
    if (key === 'Enter') void check();
    else if (key.toLowerCase() === 'h') hold();
    else if (key.toLowerCase() === 'w') handleRef.current?.write();
    else return /^\d$/.test(key) && decide(key);
    return true;
  };
  const actions: Action[] = [
    { label: 'This letter is checked: the next one', key: 'Alt + Enter', run: () => void check() },
    { label: 'Hold this letter back, or no more', key: 'Alt + H', run: hold },
    { label: 'Go to the list of letters', key: 'Alt + V', run: () => listRef.current?.focus() },
  ];
  return { check: () => void check(), hold: () => void hold(), press, actions };
}
