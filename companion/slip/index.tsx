import type { ReactNode } from 'react';
import { createRoot, type Root } from 'react-dom/client';
import { beginFilling, finishedParts, typedAnswers, type Filling } from '#client/filling';
import { clockNow } from '#client/clock';
import { toHtml } from '#core/exchange';
import { plainPassage } from '#core/passage';
import { answersFromGroups, type PlaceRequest } from '#core/fill';
import { fullWordings } from '#core/entry';
import { emptyRecord, type Written } from '#core/record';
import { ask, type EntryToFill, type OfferedRow } from '../messages';
import { addressOf, hostOf } from '../page/addressOf';
import type { Box } from '../page/box';
import { meeting, type Bringing, type Drawing, type HeldKey } from '../page/contract';
import { pagesAround } from './boxesOfParts';
import { recordOnPage } from './detailsOnPage';
import { FillSlip, isAtOnce, type FillFrom, type Places } from './FillSlip';
import { FindSlip } from './FindSlip';
import { offerFiles } from './offerFiles';
import { Offers } from './Offers';
import { replay } from './replay';
import { Surface } from './surface';
import { wordsFor } from './wordsFor';

/** A notice stays for so long, in milliseconds. */
const SAID_MS = 6000;

const surface = new Surface();
let root: Root | null = null;
let isOpen = false;
let hushing: ReturnType<typeof setTimeout> | null = null;

function show(box: Box | null, content: ReactNode): void {
  if (hushing) clearTimeout(hushing);
  const container = surface.open(box);
  root ??= createRoot(container);
  root.render(content);
  requestAnimationFrame(() => surface.place());
}

function close(): void {
  isOpen = false;
  root?.unmount();
  root = null;
  surface.close();
}

function say(box: Box | null, words: string): void {
  if (isOpen) return;
  show(
    box,
    <p role="status" className="said">
      {words}
    </p>,
  );
  hushing = setTimeout(close, SAID_MS);
}

function requestOf(bringing: Bringing, { entry, included, missing, writer }: EntryToFill): PlaceRequest {
  const within = new Map(included.map(({ id, content }) => [id, content]));
  const { language } = fullWordings(entry.content)[0]!;
  const address = addressOf(document);
  return {
    entry,
    cue: bringing.cue?.slice(0, 60) ?? null,
    record: emptyRecord(),
    ...clockNow(),
    writer,
    find: (id) => within.get(id),
    page: { address, isMissing: (id) => missing.includes(id) },
    id: crypto.randomUUID(),
    answers: answersFromGroups(entry.content.fields, bringing.groups, clockNow(), language),
  };
}

/** Where an entry that asks for details can be filled from: the case that is open in Elderleaf, and this page where it was shown. */
async function sourcesFor(box: Box, { entry, included }: EntryToFill, written: Written): Promise<FillFrom[]> {
  const asksDetails = [entry, ...included].some(({ content }) =>
    content.fields.some(({ kind }) => kind === 'detail' || kind === 'person'),
  );
  const sources = asksDetails ? await ask('sources', { host: hostOf(document) }) : null;
  if (!sources) return [];
  const { card, openCase } = sources;
  const pages = pagesAround(box.element.ownerDocument);
  const onPage = card && (() => Promise.resolve(recordOnPage(card, pages, written)));
  return [
    ...(onPage ? [{ label: 'From this page', letter: 'P', read: onPage }] : []),
    ...(openCase === null
      ? []
      : [{ label: `From ${openCase}`, letter: 'C', read: () => ask('open-case', {}) }]),
  ];
}

/** A few letters behind words with formatting: spaces at their edges are kept. */
const asHtml = (text: string): string =>
  toHtml(plainPassage(text))
    .replace(/^<p>|<\/p>\s*$/g, '')
    .replace(/^ | $/g, '&nbsp;');

const letters = (text: string) => Array.from(text).length;

/** Puts a filled entry into its boxes and counts it. Gives what hinders it; null when it is done. */
async function putIn(
  bringing: Bringing,
  filling: Filling,
  places: Places,
  pressed: number,
): Promise<string | null> {
  const { box, typed, before, inWord, kept } = bringing;
  const watching = meeting().watching!;
  if (!box.stands) return 'The box is gone: the page has drawn itself anew. Your answers are still here.';
  const parts = finishedParts(filling, { before, after: box.after(), inWord });
  const form = watching.form();
  const main = wordsFor(parts.at(-1)!.passage, box, form);
  const words = { plain: main.plain + kept, html: main.html === null ? null : main.html + asHtml(kept) };
  const over = box.room(typed.length, words);
  if (over !== null)
    return `The box has no room for this: it is ${over} letters too long. Nothing was changed.`;
  for (const { name, passage } of parts.slice(0, -1)) {
    const place = places.get(name);
    const host = hostOf(document);
    void ask('remember-box', { host, part: name, box: place?.name ?? 'nowhere' });
    if (place?.box.stands) await place.box.fill(wordsFor(passage, place.box, form));
  }
  if (!(await box.put(typed, words))) {
    const copied = await navigator.clipboard.writeText(words.plain).then(
      () => true,
      () => false,
    );
    return copied
      ? 'The box did not take the words. They are copied: paste them with Ctrl + V.'
      : 'The box did not take the words. Click where they go, then try again.';
  }
  const shown = parts.reduce((sum, { passage }) => sum + letters(wordsFor(passage, box, 'plain').plain), 0);
  const keys = bringing.keys + pressed;
  const use = {
    ...{ source: 'entry' as const, list: filling.placement.entry, term: '', times: 1, shown, pressed: keys },
    brought: { way: bringing.way, keys: bringing.keys },
  };
  void ask('used', { use });
  return null;
}

const isBackspace = (held: HeldKey | undefined): boolean => held?.key === 'Backspace';

/** Words were put in: what is typed since goes behind them, but a Backspace first of all gives back what they are for. */
async function settle(bringing: Bringing, keys: readonly HeldKey[], along: () => void): Promise<void> {
  const watching = meeting().watching!;
  const isGivenBack = isBackspace(keys[0]);
  if (isGivenBack) await watching.giveBack(bringing);
  else if (keys.length === 0) watching.broughtIn(bringing);
  await watching.typeHeld(bringing.box, isGivenBack ? keys.slice(1) : keys);
  if (!isGivenBack) along();
}

/** Puts in an entry that asks nothing. */
async function bringAtOnce(bringing: Bringing, begun: Filling, along: () => void): Promise<void> {
  const watching = meeting().watching!;
  const trouble = await putIn(bringing, begun, new Map(), 0);
  const keys = watching.takeHeld();
  if (!trouble) return settle(bringing, keys, along);
  await watching.typeHeld(bringing.box, keys);
  say(bringing.box, trouble);
}

async function bring(bringing: Bringing): Promise<void> {
  const watching = meeting().watching!;
  const { box } = bringing;
  const toFill = await ask('entry', { entry: bringing.entry, address: addressOf(document) });
  if (!toFill) {
    await watching.typeHeld(box, watching.takeHeld());
    return say(box, 'This entry is not in the bank any more.');
  }
  let request = requestOf(bringing, toFill);
  const begun = beginFilling(request, bringing.typedCase);
  const along = () => offerFiles(box, toFill, begun.placement.files ?? [], say);
  if (isAtOnce(begun)) return bringAtOnce(bringing, begun, along);
  const sources = await sourcesFor(box, toFill, {
    today: request.today,
    language: request.entry.content.wordings[0]!.language,
  });
  const again = (filling: Filling, change: Partial<PlaceRequest>) => {
    request = {
      ...request,
      wording: filling.placement.wording,
      answers: filling.placement.answers,
      ...change,
    };
    return beginFilling(request, bringing.typedCase);
  };
  box.hold();
  isOpen = true;
  show(
    box,
    <FillSlip
      {...{ bringing, toFill, begun, sources }}
      // What an earlier record told gives way; what was typed stays.
      inRecord={(record, filling) => again(filling, { record, answers: typedAnswers(filling) })}
      ready={(slip) => void replay(slip, watching).then((left) => watching.typeHeld(box, left))}
      inWording={(wording, filling) => again(filling, { wording })}
      remembered={watching.boxes()}
      selected={watching.selected()}
      putIn={async (filling, places, pressed) => {
        watching.hold();
        const trouble = await putIn(bringing, filling, places, pressed);
        if (trouble) {
          watching.stopHolding();
          return trouble;
        }
        close();
        await settle(bringing, watching.takeHeld(), along);
        return null;
      }}
      giveUp={() => {
        close();
        watching.gaveUp(bringing);
        box.resume();
      }}
    />,
  );
}

function lookUp(box: Box): void {
  box.hold();
  isOpen = true;
  const leave = () => {
    close();
    box.resume();
  };
  show(
    box,
    <FindSlip
      close={leave}
      take={({ id }, keys) => {
        leave();
        const before = box.before() ?? '';
        const none = {
          typed: '',
          cue: null,
          typedCase: 'as-is',
          inWord: false,
          kept: '',
          groups: [],
        } as const;
        void bring({ ...none, groups: [], box, entry: id, before, way: 'look-up', keys });
      }}
    />,
  );
}

/** Offers are drawn apart from the slip: they come and go with each letter, and never have the keys. */
const beneathCaret = new Surface({ width: 340, height: 220, least: 40 });
let offered: Root | null = null;

function offer(box: Box | null, rows: readonly OfferedRow[], take: (at: number) => void): void {
  if (!box || isOpen) {
    offered?.unmount();
    offered = null;
    return beneathCaret.close();
  }
  const container = beneathCaret.open(box);
  offered ??= createRoot(container);
  offered.render(<Offers {...{ rows, take }} />);
  requestAnimationFrame(() => beneathCaret.place());
}

const drawing: Drawing = { bring, lookUp, offer, say, isOpen: () => isOpen };
meeting().drawing ??= drawing;
