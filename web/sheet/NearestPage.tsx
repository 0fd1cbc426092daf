import { CueShown, WithWords } from '../show';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import type { Nearest } from '#contracts';
import { newEntry, proposeTitle } from '#core/entry';
import { linesOf, lineText, plainPassage } from '#core/passage';
import { call } from '#client/api';
import { KEYS, useBankIndex } from '../api';
import { Figure } from '../shell';
import { Button, Failed, Loading } from '../ui';
import { firstCue, type BankIndex } from '#core/bank';
import { useBeginEntry } from '../acts';

const LONGEST = 20_000;
const EXCERPT = 320;

/** Where the first of some words stands, an excerpt begins a little before. */
function excerptAround(text: string, words: ReadonlySet<string>): string {
  const first = [...words].map((word) => text.toLowerCase().indexOf(word)).filter((at) => at >= 0);
  const from = Math.max(0, Math.min(...first, text.length) - EXCERPT / 4);
  const cut = text.length > EXCERPT && from > 0 ? text.indexOf(' ', from) + 1 : 0;
  const rest = text.slice(cut, cut + EXCERPT);
  return `${cut > 0 ? '… ' : ''}${rest}${cut + EXCERPT < text.length ? ' …' : ''}`;
}

function Found({ index, near: { entry, words } }: { index: BankIndex; near: Nearest['entries'][number] }) {
  const shared = new Set(words);
  const { title, purpose, wordings } = entry.content;
  const collection = index.collections.get(entry.collection);
  const text = wordings
    .flatMap(({ parts }) => parts.flatMap(({ passage }) => linesOf(passage).map(lineText)))
    .join(' ')
    // What stands for a blank.
    .replace(/\uFFFC/g, '…');
  return (
    <li className="grid gap-1 border-b border-hair px-9 py-3 max-[899px]:px-4">
      <p className="flex flex-wrap items-baseline gap-x-3">
        <Link to={`/bank/${entry.id}`} className="font-book text-[17px] break-words text-ink">
          <WithWords text={title} words={shared} />
        </Link>
        <CueShown cue={firstCue(entry, collection)} />
        <span className="text-[13px] text-soft">{collection?.name}</span>
      </p>
      {purpose && (
        <p className="text-[13.5px] text-soft">
          <WithWords text={purpose} words={shared} />
        </p>
      )}
      <p className="font-book text-[15px] leading-[1.7]">
        <WithWords text={excerptAround(text, shared)} words={shared} />
      </p>
    </li>
  );
}

/** How many entries are near, in words. */
const nearInWords = (count: number): string =>
  count === 0
    ? 'Nothing is near enough. Try other words, or make an entry from it.'
    : count === 1
      ? 'One entry is near.'
      : `${count} entries are near.`;

/** Wording for a message: a problem told or pasted, and the entries nearest to it. */
export function NearestPage() {
  const index = useBankIndex();
  const [text, setText] = useState('');
  const asked = useDeferredValue(text).trim();
  const found = useQuery({
    queryKey: [...KEYS.search, 'nearest', asked],
    queryFn: ({ signal }) => call('nearest', { body: { text: asked.slice(0, LONGEST) }, signal }),
    enabled: asked !== '',
    placeholderData: keepPreviousData,
  });
  const { begin, held } = useBeginEntry();
  const make = () => {
    const passage = plainPassage(asked);
    begin(newEntry(proposeTitle(passage), 'en-GB', passage));
  };
  const near = asked === '' ? [] : (found.data?.entries ?? []);
  return (
    <Figure
      marginLabel="Find wording for a message"
      margin={
        <div className="grid gap-4 pt-6 text-[14px] text-soft">
          <p>
            Paste a message, or describe it in your own words. The nearest entries come first, with the words
            they share.
          </p>
          <p>
            <Button disabled={asked === ''} onClick={make}>
              Make an entry from it
            </Button>
          </p>
          {held}
        </div>
      }
    >
      <header className="grid gap-3 border-b border-hair px-9 pt-6 pb-5 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Find wording for a message</h1>
        <textarea
          aria-label="What it is about"
          autoFocus
          rows={3}
          maxLength={LONGEST}
          placeholder="A problem, a sentence or a whole message"
          className="input max-h-60 field-sizing-content font-book text-[17px] leading-[1.7]"
          value={text}
          onChange={({ target }) => setText(target.value)}
        />
      </header>
      {!index && <Loading what="the bank" />}
      {found.isError && (
        <Failed what="the nearest entries" error={found.error} retry={() => void found.refetch()} />
      )}
      <p role="status" className="px-9 py-3 text-[14px] text-soft max-[899px]:px-4">
        {asked !== '' && found.data && !found.isPlaceholderData && nearInWords(near.length)}
      </p>
      {index && (
        <ul aria-label="Nearest entries">
          {near.map((one) => (
            <Found key={one.entry.id} index={index} near={one} />
          ))}
        </ul>
      )}
    </Figure>
  );
}
