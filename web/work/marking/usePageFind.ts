import { useEffect, useMemo, useRef, useState } from 'react';
import { folded } from '#core/glossary';
import { wordsOnPage, type PdfQuad, type PdfRun } from '#core/submission';
import { inWords } from '#client/api';
import type { PageSource } from '../../documents';
import type { Markings } from './useMarkings';
import { wordsOfMarking } from './wordsOfMarking';

/** A place where the words are that one looks for: of the page itself, or in a marking on it. */
export interface Found {
  page: number;
  /** What the words cover of the page; none in a marking. */
  quads: readonly PdfQuad[];
  marking: string | null;
}

/** How far the pages have been looked through. */
interface Looked {
  words: string;
  found: readonly Found[];
  pages: number;
  /** Whether any page so far had words. */
  hadWords: boolean;
  failed: string | null;
}

const NOT_LOOKED: Looked = { words: '', found: [], pages: 0, hadWords: false, failed: null };
/** What was found is shown each time that so many pages more have been looked through. */
const SHOWN_EACH = 25;

/** Looks through the pages of a file, one after another; those that were read once are not read again. */
function useLookedThrough(source: PageSource | undefined, words: string): Looked {
  const [looked, setLooked] = useState(NOT_LOOKED);
  const read = useRef(new WeakMap<PageSource, Map<number, readonly PdfRun[]>>());
  useEffect(() => {
    if (!source || words === '') return;
    let isOver = false;
    const known = read.current.get(source) ?? new Map<number, readonly PdfRun[]>();
    read.current.set(source, known);
    const look = async () => {
      const found: Found[] = [];
      let hadWords = false;
      for (let page = 0; page < source.count && !isOver; page += 1) {
        const runs = known.get(page) ?? (await source.runs(page));
        known.set(page, runs);
        hadWords ||= runs.length > 0;
        for (const quads of wordsOnPage(runs, words)) found.push({ page, quads, marking: null });
        const pages = page + 1;
        if ((pages % SHOWN_EACH === 0 || pages === source.count) && !isOver)
          setLooked({ ...{ words, pages, hadWords, failed: null }, found: [...found] });
      }
    };
    look().catch((error: unknown) => !isOver && setLooked({ ...NOT_LOOKED, words, failed: inWords(error) }));
    return () => {
      isOver = true;
    };
  }, [source, words]);
  return looked.words === words ? looked : NOT_LOOKED;
}

/** Looking for words, on the pages themselves and in what is marked on them. */
export function usePageFind(source: PageSource | undefined, { markings, acts }: Markings) {
  const [typed, type] = useState<string | null>(null);
  const [at, setAt] = useState(-1);
  const words = (typed ?? '').trim();
  const looked = useLookedThrough(source, words);
  const found = useMemo(() => {
    const wanted = folded(words);
    const within = markings.flatMap((one): Found[] =>
      wanted !== '' && folded(wordsOfMarking(one)).includes(wanted)
        ? [{ page: one.marking.page, quads: [], marking: one.marking.id }]
        : [],
    );
    return [...looked.found, ...within].sort((a, b) => a.page - b.page);
  }, [looked, markings, words]);
  const current = found[at] ?? null;
  const show = (index: number) => {
    setAt(index);
    const one = found[index];
    if (one?.marking) acts.pick(one.marking);
    else if (one) acts.look(one.page, one.quads[0]![0]);
  };
  return {
    ...{ typed, found, current, at },
    ...{ looked: looked.pages, hadWords: looked.hadWords, failed: looked.failed },
    /** Opens it; closes it with null. */
    type: (text: string | null) => {
      type(text);
      setAt(-1);
    },
    /** Goes to the next place, or the one before; behind the last comes the first. */
    step: (by: 1 | -1) => {
      if (found.length > 0)
        show((at < 0 && by === -1 ? found.length - 1 : at + by + found.length) % found.length);
    },
  };
}

export type PageFind = ReturnType<typeof usePageFind>;
