import { useDeferredValue } from 'react';
import type { EntryContent } from '#core/entry';
import { respelt } from '#core/spelling';
import type { DoubtPlace } from '#core/workbench';
import { inWords } from '#client/api';
import { useMisspeltWords, useSayRight, useSpellings, type MisspeltWord } from '../../spelling';
import { Button, Notice } from '../../ui';

interface Props {
  content: EntryContent;
  /** Changes it; null for those who may not. */
  change: ((content: EntryContent) => void) | null;
  show: (place: DoubtPlace) => void;
}

/** So many are told of one entry: more are no slips of the finger. */
const SHOWN = 12;

interface RowProps extends Props {
  misspelt: MisspeltWord;
  dictionary: ReturnType<typeof useMisspeltWords>['dictionary'];
}

function Row({ misspelt: { word, places }, dictionary, content, change, show }: RowProps) {
  const spellings = useSpellings(dictionary, word)?.slice(0, 2) ?? [];
  const { sayRight, error } = useSayRight();
  const [{ at, from, to }] = places as [(typeof places)[0]];
  return (
    <li className="border-b border-hair py-1 text-[14px]">
      <button
        type="button"
        className="block min-h-6 w-full text-left hover:text-elder"
        onClick={() => at.in === 'wording' && show({ ...at, from, to })}
      >
        “{word}” is not in the dictionary.
      </button>
      <p className="flex flex-wrap gap-x-4">
        {change &&
          spellings.map((put) => (
            <Button
              key={put}
              look="text"
              onClick={() => change(respelt(content, new Map([[word.toLowerCase(), put]])))}
            >
              Write “{put}”
            </Button>
          ))}
        <Button look="text" onClick={() => sayRight(word)}>
          Right for me
        </Button>
      </p>
      {error && <Notice tone="warning" title={inWords(error)} />}
    </li>
  );
}

function InLanguage({ language, ...props }: Props & { language: string }) {
  const { misspelt, dictionary } = useMisspeltWords(props.content, language);
  return misspelt
    .slice(0, SHOWN)
    .map((one) => <Row key={one.word} misspelt={one} dictionary={dictionary} {...props} />);
}

/** The words of an entry that no dictionary and no glossary of the team knows, each put right in one step. */
export function Misspelt({ content: written, ...props }: Props) {
  const content = useDeferredValue(written);
  const languages = [...new Set(content.wordings.map(({ language }) => language))];
  return (
    <section aria-label="Spelling" className="has-[ul:empty]:hidden">
      <ul>
        {languages.map((language) => (
          <InLanguage key={language} language={language} content={content} {...props} />
        ))}
      </ul>
    </section>
  );
}
