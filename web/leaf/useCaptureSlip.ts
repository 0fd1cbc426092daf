import { useMemo, useState } from 'react';
import type { Collection, Entry } from '#contracts';
import { proposeCue } from '#core/cue';
import type { Placements } from '#core/draft';
import { proposeTitle } from '#core/entry';
import type { Passage } from '#core/passage';
import { captureForBank } from '#core/privacy';
import { useAtHand } from '../api/bank';
import { isProblem } from '../api/client';
import type { BankIndex } from '../bank/bankIndex';
import { usePersonalFinder } from '../bank/usePersonalFinder';
import { takenCues } from '../bank/takenCues';
import { titled, useKeep } from './keepCaptured';
import type { CaseToday } from './usePlacing';

export interface CaptureProps {
  words: Passage;
  placements: Placements;
  needs: CaseToday;
  index: BankIndex;
  home: string;
  close: (kept: Entry | null) => void;
}

/** What stands on the slip of captured words, as it is changed; and keeping it. */
export function useCaptureSlip({ words, placements, needs, index, home, close }: CaptureProps) {
  const [turnedBack, setTurnedBack] = useState<ReadonlySet<string>>(new Set());
  const find = usePersonalFinder(index);
  const captured = useMemo(
    () => captureForBank(words, { placements, ...needs }, find, turnedBack),
    [words, placements, needs, turnedBack, find],
  );
  const [made, setMade] = useState<Collection | null>(null);
  const kept = index.bank.collections.filter(({ right }) => right === 'keep');
  const keepable = made && !kept.some(({ id }) => id === made.id) ? [...kept, made] : kept;
  const [place, setPlace] = useState(home);
  const [fresh, setFresh] = useState<string | null>(null);
  const collection = keepable.find(({ id }) => id === place) ?? keepable[0];
  // Beside what is being kept stand its neighbours: their cues must not be taken.
  useAtHand(collection ? [collection.id] : []);
  const leadIn = collection?.leadIn ?? '';
  // Until one is written, of what has become no field: nobody's details get into a title, nor into the cue made of it.
  const [ownTitle, setTitle] = useState<string | null>(null);
  const title = ownTitle ?? proposeTitle(captured.passage);
  const [ownCue, setOwnCue] = useState<string | null>(null);
  const cue =
    ownCue ??
    (title.trim() === ''
      ? ''
      : proposeCue(title, takenCues(index, leadIn), collection?.cuesBy, (word) => index.ordinary.has(word)));
  const [key] = useState(() => crypto.randomUUID());
  const keep = useKeep(close, (one) => {
    setMade(one);
    setPlace(one.id);
    setFresh(null);
  });
  const known = titled(index, title);
  const toggle = (key: string) => {
    const next = new Set(turnedBack);
    if (!next.delete(key)) next.add(key);
    setTurnedBack(next);
  };
  const proposed = isProblem(keep.error, 'cue-taken') ? keep.error.problem.proposed : undefined;
  const slip = { key, title, cue, collection, captured, fresh };
  return {
    ...slip,
    leadIn,
    keepable,
    turnedBack,
    toggle,
    known,
    proposed,
    /** Whether the title is the one proposed. */
    isProposed: ownTitle === null,
    setTitle,
    setOwnCue,
    setPlace,
    setFresh,
    pending: keep.isPending,
    error: keep.error,
    keepIt: () => {
      if (!keep.isPending && fresh !== '') keep.mutate({ ...slip, replacing: null });
    },
    replace: (entry: Entry) => keep.mutate({ ...slip, replacing: entry }),
  };
}
