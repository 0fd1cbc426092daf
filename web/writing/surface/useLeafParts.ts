import { useEffect, useMemo, useRef, useState } from 'react';
import type { Case, Draft } from '#contracts';
import type { DraftDocument } from '#core/draft';
import { useEntriesAtHand, usePreferences } from '../../api';
import { SentencesTyped } from '#client/drafts';
import { keysOfEntry } from '#core/bank';
import type { Way } from '#core/savings';
import { useOffering } from '../../offers';
import { useShell } from '../../shell';
import type { LeafSlip } from '../capture/leafSlip';
import { useKeyCounts } from '../keeping/useKeyCounts';
import { useLeafEditor } from './useLeafEditor';
import { usePlacing } from '../placements/usePlacing';

/** In so many drafts a sentence was typed when it is said. */
const TOLD_AT = 3;

type Brought = (placement: string, entry: string, keys: number, way: Way) => void;

interface Options {
  one: Case;
  draft: Draft;
  document: DraftDocument;
  onChange: () => void;
  say: (words: string) => void;
}

/** The editor of a leaf with all it takes from the bank: cues, offers, keys, and the count of what they save. */
export function useLeafParts({ one, draft, document, onChange, say }: Options) {
  const { member, finderOpen } = useShell();
  const placing = usePlacing(one, draft.id, member);
  // What was placed here may be kept where this page has nothing else of.
  useEntriesAtHand(Object.values(document.attrs.placements).map(({ entry }) => entry));
  const offering = useOffering(placing.index, placing.reach, one);
  const preferences = usePreferences().data;
  const [slip, openSlip] = useState<LeafSlip | null>(null);
  const [isListed, setListed] = useState(false);
  const questions = { isListed, toggle: () => setListed(!isListed) };
  // What stands in these is set below: the editor needs the host before there is what counts its keys.
  const later = useRef<{
    brought: Brought;
    missed: (entry: string) => void;
    ran: (does: string) => void;
    sentence: (sentence: string) => void;
    leadIn: string;
  } | null>(null);
  const host = useMemo(
    () => ({
      ...placing.host,
      ...offering.host,
      open: openSlip,
      brought: (...all: Parameters<Brought>) => later.current?.brought(...all),
      missed: (entry: string) => later.current?.missed(entry),
      ran: (does: string) => later.current?.ran(does),
      sentence: (sentence: string) => later.current?.sentence(sentence),
      commandLeadIn: () => later.current?.leadIn ?? '',
    }),
    [placing.host, offering.host],
  );
  const editor = useLeafEditor({ document, host, onChange });
  const counts = useKeyCounts(editor, draft.id, one.kind, finderOpen);
  const [typed] = useState(() => new SentencesTyped(member.id));
  const told = useRef(new Set<string>());
  const { index } = placing;
  useEffect(() => {
    later.current = {
      brought: counts.brought,
      sentence: (sentence) => {
        if (typed.heard(sentence) === TOLD_AT)
          say('You have typed this sentence in three drafts. Select it and press F4 to save it as an entry.');
      },
      ran: (does) => say(`${does}: Ctrl Z takes it back.`),
      leadIn: preferences?.commandLeadIn ?? '',
      // Once for each entry: a hint that comes again is a nag.
      missed: (id) => {
        const entry = index?.entries.get(id);
        const keys = entry && keysOfEntry(entry, index?.collections.get(entry.collection));
        if (!keys || told.current.has(id)) return;
        told.current.add(id);
        say(`What you just typed is “${entry.content.title}”: ${keys} brings it.`);
      },
    };
  });
  return { placing, offering: { ...offering, host }, slip, openSlip, questions, editor, counts };
}
