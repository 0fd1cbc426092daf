import { useEditorState, type Editor } from '@tiptap/react';
import { useMemo } from 'react';
import type { Case } from '#contracts';
import type { BankIndex } from '#core/bank';
import { isSame } from '#core/difference';
import { wordsWithin } from '#core/spelling';
import { placementsOf, transcriptOf } from '../../editor';
import { useDictionary, useMisspeltMarks, useSpellChecker } from '../../spelling';

/** The language that most of what was placed is in; null where nothing was. */
function languagePlaced({ state: { doc } }: Editor): string | null {
  const times = new Map<string, number>();
  for (const { language } of Object.values(placementsOf(doc)))
    times.set(language, (times.get(language) ?? 0) + 1);
  return [...times].sort(([, a], [, b]) => b - a)[0]?.[0] ?? null;
}

/** The language that one writes a kind of work in, as far as its collections tell. */
const languageOfBank = (index: BankIndex | null, kind: string): string =>
  index?.bank.collections.find(({ kindsOfWork }) => kindsOfWork.includes(kind))?.language ?? 'en-GB';

/** What checks the spelling of a draft: words of its case, its speakers and its own terms are right besides. */
export interface Spelling {
  /** BCP 47. */
  language: string;
  dictionary: ReturnType<typeof useDictionary>;
  checker: ReturnType<typeof useSpellChecker>;
}

/** The language of a recording, where its case says it as a tag; nobody's letter is in the language that its patient speaks. */
function languageSpoken({ kind, record }: Case): string | null {
  const said = kind === 'transcript' && record.details.find(({ path }) => path === 'language')?.value;
  return said && said.kind === 'text' && /^[a-z]{2,3}(-[a-z0-9]+)*$/i.test(said.text) ? said.text : null;
}

/** Checks the spelling of a draft while it is written on, and marks what nobody knows. */
export function useSpelling(editor: Editor, one: Case, index: BankIndex | null, isOpen: boolean): Spelling {
  const { placed, ...spoken } = useEditorState({
    editor,
    selector: ({ editor: now }) => {
      const { cast, terms } = transcriptOf(now.state.doc);
      return { placed: languagePlaced(now), cast, terms };
    },
    equalityFn: isSame,
  });
  const language = placed ?? languageSpoken(one) ?? languageOfBank(index, one.kind);
  const dictionary = useDictionary(language);
  const { cast, terms } = spoken;
  const right = useMemo(
    () => [...wordsWithin([one.title, one.record, cast, terms])],
    [one.title, one.record, cast, terms],
  );
  const checker = useSpellChecker(isOpen ? dictionary : null, right);
  useMisspeltMarks(editor, checker, language);
  return { language, dictionary, checker };
}
