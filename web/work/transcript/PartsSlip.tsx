import { useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import type { Case, OthersTranscript } from '#contracts';
import { call, inWords } from '#client/api';
import { instantInWords } from '#client/clock';
import { finishedPassage } from '#core/fill';
import { clockTime, readTime, turnsOf, type Transcript } from '#core/transcript';
import { KEYS } from '../../api';
import { PassageView } from '../../show';
import { Button, Failed, Key, Loading, Notice, TextField } from '../../ui';
import type { TurnActs } from './turnActs';

interface Props {
  one: Case;
  transcript: Transcript;
  acts: TurnActs;
  close: () => void;
}

const NO_TIME = 'Not a time yet: write it as 12:30 or 1:12:30.';

const clock = (at: number) => clockTime(at / 1000);

/** A part of a recording, in words. */
const partInWords = ({ from, to }: NonNullable<Transcript['part']>): string =>
  `${clock(from)} to ${to === null ? 'the end' : clock(to)}`;

/** Which part of the recording one writes down: told to the others who have the case. */
function OwnPart({ part, acts }: { part: Transcript['part']; acts: TurnActs }) {
  const [from, setFrom] = useState(part ? clock(part.from) : '');
  const [to, setTo] = useState(part && part.to !== null ? clock(part.to) : '');
  const read = (text: string) => (text.trim() === '' ? null : (readTime(text) ?? undefined));
  const [start, end] = [read(from), read(to)];
  const isBackwards = typeof end === 'number' && end <= (start ?? 0);
  const isRead = start !== undefined && end !== undefined && !isBackwards;
  return (
    <form
      className="grid gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        if (isRead) acts.setPart(start === null && end === null ? null : { from: start ?? 0, to: end });
      }}
    >
      <p className="eyebrow">Your part of the recording</p>
      <div className="grid grid-cols-2 gap-2">
        <TextField
          label="From"
          autoFocus
          placeholder="the beginning"
          value={from}
          error={start === undefined ? NO_TIME : undefined}
          onChange={({ target }) => setFrom(target.value)}
        />
        <TextField
          label="To"
          placeholder="the end"
          value={to}
          error={
            end === undefined
              ? NO_TIME
              : isBackwards
                ? 'It ends after it begins: write a later time.'
                : undefined
          }
          onChange={({ target }) => setTo(target.value)}
        />
      </div>
      <p className="flex items-baseline gap-3 text-[13px] text-soft">
        <Button type="submit" disabled={!isRead}>
          Save
        </Button>
        <span role="status">{part ? `Saved: ${partInWords(part)}.` : 'The whole of it.'}</span>
      </p>
    </form>
  );
}

/** How far somebody's turns reach, in words. */
function reachInWords({ document }: OthersTranscript): string {
  const times = turnsOf(document).flatMap(({ at }) => (at === null ? [] : [at]));
  const count = document.content.filter(({ type }) => type === 'turn').length;
  const turns = count === 1 ? '1 turn' : `${count.toLocaleString()} turns`;
  if (times.length === 0) return turns;
  const [first, last] = times.reduce(
    ([least, most], at) => [Math.min(least, at), Math.max(most, at)],
    [Infinity, 0],
  );
  return `${turns}, ${clock(first)} to ${clock(last)}`;
}

/** What one other has written down: read, and put into one's own. */
function Others({ others, acts }: { others: OthersTranscript; acts: TurnActs }) {
  const { authorName, savedAt, finished, document } = others;
  const [told, tell] = useState<string | null>(null);
  const [isRead, setRead] = useState(false);
  const part = document.attrs.transcript?.part;
  const put = () => {
    try {
      const turns = acts.putTogether(document);
      tell(
        turns === 0
          ? `All that ${authorName} has is on your leaf already.`
          : `What ${authorName} has is on your leaf now, in order of time. Ctrl Z takes it back.`,
      );
    } catch (error) {
      tell(inWords(error));
    }
  };
  return (
    <li className="grid gap-1 border-t border-hair py-2">
      <p className="text-[14px]">
        <span className="font-semibold">{authorName}</span>
        {part && `: ${partInWords(part)}`}
      </p>
      <p className="text-[13px] text-soft">
        {reachInWords(others)}. {finished ? 'Finished' : 'Saved'} {instantInWords(savedAt)}.
      </p>
      <p className="flex gap-4">
        <Button look="text" onClick={put}>
          Put it into mine
        </Button>
        <Button look="text" aria-expanded={isRead} onClick={() => setRead(!isRead)}>
          Read it
        </Button>
      </p>
      {told && (
        <p role="status" className="text-[13px]">
          {told}
        </p>
      )}
      {isRead && (
        <div className="max-h-80 overflow-y-auto border-l border-hair pl-3 text-[14px]" tabIndex={0}>
          <PassageView passage={finishedPassage(document)} nameOf={() => ''} links={false} />
        </div>
      )}
    </li>
  );
}

/** A recording that several write down: whose part is which, what each has, and all of it put together. */
export function PartsSlip({ one, transcript, acts, close }: Props) {
  const found = useQuery({
    queryKey: KEYS.othersTranscripts(one.id),
    queryFn: () => call('othersTranscripts', { params: { case: one.id } }),
    staleTime: 0,
    refetchInterval: 30_000,
  });
  return (
    <section aria-label="Parts of the recording" className="slip grid gap-3">
      <h2 className="section-head">Parts of the recording</h2>
      <OwnPart part={transcript.part} acts={acts} />
      {found.isPending && <Loading what="what others wrote" />}
      {found.isError && (
        <Failed what="what others wrote" error={found.error} retry={() => void found.refetch()} />
      )}
      {found.data?.length === 0 && (
        <Notice title="Nobody else has written any of it down yet.">
          {one.given.length < 2 && 'Give the case to somebody else first: About this case.'}
        </Notice>
      )}
      <ul>
        {found.data?.map((others) => (
          <Others key={others.author} {...{ others, acts }} />
        ))}
      </ul>
      <Button className="w-fit" onClick={close}>
        Close <Key>Esc</Key>
      </Button>
    </section>
  );
}
