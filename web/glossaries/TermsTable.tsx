import { X } from 'lucide-react';
import { useDeferredValue, useMemo, useState } from 'react';
import type { Glossary } from '#contracts';
import { folded, newTerm, TermSchema, type Term } from '#core/glossary';
import { inWords } from '#client/api';
import { Button, Notice, NumericField, TextField } from '../ui';
import { useDropTerm, useKeepTerm } from '../api';
import { initialOf, initialsOf } from './initials';

/** So many are drawn; the others are found by typing. */
const MOST_SHOWN = 200;

interface FormProps {
  glossary: Glossary;
  /** The term as it is written so far. */
  term: Term;
  write: (term: Term) => void;
  done: () => void;
}

/** One term, written or changed. A term that is written otherwise is another term. */
function TermForm({ glossary, term, write, done }: FormProps) {
  const keep = useKeepTerm(glossary.id);
  const read = TermSchema.safeParse(term);
  const put = (change: Partial<Term>) => write({ ...term, ...change });
  const error = keep.error ? inWords(keep.error) : undefined;
  return (
    <form
      aria-label="Term"
      className="grid grid-cols-[2fr_1fr_9rem] gap-x-4 gap-y-2 border-b border-hair px-9 py-3 max-[899px]:px-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (read.success) keep.mutate(read.data, { onSuccess: done });
      }}
    >
      <TextField
        label="Term"
        value={term.text}
        maxLength={120}
        autoFocus
        error={error ?? (read.success || term.text === '' ? undefined : read.error.issues[0]!.message)}
        onChange={({ target }) => put({ text: target.value })}
      />
      <TextField
        label="Cue"
        value={term.cue}
        maxLength={40}
        onChange={({ target }) => put({ cue: target.value })}
      />
      <NumericField
        label="Rank"
        least={0}
        most={1000}
        value={term.weight}
        change={(weight) => put({ weight })}
      />
      <div className="col-span-2">
        <TextField
          label="Warn before placing"
          value={term.note}
          maxLength={200}
          onChange={({ target }) => put({ note: target.value })}
        />
      </div>
      <div className="flex items-end gap-3">
        <Button type="submit" look="main" disabled={!read.success || keep.isPending}>
          Save
        </Button>
        <Button look="text" onClick={done}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

/** Of so many terms and more, letters lead to them. */
const LETTERS_FROM = 60;

interface LettersProps {
  terms: readonly Term[];
  initial: string;
  choose: (initial: string) => void;
}

/** The letters of a long list: one chosen shows what begins with it, chosen again it shows all. */
function Letters({ terms, initial, choose }: LettersProps) {
  const letters = useMemo(() => initialsOf(terms.map(({ text }) => text)), [terms]);
  if (terms.length < LETTERS_FROM) return null;
  return (
    <p role="group" aria-label="Letters" className="flex flex-wrap gap-x-1 px-9 pb-2 max-[899px]:px-4">
      {letters.map((letter) => (
        <button
          key={letter}
          type="button"
          aria-pressed={letter === initial}
          onClick={() => choose(letter === initial ? '' : letter)}
          className={`min-h-6 min-w-6 rounded-[3px] text-[14px] hover:text-elder ${letter === initial ? 'bg-flower font-semibold text-elder' : 'text-soft'}`}
        >
          {letter}
        </button>
      ))}
    </p>
  );
}

/** A term that is being written. */
interface Editing {
  /** The term of the list that it was; null for a new one. */
  of: string | null;
  term: Term;
}

interface Props {
  glossary: Glossary;
  terms: readonly Term[];
}

interface TermLineProps {
  term: Term;
  /** Read among others as on a page of a dictionary. */
  inColumns: boolean;
  /** Null where it cannot be changed. */
  edit: (() => void) | null;
  drop: (() => void) | null;
}

/** A term as it is read, with its cue and what is asked about it. */
const TermLine = ({ term, inColumns, edit, drop }: TermLineProps) => (
  <li
    className={`grid items-baseline border-b border-hair py-1 ${
      inColumns
        ? 'break-inside-avoid grid-cols-[minmax(0,1fr)_auto] gap-1'
        : 'grid-cols-[minmax(0,1fr)_6rem_1.5rem] gap-3 px-9 max-[899px]:px-4'
    }`}
  >
    <button
      type="button"
      disabled={!edit}
      onClick={edit ?? undefined}
      className="book truncate text-left text-[15px] enabled:hover:text-elder"
    >
      {term.text}
      {term.note && <span className="ml-2 font-face text-[12.5px] text-rust">{term.note}</span>}
    </button>
    {!inColumns && <span className="cue truncate">{term.cue}</span>}
    {drop && (
      <button
        type="button"
        aria-label={`Remove ${term.text}`}
        className="rounded-[3px] p-0.5 text-soft hover:text-rust"
        onClick={drop}
      >
        <X size={14} aria-hidden />
      </button>
    )}
  </li>
);

/** Terms in the order of the alphabet, of them those that have the letters asked for and begin with the one chosen. */
function useFoundTerms(terms: readonly Term[], query: string, initial: string): Term[] {
  const asked = useDeferredValue(folded(query.trim()));
  const ordered = useMemo(() => {
    const { compare } = new Intl.Collator();
    return [...terms].sort((a, b) => compare(a.text, b.text));
  }, [terms]);
  return useMemo(
    () =>
      ordered.filter(
        ({ text, cue }) =>
          (asked === '' || folded(text).includes(asked) || cue === asked) &&
          (initial === '' || initialOf(text) === initial),
      ),
    [ordered, asked, initial],
  );
}

/** Removes terms of a glossary, and brings back the one that was removed last. */
function useRemoving({ id }: Glossary) {
  const drop = useDropTerm(id);
  const back = useKeepTerm(id);
  const [removed, setRemoved] = useState<Term | null>(null);
  const error = drop.error ?? back.error;
  const remove = (term: Term) => {
    back.reset();
    drop.mutate(term.text, { onSuccess: () => setRemoved(term) });
  };
  return {
    remove,
    notice: (
      <>
        {removed && (
          // In sight however far down the list it was.
          <div className="sticky top-0 z-10 bg-page px-9 py-1 max-[899px]:px-4">
            <Notice title={`“${removed.text}” is removed.`}>
              <Button
                look="text"
                disabled={back.isPending}
                onClick={() => back.mutate(removed, { onSuccess: () => setRemoved(null) })}
              >
                Undo
              </Button>
            </Notice>
          </div>
        )}
        {error && <Notice tone="warning" title={inWords(error)} />}
      </>
    ),
  };
}

/** The terms of a glossary: found by typing, changed in place. */
export function TermsTable({ glossary, terms }: Props) {
  const [query, setQuery] = useState('');
  const [initial, setInitial] = useState('');
  // Kept here, not in the form: its place changes when a colleague adds a term, or others are looked for.
  const [editing, edit] = useState<Editing | null>(null);
  const removing = useRemoving(glossary);
  const found = useFoundTerms(terms, query, initial);
  // Words alone are read as a page of a dictionary is; with cues and remarks each has a line of its own.
  const inColumns = editing === null && terms.every(({ cue, note }) => cue === '' && note === '');
  const close = () => edit(null);
  const canChange = glossary.shipped === null;
  const shown = found.slice(0, MOST_SHOWN);
  const isInPlace = editing !== null && shown.some(({ text }) => text === editing.of);
  const form = editing && (
    <TermForm
      key={editing.of}
      glossary={glossary}
      term={editing.term}
      write={(term) => edit({ ...editing, term })}
      done={close}
    />
  );
  return (
    <section aria-label="Terms">
      <div className="flex items-end gap-3 px-9 py-3 max-[899px]:px-4">
        <div className="grow">
          <TextField
            label={`Find among ${terms.length.toLocaleString()} terms`}
            type="search"
            value={query}
            onChange={({ target }) => setQuery(target.value)}
          />
        </div>
        {canChange && (
          <Button onClick={() => edit({ of: null, term: newTerm(query.trim()) })}>Add a term</Button>
        )}
      </div>
      {removing.notice}
      {!isInPlace && form}
      <Letters terms={terms} initial={initial} choose={setInitial} />
      <ul className={inColumns ? 'columns-3 gap-8 px-9 pb-3 max-[899px]:columns-2 max-[899px]:px-4' : ''}>
        {shown.map((term) =>
          editing?.of === term.text ? (
            <li key={term.text}>{form}</li>
          ) : (
            <TermLine
              key={term.text}
              {...{ term, inColumns }}
              edit={canChange ? () => edit({ of: term.text, term }) : null}
              drop={glossary.right === 'keep' && canChange ? () => removing.remove(term) : null}
            />
          ),
        )}
      </ul>
      {found.length > MOST_SHOWN && (
        <p className="px-9 py-3 text-[13px] text-soft max-[899px]:px-4">
          The first {MOST_SHOWN} of {found.length.toLocaleString()}: type to find others.
        </p>
      )}
      {found.length === 0 && (
        <p className="px-9 py-3 text-[14px] text-soft max-[899px]:px-4">
          {terms.length === 0
            ? 'No terms yet: add one, or bring in a word list.'
            : 'No term has these letters.'}
        </p>
      )}
    </section>
  );
}
