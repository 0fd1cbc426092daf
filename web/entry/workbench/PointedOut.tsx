import { useMutation, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useMemo, useState } from 'react';
import type { EntryContent } from '#core/entry';
import { personalInEntry, personalToField, type PersonalPlace, KIND_WORDS } from '#core/privacy';
import { editTexts, HouseFinder, type HousePlace, type HouseWord } from '#core/terms';
import type { DoubtPlace } from '#core/workbench';
import { call, inWords } from '#client/api';
import {
  houseWordsQuery,
  KEYS,
  queryClient,
  useAllowedDetails,
  useIsOfTeam,
  usePersonalFinder,
} from '../../api';
import { WhyForm } from '../../personal';
import { Button, Notice } from '../../ui';
import type { BankIndex } from '#core/bank';

interface Props {
  index: BankIndex;
  content: EntryContent;
  /** The entry as it is kept; undefined for one that is new. */
  entry: string | undefined;
  /** Whether others read it: one's own wording may hold what it likes. */
  isShared: boolean;
  /** Changes it; null for those who may not. */
  change: ((content: EntryContent) => void) | null;
  show: (place: DoubtPlace) => void;
}

const NONE: readonly HouseWord[] = [];

function SaidSo({
  place,
  word,
  content,
  change,
  show,
}: { place: HousePlace; word: HouseWord | undefined } & Pick<Props, 'content' | 'change' | 'show'>) {
  const { at } = place;
  const said = place.words.trim();
  return (
    <li className="border-b border-hair py-1 text-[14px]">
      <button
        type="button"
        className="block min-h-6 w-full text-left hover:text-elder"
        onClick={() => at.in === 'wording' && show({ ...at, from: place.from, to: place.to })}
      >
        “{said}”: house style {word?.use ? `is “${word.use}”` : 'leaves it out'}.
        {word?.why && <span className="block text-[12.5px] text-soft">{word.why}</span>}
      </button>
      {change && (
        <Button look="text" onClick={() => change(editTexts(content, [place]))}>
          {place.put === '' ? `Leave out “${said}”` : `Say “${place.put}”`}
        </Button>
      )}
    </li>
  );
}

function Personal({
  place,
  entry,
  content,
  change,
  show,
}: { place: PersonalPlace } & Pick<Props, 'content' | 'entry' | 'change' | 'show'>) {
  const [isAsking, setAsking] = useState(false);
  const isOfTeam = useIsOfTeam();
  const allow = useMutation({
    mutationFn: (why: string) =>
      call('allowDetail', { params: { entry: entry! }, body: { words: place.words, why } }),
    onSuccess: () => queryClient.invalidateQueries({ queryKey: KEYS.allowed(entry!) }),
  });
  return (
    <li className="border-b border-hair py-1 text-[14px]">
      <button
        type="button"
        className="block min-h-6 w-full text-left hover:text-elder"
        onClick={() => show({ ...place, line: place.line })}
      >
        “{place.words}” looks like {KIND_WORDS[place.kind]}.
      </button>
      {change && !isAsking && (
        <p className="flex gap-4">
          <Button look="text" onClick={() => change(personalToField(content, place, isOfTeam))}>
            Make it a field
          </Button>
          {entry && (
            <Button look="text" onClick={() => setAsking(true)}>
              This is fine …
            </Button>
          )}
        </p>
      )}
      {isAsking && (
        <WhyForm
          words={place.words}
          letStand={(_, why) => allow.mutate(why)}
          pending={allow.isPending}
          close={() => setAsking(false)}
        />
      )}
      {allow.error && <Notice tone="warning" title={inWords(allow.error)} />}
    </li>
  );
}

/** What an entry says otherwise than the house does, and what in it looks like somebody's details: each mended in one step. */
export function PointedOut({ index, content: written, entry, isShared, change, show }: Props) {
  const content = useDeferredValue(written);
  const { data } = useQuery(houseWordsQuery);
  const words = data?.words ?? NONE;
  const finder = useMemo(() => new HouseFinder(words), [words]);
  const find = usePersonalFinder(index);
  const allowed = useAllowedDetails(isShared ? entry : undefined).data;
  const said = useMemo(() => (isShared ? finder.in(content) : []), [finder, content, isShared]);
  const personal = useMemo(() => {
    // Until it is known what may stand, nothing is said of it.
    if (!find || !isShared || (entry && !allowed)) return [];
    return personalInEntry(content, find, new Set(allowed?.words));
  }, [find, content, isShared, entry, allowed]);
  if (said.length + personal.length === 0) return null;
  return (
    <section aria-label="Pointed out">
      <h2 className="section-head">Before others read it</h2>
      <ul>
        {said.map((place) => (
          <SaidSo
            key={`${JSON.stringify(place.at)} ${place.from}`}
            place={place}
            word={words.find(({ id }) => id === place.word)}
            content={content}
            change={change}
            show={show}
          />
        ))}
        {personal.map((place) => (
          <Personal
            key={`${place.wording} ${place.part} ${place.line} ${place.from}`}
            place={place}
            entry={entry}
            content={content}
            change={change}
            show={show}
          />
        ))}
      </ul>
    </section>
  );
}
