import type { Editor } from '@tiptap/react';
import { useEffect, useLayoutEffect, useRef, useState } from 'react';
import { OFFER_KEYS, type Offer, type OffersAnswer, type OffersAsked } from '#core/glossary';
import { Asker } from '#client/offers';
import { stillFits, wordsOf, type Offered, type OfferHost } from '../offers/offering';
import { OffersPanel } from '../offers/OffersPanel';
import { lineOfBlank } from '../surface/whereKeysGo';

type Host = Pick<OfferHost, 'ask' | 'now' | 'liked' | 'onReady' | 'taken'>;
type Line = NonNullable<ReturnType<typeof lineOfBlank>>;

/** What is typed on a line up to its caret; null while something is selected on it. */
const typedOn = (line: Line): string | null =>
  line.selectionStart === line.selectionEnd ? line.value.slice(0, line.selectionStart ?? 0) : null;

/** Entries bring whole wordings, which no answer holds: terms and dates alone are offered. */
function offeredFor({ offers, isWord }: OffersAnswer, lookedAt: string): Offered | null {
  const fit = offers.filter(({ kind }) => kind !== 'entry').slice(0, OFFER_KEYS.length);
  if (fit.length === 0) return null;
  return { offers: fit, lookedAt, lineStart: 0, isWord, walking: null, readingBack: null };
}

/** Puts an offer in the place of what was typed for it, as typing it would. */
function putOn(line: Line, offer: Offer, typed: string): void {
  line.setRangeText(wordsOf(offer, typed), offer.from, line.selectionStart ?? line.value.length, 'end');
  line.dispatchEvent(new Event('input', { bubbles: true }));
  line.focus({ preventScroll: true });
}

/** What is offered for the answer that is being typed, and how one of it is taken. */
function useBlankOffers(editor: Editor, blank: number, host: Host) {
  const [offered, setOffered] = useState<Offered | null>(null);
  const latest = useRef<{ offered: Offered | null; host: Host }>({ offered, host });
  // As soon as it is seen: the key that takes it may be pressed before effects that wait have run.
  useLayoutEffect(() => {
    latest.current = { offered, host };
  });
  const take = (at: number): boolean => {
    const line = lineOfBlank(editor.view);
    const now = latest.current.offered;
    const offer = now?.offers[at];
    const typed = line && typedOn(line);
    // A key pressed before the answer to the last letter came: the offer must still fit what is typed.
    if (!line || !typed || !now || !offer || !stillFits(offer, now.lookedAt, typed)) return false;
    if (offer.readBack && now.readingBack !== at) {
      setOffered({ ...now, readingBack: at });
      return true;
    }
    const begun = typed.slice(offer.from);
    setOffered(null);
    putOn(line, offer, begun);
    latest.current.host.taken(offer, begun, 2);
    return true;
  };
  const taking = useRef(take);
  useLayoutEffect(() => {
    taking.current = take;
  });
  useEffect(() => {
    const line = lineOfBlank(editor.view);
    if (!line) return;
    const asker = new Asker<OffersAsked, OffersAnswer>(
      latest.current.host.ask,
      (answer, { line: lookedAt }) =>
        setOffered(typedOn(line) === lookedAt ? offeredFor(answer, lookedAt) : null),
    );
    const look = () => {
      const typed = typedOn(line);
      if (!typed || !latest.current.host.liked().on) setOffered(null);
      else asker.ask({ line: typed, ...latest.current.host.now(), taken: false });
    };
    const pressed = (event: KeyboardEvent) => {
      const isAlt = event.altKey && !event.ctrlKey && !event.getModifierState('AltGraph');
      const at = isAlt ? OFFER_KEYS.indexOf(event.code) : -1;
      if (at < 0 || !latest.current.offered) return;
      event.preventDefault();
      event.stopPropagation();
      taking.current(at);
    };
    const input = line as HTMLElement;
    input.addEventListener('input', look);
    // What was typed before a list was there is asked about once it is.
    const deaf = latest.current.host.onReady(look);
    input.addEventListener('keydown', pressed, true);
    return () => {
      asker.forget();
      deaf();
      input.removeEventListener('input', look);
      input.removeEventListener('keydown', pressed, true);
    };
  }, [editor, blank]);
  return { offered, take };
}

interface Props {
  editor: Editor;
  /** Where the current blank stands. */
  blank: number;
  host: Host;
  sourceOf: (offer: Offer) => string;
  cueOf: (offer: Offer) => string | null;
}

/** Terms and dates offered for the answer that is being typed, as in the text. */
export function BlankOffers({ editor, blank, host, sourceOf, cueOf }: Props) {
  const { offered, take } = useBlankOffers(editor, blank, host);
  return offered && <OffersPanel {...{ offered, sourceOf, cueOf, take }} canBeWalked={false} />;
}
