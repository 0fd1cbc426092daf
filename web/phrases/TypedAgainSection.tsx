import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { TypedAgain } from '#contracts';
import { entryOfPhrase } from '#core/phrases';
import { call, inWords } from '#client/api';
import { useBeginEntry } from '../acts';
import { Button, Notice } from '../ui';
import { LongWork, useLongWork } from '../longWork';

type Phrase = TypedAgain['phrases'][number];

/** So many of what stood in one place are read out. */
const DIFFERING_SHOWN = 4;

function PhraseLine({ phrase }: { phrase: Phrase }) {
  const [isIgnored, setIgnored] = useState(false);
  const { begin, held } = useBeginEntry();
  const ignore = useMutation({
    mutationFn: (ignored: boolean) => call('ignorePhrase', { body: { key: phrase.key, ignored } }),
    onSuccess: (_, ignored) => setIgnored(ignored),
  });
  if (isIgnored)
    return (
      <li className="border-b border-hair last:border-b-0 px-9 py-3 max-[899px]:px-4">
        <Notice title="It will not be shown again.">
          <Button look="text" disabled={ignore.isPending} onClick={() => ignore.mutate(false)}>
            Undo
          </Button>
        </Notice>
      </li>
    );
  return (
    <li className="grid gap-1.5 border-b border-hair last:border-b-0 px-9 py-3 max-[899px]:px-4">
      <p className="font-book text-[16px] leading-[1.8] break-words whitespace-pre-wrap">
        {phrase.pieces.map((piece, at) =>
          'text' in piece ? (
            piece.text
          ) : (
            <span key={at} className="border-b border-rule px-1 text-leaf">
              {piece.differs.slice(0, DIFFERING_SHOWN).join(' / ')}
              {piece.differs.length > DIFFERING_SHOWN && ' / …'}
            </span>
          ),
        )}
      </p>
      <p className="flex flex-wrap items-baseline gap-x-4 text-[13px] text-soft">
        <span className="grow">
          in {phrase.times} drafts; a cue would have saved {phrase.saves.toLocaleString()} keys
        </span>
        <Button onClick={() => begin(entryOfPhrase(phrase, 'en-GB'))}>Make it an entry</Button>
        <Button look="text" disabled={ignore.isPending} onClick={() => ignore.mutate(true)}>
          Not worth it
        </Button>
      </p>
      {held}
      {ignore.error && <Notice tone="warning" title={inWords(ignore.error)} />}
    </li>
  );
}

/** What stands by hand in several drafts and in no entry: to be made into entries. */
export function TypedAgainSection() {
  const { working, start, stop } = useLongWork('typedAgain');
  return (
    <section aria-label="Typed again and again" className="border-t border-hair py-5">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2 px-9 max-[899px]:px-4">
        <div className="grow">
          <h2 className="font-book text-[19px]">Typed again and again</h2>
          <p className="text-[13.5px] text-soft">Phrases written by hand in several drafts of your cases.</p>
        </div>
        <Button disabled={working.state === 'working'} onClick={() => start(undefined)}>
          Check the drafts
        </Button>
      </div>
      <LongWork what="Reading the drafts" working={working} stop={stop}>
        {({ phrases, read }) => (
          <>
            <p role="status" className="px-9 py-2 text-[14px] text-soft max-[899px]:px-4">
              {read === 1 ? 'One draft was' : `${read.toLocaleString()} drafts were`} read, of the cases that
              were given to you.{' '}
              {phrases.length === 0 && 'No phrase of five words or more was typed in two of them.'}
            </p>
            <ul>
              {phrases.map((phrase) => (
                <PhraseLine key={phrase.key} phrase={phrase} />
              ))}
            </ul>
          </>
        )}
      </LongWork>
    </section>
  );
}
