import { useMutation } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Collection, Entry } from '#contracts';
import { cardsFor, isCue, type Card } from '#core/practice';
import { call, inWords } from '#client/api';
import { calendarToday } from '#client/clock';
import { mainPassage } from '#core/entry';
import { KEYS, queryClient } from '../api';
import { PassageView } from '../show';
import { Button, Key, Notice, TextField } from '../ui';

/** Two minutes, and no more cards than one comes through in them. */
const PRACTICE_MS = 120_000;
const CARDS = 15;

/** A card, with the entry that its cue brings. */
export interface CueCard extends Card {
  content: Entry['content'];
  collection: Collection;
  cue: string;
}

interface AskProps {
  card: CueCard;
  left: number;
  answer: (known: boolean) => void;
  stop: () => void;
}

/** One entry, whose cue is asked for. */
function Ask({ card, left, answer, stop }: AskProps) {
  const [typed, setTyped] = useState('');
  const [shown, setShown] = useState<boolean | null>(null);
  const { content, cue, collection } = card;
  const next = useRef<HTMLButtonElement>(null);
  const go = () => {
    if (shown !== null) answer(shown);
    else setShown(isCue(typed, cue));
  };
  const show = () => {
    // The button goes with what it was for: the keys are with the next step.
    next.current?.focus();
    setShown(false);
  };
  return (
    <form
      aria-label="Practice"
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        go();
      }}
    >
      <p className="text-[13px] text-soft">
        {collection.name}
        {left > 0 && `, ${left} more after this`}
      </p>
      <div>
        <h2 className="font-book text-[21px] break-words">{content.title}</h2>
        {content.purpose && <p className="text-[14px] text-soft">{content.purpose}</p>}
      </div>
      <div className="book max-h-40 overflow-hidden border-l border-hair pl-4">
        <PassageView
          passage={mainPassage(content)}
          nameOf={(id) => content.fields.find((field) => field.id === id)?.name ?? id}
          links={false}
        />
      </div>
      <TextField
        label="Its cue"
        autoFocus
        className="cue"
        spellCheck={false}
        maxLength={60}
        readOnly={shown !== null}
        value={typed}
        onChange={({ target }) => setTyped(target.value)}
      />
      <p role="status" className={`min-h-6 ${shown === false ? 'text-rust' : 'text-leaf'}`}>
        {shown === true && 'Right.'}
        {shown === false && (
          <>
            It is <span className="cue">{cue}</span>. You will be asked again.
          </>
        )}
      </p>
      <p className="flex items-center gap-3">
        <Button ref={next} look="main" type="submit">
          {shown === null ? 'Answer' : 'Next'} <Key>Enter</Key>
        </Button>
        {shown === null && <Button onClick={show}>Show it</Button>}
        <Button onClick={stop}>End here</Button>
      </p>
    </form>
  );
}

interface Answer {
  entry: string;
  known: boolean;
}

interface SessionProps {
  cards: readonly CueCard[];
  /** Told of all answers at the end. */
  done: (answers: Answer[]) => void;
  /** Told of those given so far where one goes away in the middle. */
  keep: (answers: Answer[]) => void;
}

/** Cards asked one after the other until there is none or the time is over; what was not known comes again at the end. */
function Session({ cards, done, keep }: SessionProps) {
  const [queue, setQueue] = useState(cards);
  const [answers, setAnswers] = useState<Answer[]>([]);
  const [isOver, setOver] = useState(false);
  const given = useRef<Answer[]>([]);
  const keepGiven = useEffectEvent(() => {
    if (given.current.length > 0) keep(given.current);
  });
  useEffect(() => () => keepGiven(), []);
  const end = (all: Answer[]) => {
    given.current = [];
    done(all);
  };
  useEffect(() => {
    const timer = setTimeout(() => setOver(true), PRACTICE_MS);
    return () => clearTimeout(timer);
  }, []);
  const [card] = queue;
  const answer = (known: boolean) => {
    const all = [...answers, { entry: card!.entry, known }];
    const rest = known ? queue.slice(1) : [...queue.slice(1), card!];
    // When the time is over the card at hand is still answered.
    if (isOver || rest.length === 0) return end(all);
    given.current = all;
    setAnswers(all);
    setQueue(rest);
  };
  return (
    <Ask
      key={answers.length}
      card={card!}
      left={queue.length - 1}
      answer={answer}
      stop={() => end(answers)}
    />
  );
}

/** What is looked up, and what each cue is: a list to read before, and to print. */
function LookedUp({ cards }: { cards: readonly CueCard[] }) {
  const looked = cards.filter(({ lookedUp }) => lookedUp > 0).sort((a, b) => b.lookedUp - a.lookedUp);
  if (looked.length === 0) return null;
  return (
    <section aria-label="What you look up" className="mt-7">
      <h2 className="font-book text-[19px]">What you look up instead of typing its cue</h2>
      <ul>
        {looked.slice(0, 12).map(({ entry, content, cue, lookedUp, times }) => (
          <li key={entry} className="flex items-baseline gap-4 border-b border-hair py-1.5">
            <span className="cue w-20 shrink-0">{cue}</span>
            <Link to={`/bank/${entry}`} className="grow break-words text-ink">
              {content.title}
            </Link>
            <span className="text-[13px] text-soft">
              {lookedUp} of {Math.max(lookedUp, times)} times
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function resultInWords(answers: readonly Answer[]): string {
  const first = new Map<string, boolean>();
  for (const { entry, known } of answers) if (!first.has(entry)) first.set(entry, known);
  const known = [...first.values()].filter(Boolean).length;
  return `${known} of ${first.size} known at once.`;
}

/** What is practised today, asked card by card, and what one looks up instead of typing it. */
export function Practice({ cards }: { cards: readonly CueCard[] }) {
  const [asking, setAsking] = useState<readonly CueCard[] | null>(null);
  const [said, setSaid] = useState<string | null>(null);
  const keep = useMutation({
    mutationFn: (answers: Answer[]) => call('practise', { body: { day: calendarToday(), answers } }),
    onSuccess: (data) => queryClient.setQueryData(KEYS.practised, data),
  });
  const next = cardsFor(cards, calendarToday(), CARDS);
  if (asking)
    return (
      <Session
        cards={asking}
        keep={keep.mutate}
        done={(answers) => {
          setAsking(null);
          if (answers.length === 0) return;
          setSaid(resultInWords(answers));
          keep.mutate(answers);
        }}
      />
    );
  return (
    <>
      {said && (
        <Notice title={said}>{keep.isSuccess && 'What you knew comes back later, the rest sooner.'}</Notice>
      )}
      {keep.error && (
        <Notice tone="warning" title={inWords(keep.error)}>
          <Button look="text" onClick={() => keep.variables && keep.mutate(keep.variables)}>
            Send it again
          </Button>
        </Notice>
      )}
      {next.length === 0 ? (
        <p className="text-soft">
          {cards.length === 0
            ? 'No entry that you see has a cue yet.'
            : 'You know all that is to be practised today. Come back tomorrow.'}
        </p>
      ) : (
        <p>
          <Button
            look="main"
            autoFocus
            onClick={() => {
              setSaid(null);
              setAsking(next);
            }}
          >
            Practise {next.length === 1 ? 'one cue' : `${next.length} cues`}
          </Button>
        </p>
      )}
      <LookedUp cards={cards} />
      <p className="mt-6">
        <Link to="/bank/print" state={{ ids: null, card: true }} className="text-elder underline">
          A card of your cues to print
        </Link>
      </p>
    </>
  );
}
