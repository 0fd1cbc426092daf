import { useEffect, useState } from 'react';
import type { BankCue, Clash, CueMaking } from '#core/cue';
import { useGlossaries } from '../api/queries';
import { offerService } from '../offers/offerService';
import { useGlossaryLists } from '../offers/useGlossaryLists';

/** What the cues given are in conflict with, worked out by the worker; null until it is first known. */
export function useClashes(cues: readonly BankCue[], by: CueMaking | undefined): Clash[] | null {
  const glossaries = useGlossaries().data;
  const loaded = useGlossaryLists(glossaries);
  const [clashes, setClashes] = useState<Clash[] | null>(null);
  useEffect(() => {
    let isLatest = true;
    // Words come list by list: with each, what is told grows.
    void offerService()
      .clashes(cues, by)
      .then((found) => isLatest && setClashes(found));
    return () => {
      isLatest = false;
    };
  }, [cues, by, loaded]);
  return clashes;
}
