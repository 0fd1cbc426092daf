import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { HouseWordGiven } from '#contracts';
import { call, inWords } from '#client/api';
import { languageName } from '#core/language';
import { KEYS, queryClient } from '../api';
import { counted } from '../show';
import { Button, Notice } from '../ui';
import { NewWord, WordChange } from './HouseWordForms';

/** A word of the house as it is in the store. */
export type KeptHouseWord = HouseWordGiven & { id: string };

const settled = () => void queryClient.invalidateQueries({ queryKey: KEYS.houseWords });

interface LineProps {
  word: KeptHouseWord;
  mayChange: boolean;
  found: number | null;
  edit: () => void;
  drop: () => void;
}

function WordLine({ word, mayChange, found, edit, drop }: LineProps) {
  const { use, avoid, why, language, together } = word;
  return (
    <li className="flex flex-wrap items-baseline gap-x-4 border-b border-hair py-2">
      <p className="min-w-0 grow break-words">
        <span className="font-book text-[17px]">{use || <span className="text-soft">leave out</span>}</span>{' '}
        <span className="text-[14px] text-soft">{use && 'not'} </span>
        <span className="font-book text-[16px] text-rust">{avoid.join(', ')}</span>
        <span className="block text-[13px] text-soft">
          {[why, language && languageName(language), together && 'only where two of them are in one entry']
            .filter(Boolean)
            .join(' · ')}
        </span>
      </p>
      {found !== null && <span className="text-[13px] text-soft">{counted(found, 'place', 'places')}</span>}
      {mayChange && (
        <span className="flex gap-3 text-[14px]">
          <Button look="text" aria-label={`Change ${use || avoid[0]}`} onClick={edit}>
            Change
          </Button>
          <Button look="text" aria-label={`Remove ${use || avoid[0]}`} onClick={drop}>
            Remove
          </Button>
        </span>
      )}
    </li>
  );
}

/** The words, their forms, and what was dropped last. */
function useHouseWords() {
  const [dropped, setDropped] = useState<KeptHouseWord | null>(null);
  const save = useMutation({
    mutationFn: ({ id, ...body }: HouseWordGiven & { id?: string }) =>
      id === undefined
        ? call('makeHouseWord', { body })
        : call('saveHouseWord', { params: { word: id }, body }),
    onSuccess: () => setDropped(null),
    onSettled: settled,
  });
  const drop = useMutation({
    mutationFn: ({ id }: KeptHouseWord) => call('dropHouseWord', { params: { word: id } }),
    onSuccess: (_, word) => setDropped(word),
    onSettled: settled,
  });
  return { save, drop, dropped, error: save.error ?? drop.error };
}

interface ListProps {
  words: readonly KeptHouseWord[];
  /** When they were read. */
  readAt: number;
  mayChange: boolean;
  /** How often shared wording says otherwise, by word; null as long as nobody asked. */
  counts: Readonly<Record<string, number>> | null;
}

/** The words that are settled, each changed where it stands, and a form for another. */
export function HouseWordList({ words, readAt, mayChange, counts }: ListProps) {
  const { save, drop, dropped, error } = useHouseWords();
  const [editing, setEditing] = useState<KeptHouseWord | null>(null);
  const isGone = editing !== null && !words.some(({ id }) => id === editing.id);
  return (
    <div className="px-9 pb-5 max-[899px]:px-4">
      {error && <Notice tone="warning" title={`${inWords(error)} What you wrote is still here.`} />}
      {dropped && (
        <Notice title={`“${dropped.use || dropped.avoid[0]}” is no longer house style.`}>
          <Button look="text" onClick={() => save.mutate({ ...dropped, id: undefined })}>
            Undo
          </Button>
        </Notice>
      )}
      {words.length === 0 && (
        <p className="py-3 text-soft">
          Nothing is settled yet.{' '}
          {mayChange && 'Write down the first word that you all want to use, and which it replaces.'}
        </p>
      )}
      <ul aria-label="House style">
        {(isGone ? [...words, editing] : words).map((word) =>
          editing?.id === word.id ? (
            <li key={word.id} className="border-b border-hair py-3">
              <WordChange
                {...{ word, readAt, isGone }}
                pending={save.isPending}
                save={(next) =>
                  save.mutate(
                    { ...next, id: isGone ? undefined : word.id },
                    { onSuccess: () => setEditing(null) },
                  )
                }
                cancel={() => setEditing(null)}
              />
            </li>
          ) : (
            <WordLine
              key={word.id}
              word={word}
              mayChange={mayChange}
              found={counts && (counts[word.id] ?? 0)}
              edit={() => setEditing(word)}
              drop={() => drop.mutate(word)}
            />
          ),
        )}
      </ul>
      {mayChange && (
        <div className="pt-4">
          <NewWord pending={save.isPending} save={(next, done) => save.mutate(next, { onSuccess: done })} />
        </div>
      )}
    </div>
  );
}
