import { useEditorState, type Editor } from '@tiptap/react';
import { useEffect, useMemo, useState, type KeyboardEvent } from 'react';
import { languageName } from '#core/language';
import { inWords } from '#client/api';
import { eachWord, misspeltPlaces, respell, type MisspeltPlace } from '../../editor';
import { useLiveKeys } from '../../shell';
import { useKnown, useSayRight, useSpellings } from '../../spelling';
import { Button, Key, Notice, TextField } from '../../ui';
import { showPlace } from '../finding/showPlace';
import type { Spelling } from './useSpelling';

/** By this key one comes to the next word that nobody knows, from the text and on the slip. */
export const SPELLING_KEY = 'Alt + -';

interface Props extends Spelling {
  editor: Editor;
  /** Saves a word in a glossary. */
  keepTerm: (word: string) => void;
  close: () => void;
}

/** The words of a text that nobody knows, and which of them is looked at: the first at or behind where one was. */
function useMisspelt({ editor, checker, language }: Props) {
  const doc = useEditorState({
    editor,
    selector: ({ editor: { state } }) => state.doc,
    equalityFn: Object.is,
  });
  const known = useKnown(checker);
  const [isLooking, setLooking] = useState(true);
  const [passed, pass] = useState<ReadonlySet<string>>(new Set());
  const [from, goFrom] = useState(() => editor.state.selection.from);
  useEffect(() => {
    if (!checker) return;
    const words = new Set<string>();
    eachWord(doc, language, ({ word }) => words.add(word));
    void checker.look(words).then(() => setLooking(false));
  }, [checker, doc, language]);
  const places = useMemo(
    () =>
      checker && known >= 0
        ? misspeltPlaces(doc, language, (word) => checker.isWrong(word) && !passed.has(word))
        : [],
    [doc, language, checker, known, passed],
  );
  const here = places.find(({ to }) => to >= from) ?? places[0];
  return {
    ...{ places, here, goFrom, isLooking },
    passOver: ({ word }: MisspeltPlace) => pass(new Set([...passed, word])),
    next: () => here && goFrom(here.to + 1),
  };
}

function Proposed({
  words,
  put,
  pick,
}: {
  words: readonly string[];
  put: string;
  pick: (word: string) => void;
}) {
  return (
    <ul aria-label="Likely meant" className="flex flex-wrap gap-x-4">
      {words.map((word) => (
        <li key={word}>
          <Button look="text" aria-pressed={word === put} tabIndex={-1} onClick={() => pick(word)}>
            {word}
          </Button>
        </li>
      ))}
    </ul>
  );
}

const InItsLine = ({ place: { before, words, behind } }: { place: MisspeltPlace }) => (
  <p className="book text-[15px]">
    {before}
    <mark className="found-in-line">{words}</mark>
    {behind}
  </p>
);

interface WaysProps {
  put: string;
  /** How many places have the same word. */
  alike: number;
  change: (all: boolean) => void;
  passOver: () => void;
  sayRight: () => void;
  keepTerm: () => void;
}

/** What can be done with a word that nobody knows. */
const Ways = ({ put, alike, change, passOver, sayRight, keepTerm }: WaysProps) => (
  <div className="flex flex-wrap gap-2">
    <Button look="main" disabled={put.trim() === ''} onClick={() => change(false)}>
      Change
    </Button>
    {alike > 1 && (
      <Button disabled={put.trim() === ''} onClick={() => change(true)}>
        Change all {alike}
      </Button>
    )}
    <Button onClick={passOver}>Pass over</Button>
    <Button onClick={sayRight}>Right for me</Button>
    <Button onClick={keepTerm}>Save in a glossary …</Button>
  </div>
);

interface WordProps extends Props {
  place: MisspeltPlace;
  misspelt: ReturnType<typeof useMisspelt>;
}

/** One word that nobody knows: what it is changed to, or that it is right. */
function Word({ editor, dictionary, place, misspelt, keepTerm, close }: WordProps) {
  const { places, passOver, goFrom } = misspelt;
  const spellings = useSpellings(dictionary, place.word);
  const [typed, setTyped] = useState<string | null>(null);
  const { sayRight, error } = useSayRight();
  const put = typed ?? spellings?.[0] ?? '';
  const alike = places.filter(({ word }) => word === place.word);
  useEffect(() => showPlace(editor, place.from), [editor, place]);
  const change = (all: readonly MisspeltPlace[]) => {
    if (put.trim() === '') return;
    editor.view.dispatch(respell(editor.state, all, put));
    goFrom(place.from + put.length);
  };
  const walk = (step: 1 | -1) => {
    if (!spellings?.length) return;
    const at = spellings.indexOf(put);
    setTyped(spellings[(at + step + spellings.length) % spellings.length]!);
  };
  const press = (event: KeyboardEvent) => {
    if (event.nativeEvent.isComposing) return;
    if (event.key === 'Enter') change([place]);
    else if (event.key === 'ArrowDown') walk(1);
    else if (event.key === 'ArrowUp') walk(-1);
    else return;
    event.preventDefault();
  };
  return (
    <>
      <InItsLine place={place} />
      <TextField
        autoFocus
        label="Change to"
        value={put}
        maxLength={200}
        spellCheck={false}
        onChange={({ target }) => setTyped(target.value)}
        onKeyDown={press}
      />
      {spellings?.length ? (
        <Proposed words={spellings} put={put} pick={setTyped} />
      ) : (
        <p className="text-[13px] text-soft">
          {spellings ? 'Nothing is like it.' : 'Looking for what is like it …'}
        </p>
      )}
      <Ways
        put={put}
        alike={alike.length}
        change={(all) => change(all ? alike : [place])}
        passOver={() => passOver(place)}
        sayRight={() => {
          passOver(place);
          sayRight(place.word);
        }}
        keepTerm={() => keepTerm(place.word)}
      />
      {error && <Notice tone="warning" title={inWords(error)} />}
      <p className="text-[12.5px] text-soft">
        <Key>Enter</Key> changes and goes on, <Key>↑</Key> <Key>↓</Key> choose, <Key>{SPELLING_KEY}</Key> goes
        on, <Key>Esc</Key>{' '}
        <button type="button" className="underline" tabIndex={-1} onClick={close}>
          closes
        </button>
      </p>
    </>
  );
}

/** Walks through the words of a draft that no dictionary and no glossary knows, each changed, passed over or said to be right. */
export function SpellingSlip(props: Props) {
  const { editor, checker, dictionary, language, close } = props;
  const misspelt = useMisspelt(props);
  const { places, here, isLooking, next } = misspelt;
  useLiveKeys([{ key: SPELLING_KEY, does: 'Next word to check', run: next }]);
  const problem = checker?.failed ?? null;
  const told = () => {
    if (!dictionary) return `There is no dictionary for ${languageName(language)} here.`;
    if (!checker) return 'Checking the spelling is switched off, in “How you are offered things”.';
    if (problem) return inWords(problem);
    if (here) return `${places.indexOf(here) + 1} of ${places.length}`;
    return isLooking ? 'Looking the words up …' : 'All words are known.';
  };
  return (
    <section
      aria-label="Spelling"
      className="slip grid gap-2"
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        // The caret goes to the word that was looked at.
        if (here) editor.commands.setTextSelection({ from: here.from, to: here.to });
        close();
        event.preventDefault();
      }}
    >
      <h2 className="section-head">Spelling</h2>
      <p role="status" className="text-[13px] text-soft">
        {told()}
      </p>
      {here && !problem ? (
        <Word key={`${here.word} ${here.from}`} {...props} place={here} misspelt={misspelt} />
      ) : (
        <p>
          <Button autoFocus onClick={close}>
            Close <Key>Esc</Key>
          </Button>
        </p>
      )}
    </section>
  );
}
