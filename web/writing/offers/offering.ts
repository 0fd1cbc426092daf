import { isHistoryTransaction } from '@tiptap/pm/history';
import { Plugin, PluginKey, TextSelection, type EditorState, type Transaction } from '@tiptap/pm/state';
import type { EditorView } from '@tiptap/pm/view';
import { readCommand } from '#core/command';
import type { Way } from '#core/savings';
import type { PlaceRequest } from '#core/fill';
import { OFFER_KEYS, type OffersAnswer, type OffersAsked, type Offer } from '#core/glossary';
import { withCapital } from '#core/language';
import { isCode, isFollowing, lineBefore, placeEntry } from '../../editor';
import { Asker } from '#client/offers';
import { broughtBy, isBringing } from '../cues/cueFiring';
import { stepTo } from '../surface/blankKeys';

/** What the leaf gives to offers. */
export interface OfferHost {
  /** What text commands begin with; '' while they are off. */
  commandLeadIn: () => string;
  /** Answers what may be offered; another thread does the work. */
  ask: (asked: OffersAsked) => Promise<OffersAnswer>;
  /** Whether offers are wanted, and whether a space takes the first. */
  liked: () => { on: boolean; bySpace: boolean };
  now: () => Pick<OffersAsked, 'today' | 'language'>;
  request: (entry: string, cue: string | null, view: { state: EditorState }) => PlaceRequest | null;
  /** Calls back whenever there is more to be offered from; what comes back ends that. */
  onReady: (tell: () => void) => () => void;
  /** Told how many keys brought a placement, and in which way. */
  brought: (placement: string, entry: string, keys: number, way: Way) => void;
  /** Told when what an entry would have brought was typed in full. */
  missed: (entry: string) => void;
  /** Told when an offer was taken: what was typed for it, and how many keys that cost beyond. */
  taken: (offer: Offer, typed: string, keys: number) => void;
}

/** What is offered at the caret now. */
export interface Offered {
  offers: Offer[];
  /** The line that was looked at, up to the caret. */
  lookedAt: string;
  /** The place in the text where that line begins. */
  lineStart: number;
  /** Whether what stands before the caret is a word as it is. */
  isWord: boolean;
  /** Which offer the arrows have come to; null while they are not used. */
  walking: number | null;
  /** Which offer waits to be read back before it stands. */
  readingBack: number | null;
}

interface Offering {
  offered: Offered | null;
  /** What the text before the caret is looked at for; null when nothing is to be offered for it. */
  wanted: 'typed' | 'taken' | null;
}

type Meta = { offered: Offered | null } | { look: 'typed' | 'taken' } | { hide: true };

const key = new PluginKey<Offering>('offering');

/** What is offered now; null for nothing. */
export const offeredAt = (state: EditorState): Offered | null => key.getState(state)?.offered ?? null;

/** Whether the words right before the caret were typed, and not put down by a cue. */
function isByHand(state: EditorState): boolean {
  const { $from } = state.selection;
  const words = $from.parent.textBetween(0, $from.parentOffset, undefined, '\uFFFC');
  const end = words.trimEnd().length;
  const last = $from.parent.childAfter(Math.max(0, end - 1)).node;
  return !!last && last.isText && !last.marks.some(({ type }) => type.name === 'placed');
}

const wantedIn = (state: EditorState) => key.getState(state)?.wanted ?? null;

const canOffer = (state: EditorState) =>
  state.selection instanceof TextSelection && state.selection.empty && !isCode(state);

function nextOffering(tr: Transaction, before: Offering, state: EditorState): Offering {
  const meta = tr.getMeta(key) as Meta | undefined;
  if (meta && 'offered' in meta) return { ...before, offered: meta.offered };
  if (meta) return { offered: null, wanted: 'look' in meta ? meta.look : null };
  if (!tr.docChanged) return tr.selectionSet ? { offered: null, wanted: null } : before;
  const isTyped =
    !isHistoryTransaction(tr) && !isBringing(tr) && !isFollowing(tr) && tr.getMeta('uiEvent') !== 'paste';
  if (!isTyped || !canOffer(state)) return { offered: null, wanted: null };
  // The old offers stand until the new ones are there, so that the list does not flicker.
  return { offered: before.offered, wanted: 'typed' };
}

/** The case in which a term is put down: as it was begun, where it has no capitals of its own. */
export function inCaseOf(text: string, typed: string): string {
  const first = typed.match(/\p{L}/u)?.[0] ?? '';
  if (first === '' || first === first.toLocaleLowerCase() || text !== text.toLocaleLowerCase()) return text;
  const letters = typed.replace(/[^\p{L}]/gu, '');
  if (letters.length > 1 && letters === letters.toLocaleUpperCase()) return text.toLocaleUpperCase();
  return text.charAt(0).toLocaleUpperCase() + text.slice(1);
}

/** What an offer puts down for what was typed. The letters of a family are those of its words: of these only the first has a capital. */
export function wordsOf({ kind, by, text }: Offer, typed: string): string {
  if (kind !== 'term' || by === 'cue') return text;
  if (by !== 'family') return inCaseOf(text, typed);
  return /^\p{Lu}/u.test(typed) ? withCapital(text) : text;
}

const show = (view: EditorView, offered: Offered | null) =>
  view.dispatch(view.state.tr.setMeta(key, { offered } satisfies Meta));

/** Whether an offer for a line still fits what stands there now: what was typed since is what it begins with. */
export function stillFits(offer: Offer, lookedAt: string, line: string): boolean {
  if (line === lookedAt) return true;
  const typed = line.slice(offer.from).toLowerCase();
  return (
    line.startsWith(lookedAt) &&
    offer.by === 'beginning' &&
    offer.kind === 'term' &&
    offer.text.toLowerCase().startsWith(typed)
  );
}

/** Whether an offer still fits at the caret. */
function fits(state: EditorState, { lookedAt, lineStart }: Offered, offer: Offer): boolean {
  const line = lineBefore(state, state.selection.from);
  const isThere = line === lookedAt || state.selection.from - line.length === lineStart;
  return isThere && stillFits(offer, lookedAt, line);
}

/** Puts an offer in the place of what was typed for it; one that must be read back stands only the second time. */
export function takeOffer(view: EditorView, host: OfferHost, at: number, keys = 2): boolean {
  const { state } = view;
  const offered = offeredAt(state);
  const offer = offered?.offers[at];
  if (!offered || !offer || !view.editable) return false;
  // A key pressed before the answer to the last letter came: the offer must still fit what is typed.
  if (!fits(state, offered, offer)) return true;
  if (offer.readBack && offered.readingBack !== at) {
    show(view, { ...offered, readingBack: at });
    return true;
  }
  const from = offered.lineStart + offer.from;
  const caret = state.selection.from;
  const typed = state.doc.textBetween(from, caret, undefined, ' ');
  if (offer.kind === 'entry') {
    const request = host.request(offer.list, null, view);
    if (!request) return false;
    stepTo(view, broughtBy(placeEntry(state, from, caret, request), from, typed));
    host.brought(request.id, offer.list, typed.length + keys, 'offer');
  } else {
    const text = wordsOf(offer, typed);
    const tr = broughtBy(state.tr.insertText(text, from, caret), from, typed);
    view.dispatch(tr.setMeta(key, { look: 'taken' } satisfies Meta));
  }
  host.taken(offer, typed, keys);
  return true;
}

/** Arrows, once the list was entered on purpose: up, down, Enter to take, Escape to leave. */
function walk(view: EditorView, host: OfferHost, offered: Offered, event: KeyboardEvent): boolean {
  const { walking, offers } = offered;
  if (event.key === 'Escape') {
    if (walking === null) view.dispatch(view.state.tr.setMeta(key, { hide: true } satisfies Meta));
    else show(view, { ...offered, walking: null, readingBack: null });
    return true;
  }
  const step = event.key === 'ArrowDown' ? 1 : event.key === 'ArrowUp' ? -1 : 0;
  if (step !== 0 && (walking !== null || (event.altKey && step === 1))) {
    const next = walking === null ? 0 : (walking + step + offers.length) % offers.length;
    show(view, { ...offered, walking: next, readingBack: null });
    return true;
  }
  if (walking === null || event.altKey) return false;
  return event.key === 'Enter' && takeOffer(view, host, walking);
}

function pressed(view: EditorView, host: OfferHost, event: KeyboardEvent): boolean {
  const offered = offeredAt(view.state);
  // Called off before the answer has come: it is not shown any more.
  if (!offered && event.key === 'Escape' && wantedIn(view.state) !== null)
    view.dispatch(view.state.tr.setMeta(key, { hide: true } satisfies Meta));
  if (!offered || event.ctrlKey || event.metaKey || event.shiftKey || event.isComposing) return false;
  if (walk(view, host, offered, event)) return true;
  const at = OFFER_KEYS.indexOf(event.code);
  const isAlt = event.altKey && !event.getModifierState('AltGraph');
  return isAlt && at >= 0 && takeOffer(view, host, at);
}

/** Only where a member wants it: a space takes the first offer, unless what is typed is a word already. */
function spaced(view: EditorView, host: OfferHost, text: string): boolean {
  const offered = offeredAt(view.state);
  const first = offered?.offers[0];
  if (text !== ' ' || !first || !offered || !host.liked().bySpace) return false;
  // What is offered must be for what stands there now, not for a key ago.
  if (offered.lookedAt !== lineBefore(view.state, view.state.selection.from)) return false;
  if (offered.isWord || first.kind !== 'term' || first.by === 'ending' || first.readBack) return false;
  // Two letters may be an abbreviation: only what this person has taken before is meant by them.
  if (first.by === 'family' && first.times === 0) return false;
  // The space itself is the word's own: no key was spent.
  if (!takeOffer(view, host, 0, 0)) return false;
  view.dispatch(view.state.tr.insertText(' '));
  return true;
}

/** The keys that take an offer or go through the list; asked before all others. */
export const offerKeys = (host: OfferHost): Plugin =>
  new Plugin({
    props: {
      handleKeyDown: (view, event) => {
        const used = pressed(view, host, event);
        if (used) event.preventDefault();
        return used;
      },
    },
  });

/** What a question was asked of: a line up to the caret, and where in the text it begins. */
interface Question extends OffersAsked {
  lineStart: number;
}

/** The question of what stands before the caret; null where nothing is offered for it, as for a text command. */
function questionOf(view: EditorView, host: OfferHost, taken: boolean, coming = ''): Question | null {
  const { state, composing, editable } = view;
  if (composing || !editable || !host.liked().on) return null;
  const caret = state.selection.from + coming.length;
  const line = lineBefore(state, state.selection.from, coming);
  if (readCommand(line, host.commandLeadIn())) return null;
  return { line, lineStart: caret - line.length, taken, ...host.now() };
}

const isSame = (one: Question, other: Question) =>
  one.line === other.line && one.lineStart === other.lineStart && one.taken === other.taken;

/**
 * Where in the list one is, when it is told anew of the same words, as when another glossary has come: on the same offer, if it
 * is still there. A key that was pressed once for it is not asked for a second time.
 */
export function keptOf(
  before: Offered | null,
  { line, lineStart }: Pick<Question, 'line' | 'lineStart'>,
  offers: readonly Offer[],
): Pick<Offered, 'walking' | 'readingBack'> {
  if (!before || before.lookedAt !== line || before.lineStart !== lineStart)
    return { walking: null, readingBack: null };
  const now = (at: number | null) => {
    const was = at === null ? undefined : before.offers[at];
    const found = was ? offers.findIndex(({ text, list }) => text === was.text && list === was.list) : -1;
    return found < 0 ? null : found;
  };
  return { walking: now(before.walking), readingBack: now(before.readingBack) };
}

/** Asks for each key and shows what comes back, as long as it is of what stands there. */
function asking(view: EditorView, host: OfferHost) {
  // What was asked of a letter still on its way into the text, and what was answered before it stood there.
  let ahead: Question | null = null;
  let early: OffersAnswer | null = null;
  const tell = (answer: OffersAnswer, question: Question) => {
    const wanted = view.isDestroyed ? null : wantedIn(view.state);
    const current = wanted && questionOf(view, host, wanted === 'taken');
    if (!current || !isSame(current, question)) {
      if (question === ahead) early = answer;
      return;
    }
    const { offers, isWord, missed } = answer;
    if (missed && isByHand(view.state)) host.missed(missed);
    const { line: lookedAt, lineStart } = question;
    const offered = {
      offers,
      lookedAt,
      lineStart,
      isWord,
      ...keptOf(offeredAt(view.state), question, offers),
    };
    if (offers.length > 0 || offeredAt(view.state)) show(view, offers.length > 0 ? offered : null);
  };
  const asker = new Asker(host.ask, tell);
  const look = () => {
    const wanted = wantedIn(view.state);
    if (wanted === null) return;
    const question = questionOf(view, host, wanted === 'taken');
    if (!question) asker.forget();
    else if (!ahead || !isSame(question, ahead)) asker.ask(question);
    else if (early) {
      const answer = early;
      queueMicrotask(() => tell(answer, question));
    }
    ahead = early = null;
  };
  // Asked before the letter stands in the text: so the answer is there to be drawn together with it.
  const lookAhead = ({ inputType, data, isComposing }: InputEvent) => {
    if (inputType !== 'insertText' || data?.length !== 1 || isComposing || !canOffer(view.state)) return;
    early = null;
    ahead = questionOf(view, host, false, data);
    if (ahead) asker.ask(ahead);
  };
  view.dom.addEventListener('beforeinput', lookAhead);
  // What was typed while a list was still on its way is looked at again.
  const forget = host.onReady(() => {
    if (!view.isDestroyed) look();
  });
  return {
    update: ({ state }: EditorView, previous: EditorState) => {
      // Typed on: another state that wants to be looked at. What is shown of it changes the state as well.
      if (state.doc !== previous.doc || wantedIn(state) !== wantedIn(previous)) look();
    },
    destroy: () => {
      view.dom.removeEventListener('beforeinput', lookAhead);
      asker.forget();
      forget();
    },
  };
}

/** Offers what may be meant as one types; asked after cues, which win. */
export function offering(host: OfferHost): Plugin<Offering> {
  return new Plugin<Offering>({
    key,
    state: {
      init: () => ({ offered: null, wanted: null }),
      apply: (tr, value, _old, state) => nextOffering(tr, value, state),
    },
    props: {
      handleTextInput: (view, _from, _to, text) => spaced(view, host, text),
      handleDOMEvents: {
        // What an input method wrote is looked at when it is done.
        compositionend: (view) => {
          setTimeout(() => {
            if (view.isDestroyed || !canOffer(view.state)) return;
            view.dispatch(view.state.tr.setMeta(key, { look: 'typed' } satisfies Meta));
          });
          return false;
        },
      },
    },
    view: (view) => asking(view, host),
  });
}
