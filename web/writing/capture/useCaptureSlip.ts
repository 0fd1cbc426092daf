import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { Collection, Entry } from '#contracts';
import { proposeCue, type Cue } from '#core/cue';
import type { Placements } from '#core/draft';
import {
  asStatements,
  findingsIn,
  newEntry,
  proposeTitle,
  type EntryContent,
  mainPassage,
} from '#core/entry';
import type { Passage } from '#core/passage';
import { captureForBank, STAYING, type Captured, type PersonalKind } from '#core/privacy';
import { respelt } from '#core/spelling';
import { editTexts, HouseFinder, type HousePlace, type HouseWord } from '#core/terms';
import { useRespellings } from '../../spelling';
import { useAtHand, houseWordsQuery, usePersonalFinder } from '../../api';
import { isProblem } from '#client/api';
import { type BankIndex, takenCues } from '#core/bank';
import { titled, useKeep } from './keepCaptured';
import type { SlipFields } from './keptSlip';
import type { CaseToday } from '../placements/usePlacing';

export interface CaptureProps {
  words: Passage;
  placements: Placements;
  needs: CaseToday;
  index: BankIndex;
  home: string;
  /** What was written on it before it was left. */
  fields: SlipFields;
  /** Told of all that is written, so that it is there again when one comes back. */
  put: (change: Partial<SlipFields>) => void;
  close: (kept: Entry | null) => void;
  namesStay?: true | undefined;
}

/** Who sent a paper is what its name is of: a name there is no detail of the case. */
const NAMES_STAY: ReadonlySet<PersonalKind> = new Set([...STAYING, 'name']);
const NO_HOUSE_WORDS: readonly HouseWord[] = [];

/** An entry of one wording with other words in it. */
const withWords = (content: EntryContent, passage: Passage): EntryContent => ({
  ...content,
  wordings: content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) => ({ ...part, passage })),
  })),
});

/** What the captured words claim, and where they say something else than the house does; each by a key of its own among the ticks. */
function useSaid(passage: Passage, content: EntryContent, isShared: boolean) {
  const words = useQuery(houseWordsQuery).data?.words ?? NO_HOUSE_WORDS;
  const house = useMemo(() => new HouseFinder(words), [words]);
  const findings = useMemo(() => findingsIn(passage), [passage]);
  const places = useMemo(() => (isShared ? house.in(content) : []), [house, content, isShared]);
  return { findings, places };
}

/** The captured words as they are spelt once what is ticked is changed, and what can be ticked. */
function useSpelt({ passage }: Captured, language: string, ticked: ReadonlySet<string>) {
  const written = useMemo(() => newEntry('', language, passage), [language, passage]);
  const respellings = useRespellings(written, language);
  const spelt = useMemo(() => {
    const wanted = respellings.filter(({ word, put }) => ticked.has(respellingKey(word, put)));
    return mainPassage(respelt(written, new Map(wanted.map(({ word, put }) => [word.toLowerCase(), put]))));
  }, [written, respellings, ticked]);
  return { passage: spelt, respellings };
}

export const houseKey = ({ words, put }: Pick<HousePlace, 'words' | 'put'>) => `house ${words} ${put}`;
export const respellingKey = (word: string, put: string) => `spelling ${word} ${put}`;
export const findingKey = (words: string) => `finding ${words}`;

/** The collections that captured words can go into, one made on the slip too, and the one they go into. */
function useCapturePlace(index: BankIndex, wanted: string | null) {
  const [made, setMade] = useState<Collection | null>(null);
  const kept = index.bank.collections.filter(({ right }) => right === 'keep');
  const keepable = made && !kept.some(({ id }) => id === made.id) ? [...kept, made] : kept;
  const collection = keepable.find(({ id }) => id === wanted) ?? keepable[0];
  // Beside what is being kept stand its neighbours: their cues must not be taken.
  useAtHand(collection ? [collection.id] : []);
  return { keepable, collection, setMade };
}

/** The captured words as an entry: a claim is asked about only where it is ticked, what the house says otherwise is mended unless its tick is taken away. */
function asKept(
  plain: EntryContent,
  places: readonly HousePlace[],
  ticked: ReadonlySet<string>,
): EntryContent {
  const mended = editTexts(
    plain,
    places.filter((place) => !ticked.has(houseKey(place))),
  );
  const wanted = new Set(findingsIn(mainPassage(mended)).filter((said) => ticked.has(findingKey(said))));
  return withWords(mended, asStatements(mainPassage(mended), wanted));
}

/** What stands on the slip of captured words, as it is changed; and keeping it. */
export function useCaptureSlip(props: CaptureProps) {
  const { words, placements, needs, index, home, fields, put, close, namesStay } = props;
  const staying = namesStay ? NAMES_STAY : STAYING;
  const turnedBack = useMemo(() => new Set(fields.turnedBack), [fields.turnedBack]);
  const find = usePersonalFinder(index);
  const captured = useMemo(
    () => captureForBank(words, { placements, ...needs }, find, turnedBack, staying),
    [words, placements, needs, turnedBack, find, staying],
  );
  const { keepable, collection, setMade } = useCapturePlace(index, fields.place ?? home);
  const leadIn = collection?.leadIn ?? '';
  const { passage, respellings } = useSpelt(captured, collection?.language ?? 'en-GB', turnedBack);
  // Until one is written, of what has become no field: nobody's details get into a title, nor into the cue made of it.
  const title = fields.title ?? proposeTitle(passage);
  const isWord = (word: string) => index.ordinary.has(word);
  const cue =
    fields.cue ??
    (title.trim() === '' ? '' : proposeCue(title, takenCues(index, leadIn), collection?.cuesBy, isWord));
  const cues = useMemo<Cue[]>(
    () => (cue.trim() === '' ? [] : [{ text: cue.trim(), ...(fields.rules && { rules: fields.rules }) }]),
    [cue, fields.rules],
  );
  const plain = useMemo<EntryContent>(
    () => ({
      ...newEntry(title.trim(), collection?.language ?? 'en-GB', passage),
      fields: captured.fields,
      cues,
    }),
    [title, collection, passage, captured.fields, cues],
  );
  const { findings, places } = useSaid(passage, plain, collection?.own === false);
  const content = useMemo(() => asKept(plain, places, turnedBack), [plain, places, turnedBack]);
  const [key] = useState(() => crypto.randomUUID());
  const keep = useKeep(close, (one) => {
    setMade(one);
    put({ place: one.id, fresh: null });
  });
  const toggle = (key: string) => {
    const next = new Set(turnedBack);
    if (!next.delete(key)) next.add(key);
    put({ turnedBack: [...next] });
  };
  const slip = { key, content, collection, fresh: fields.fresh };
  return {
    ...slip,
    title,
    cue,
    cues,
    leadIn,
    keepable,
    captured,
    findings,
    places,
    respellings,
    turnedBack,
    staying,
    toggle,
    put,
    known: titled(index, title),
    proposed: isProblem(keep.error, 'cue-taken') ? keep.error.problem.proposed : undefined,
    /** Whether the title is the one proposed. */
    isProposed: fields.title === null,
    pending: keep.isPending,
    error: keep.error,
    keepIt: () => {
      if (!keep.isPending && fields.fresh !== '') keep.mutate({ ...slip, replacing: null });
    },
    replace: (entry: Entry) => keep.mutate({ ...slip, replacing: entry }),
  };
}
