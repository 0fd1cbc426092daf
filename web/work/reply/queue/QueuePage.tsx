import { formatDistanceToNowStrict } from 'date-fns';
import { useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import type { Enquiry } from '#contracts';
import { inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import { useQueue } from '../../../api';
import { Figure, useShell } from '../../../shell';
import { Failed, Loading, Notice, TextField } from '../../../ui';
import { EnquiryBeside, type BegunNotes } from './EnquiryBeside';
import { foundIn, joinableTo, sectionsOf, type Section } from './sections';
import { TickedEnquiries } from './TickedEnquiries';
import { useEnquiryChange } from './useEnquiry';

interface LineProps {
  one: Enquiry;
  isHere: boolean;
  isTicked: boolean;
  go: () => void;
}

/** An enquiry in the queue: who asks, since when they wait, and how it begins. */
function Line({ one, isHere, isTicked, go }: LineProps) {
  const { member } = useShell();
  const { title, fromName, fromAddress, excerpt, since, state, takenBy, takenByName, notes } = one;
  return (
    <li>
      <button
        type="button"
        data-enquiry={one.case}
        aria-current={isHere}
        onFocus={go}
        onClick={() => {
          go();
          showBeside();
        }}
        className={`grid w-full grid-cols-[1fr_auto] items-baseline gap-x-4 border-b border-hair px-9 py-2.5 text-left max-[899px]:px-4 ${isHere ? 'bg-flower' : 'hover:text-elder'}`}
      >
        <span className="min-w-0 truncate font-semibold">{title}</span>
        <time dateTime={since} className="text-right text-[13px] text-soft">
          {state === 'answered' ? '' : `waits ${formatDistanceToNowStrict(new Date(since))}`}
        </time>
        <span className="min-w-0 truncate text-[14px] text-soft">
          {fromName || fromAddress || 'Nobody is named'}: {excerpt.replace(/\s+/g, ' ').slice(0, 160)}
        </span>
        <span className="text-right text-[13px] text-soft">
          {[
            isTicked && 'ticked',
            takenBy !== member.id && takenByName,
            notes.length > 0 && `${notes.length} noted`,
          ]
            .filter(Boolean)
            .join(', ')}
        </span>
      </button>
    </li>
  );
}

const BESIDE = 'enquiry-beside';

/** Where the margin is beneath the list, as on a phone, what can be done is brought into sight. */
const showBeside = () => {
  if (window.matchMedia('(max-width: 899px)').matches)
    requestAnimationFrame(() => document.getElementById(BESIDE)?.scrollIntoView());
};

/** Moves from line to line by the arrows; T takes the enquiry of the line, X ticks it. */
function keysOfList(list: HTMLElement, key: string, take: () => void, tick: () => void): boolean {
  const lines = [...list.querySelectorAll<HTMLElement>('[data-enquiry]')];
  const at = lines.indexOf(document.activeElement as HTMLElement);
  const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: lines.length - 1 }[key];
  if (to !== undefined) lines[Math.max(0, Math.min(to, lines.length - 1))]?.focus();
  else if (key.toLowerCase() === 't' && at >= 0) take();
  else if (key.toLowerCase() === 'x' && at >= 0) tick();
  else return false;
  return true;
}

/** Takes the enquiry at hand and opens its leaf; one that is the member's already is opened. */
function useTake(one: Enquiry | undefined) {
  const navigate = useNavigate();
  const change = useEnquiryChange(one?.case ?? '');
  const open = () => void navigate(`/cases/${one!.case}`);
  const take = () => {
    if (one?.isMine) open();
    else if (one && !change.isPending) change.mutate({ do: 'take' }, { onSuccess: open });
  };
  return { take, error: change.error, isPending: change.isPending };
}

interface LinesProps {
  sections: readonly Section[];
  here: Enquiry | undefined;
  go: (of: string) => void;
  take: () => void;
  ticked: ReadonlySet<string>;
  tick: () => void;
}

/** The queue under its headings, walked by the arrows. */
function Lines({ sections, here, go, take, ticked, tick }: LinesProps) {
  const list = useRef<HTMLDivElement>(null);
  return (
    <div
      ref={list}
      onKeyDown={(event) => {
        if (event.ctrlKey || event.altKey || event.metaKey) return;
        if (keysOfList(list.current!, event.key, take, tick)) event.preventDefault();
      }}
    >
      {sections.map(({ title, enquiries }) => (
        <section key={title} aria-label={title}>
          <h2 className="section-head border-b border-hair px-9 pt-4 pb-1.5 max-[899px]:px-4">
            {title}, {enquiries.length.toLocaleString()}
          </h2>
          <ul>
            {enquiries.map((each) => (
              <Line
                key={each.case}
                one={each}
                isHere={each === here}
                isTicked={ticked.has(each.case)}
                go={() => go(each.case)}
              />
            ))}
          </ul>
        </section>
      ))}
    </div>
  );
}

/** Which enquiries are ticked, by their cases. */
function useTicks() {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set());
  const tick = (of: string) =>
    setTicked((before) => {
      const now = new Set(before);
      if (!now.delete(of)) now.add(of);
      return now;
    });
  return { ticked, tick, untick: () => setTicked(new Set()) };
}

/** The team's queue: what waits for an answer, whoever answers it. */
export function QueuePage() {
  const { member } = useShell();
  const queue = useQueue();
  const [words, setWords] = useState('');
  const [here, go] = useState<string | null>(null);
  const found = foundIn(queue.data ?? [], words);
  const sections = sectionsOf(found, member.id, calendarToday());
  const shown = sections.flatMap(({ enquiries }) => enquiries);
  const one = shown.find((each) => each.case === here) ?? shown[0];
  const { take, error, isPending } = useTake(one);
  const { ticked, tick, untick } = useTicks();
  const [begun] = useState<BegunNotes>(() => new Map());
  return (
    <Figure
      marginLabel="The selected enquiry"
      margin={
        // What somebody is at beside the list stays there, whatever comes into the queue above it.
        <div id={BESIDE} className="h-full pt-6" onFocus={() => one && go(one.case)}>
          <div className="sticky top-3 max-h-[calc(100vh-1.5rem)] overflow-y-auto pb-4">
            {error && <Notice tone="warning" title={inWords(error)} />}
            <TickedEnquiries
              ticked={(queue.data ?? []).filter((each) => ticked.has(each.case))}
              untick={untick}
            />
            {one && (
              <EnquiryBeside
                key={one.case}
                one={one}
                isTicked={ticked.has(one.case)}
                tick={() => tick(one.case)}
                alike={joinableTo(queue.data ?? [], one, member.id)}
                take={take}
                isTaking={isPending}
                begun={begun}
              />
            )}
          </div>
        </div>
      }
    >
      <header className="px-9 pt-6 pb-3 max-[899px]:px-4">
        <h1 className="font-book text-[26px] leading-tight">Queue</h1>
        <TextField
          label={queue.data ? `Find among ${queue.data.length.toLocaleString()} enquiries` : 'Find'}
          type="search"
          value={words}
          onChange={({ target }) => setWords(target.value)}
        />
      </header>
      {queue.isPending && <Loading what="the queue" />}
      {queue.isError && <Failed what="the queue" error={queue.error} retry={() => void queue.refetch()} />}
      {queue.data && shown.length === 0 && (
        <p className="px-9 py-5 text-soft max-[899px]:px-4">
          {words.trim() === ''
            ? 'Nobody waits for an answer. Drop email messages (.eml) on your desk, or begin a case for somebody who rang.'
            : 'No enquiry has these words.'}
        </p>
      )}
      <Lines {...{ sections, go, take, ticked }} here={one} tick={() => one && tick(one.case)} />
    </Figure>
  );
}
