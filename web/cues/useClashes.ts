import { useEffect, useState } from 'react';
import type { BankCue, Clash } from '#core/cue';
import { useGlossaries } from '../api';
import { offerService } from '#client/offers';
import { useGlossaryLists } from '../offers';

/** What the cues given are in conflict with, worked out by the worker; null until it is first known. */
export function useClashes(cues: readonly BankCue[]): Clash[] | null {
  const glossaries = useGlossaries().data;
  const loaded = useGlossaryLists(glossaries);
  const [clashes, setClashes] = useState<Clash[] | null>(null);
  useEffect(() => {
    let isLatest = true;
    // Words come list by list: with each, what is told grows.
    void offerService()
      .clashes(cues)
      .then((found) => isLatest && setClashes(found));
    return () => {
      isLatest = false;
    };
  }, [cues, loaded]);
  return clashes;
}
