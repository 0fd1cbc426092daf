import { useRef, useState } from 'react';
import { excerptOfEntry } from '#core/entry';
import { canMerge, type Choice, type Planned } from '#core/takeover';
import { DifferenceView } from '../show';
import { Button, Picks, Tick, useFocusNext, useTypedUntilKept } from '../ui';
import type { RowEdit } from './useIntake';

const WAYS: readonly (readonly [Choice, string])[] = [
  ['leave', 'Keep yours'],
  ['replace', 'Use theirs, as the next revision'],
  ['merge', 'Merge: theirs as a further wording of yours'],
  ['new', 'Keep both'],
];

interface Props {
  planned: Planned;
  leadIn: string;
  oddities: readonly string[];
  choose: (choice: Choice) => void;
  /** Changes what comes in; null where it comes as it is. */
  edit: ((change: RowEdit) => void) | null;
  /** Its wording, to be changed. */
  words: () => string;
}

/** The words of an arriving entry, to be changed before it comes. */
interface BoxProps {
  title: string;
  atFirst: () => string;
  edit: (change: RowEdit) => void;
  close: () => void;
}

function WordsBox({ title, atFirst, edit, close }: BoxProps) {
  const [words, setWords] = useState(atFirst);
  return (
    <div className="grid gap-2 pl-6">
      <textarea
        aria-label={`Wording of ${title}`}
        autoFocus
        className="input field-sizing-content min-h-20 font-book"
        value={words}
        onChange={({ target }) => setWords(target.value)}
      />
      <span className="flex gap-3">
        <Button
          onClick={() => {
            edit({ words });
            close();
          }}
        >
          Save
        </Button>
        <Button look="text" onClick={close}>
          Cancel
        </Button>
      </span>
    </div>
  );
}

const STATES: Record<Planned['state'], string> = {
  new: '',
  differs: 'differs from yours',
  same: 'identical',
};

/** A line that is written on: what it says now is told when one leaves it. */
function Written({
  label,
  value,
  className,
  most,
  placeholder,
  isNeeded = false,
  put,
}: {
  label: string;
  value: string;
  className: string;
  most: number;
  placeholder?: string;
  /** Left blank, it is what it was. */
  isNeeded?: boolean;
  put: (value: string) => void;
}) {
  const line = useTypedUntilKept(value, put);
  return (
    <input
      aria-label={label}
      className={`input min-w-0 ${className}`}
      placeholder={placeholder}
      value={line.words}
      maxLength={most}
      onChange={({ target }) => line.type(target.value)}
      onBlur={isNeeded && line.words.trim() === '' ? line.giveUp : line.leave}
    />
  );
}

/** Its title and cue, and whether it comes. */
function RowHead({
  planned: { content, state, choice },
  leadIn,
  choose,
  edit,
}: Omit<Props, 'oddities' | 'words'>) {
  const [cue] = content.cues;
  const hasCue = cue ? !cue.as : edit !== null;
  return (
    <div className="flex items-baseline gap-3">
      {state === 'new' ? (
        <Tick on={choice === 'new'} toggle={() => choose(choice === 'new' ? 'leave' : 'new')}>
          <span className="sr-only">Bring in {content.title}</span>
        </Tick>
      ) : (
        <span className="w-[13px]" />
      )}
      {edit ? (
        <Written
          label={`Title of ${content.title}`}
          value={content.title}
          className="grow font-book text-[17px]"
          most={200}
          isNeeded
          put={(title) => edit({ title })}
        />
      ) : (
        <p className="min-w-0 grow font-book text-[17px] break-words">{content.title}</p>
      )}
      {hasCue && (
        <span className="flex w-32 shrink-0 items-baseline">
          <span className="cue">{leadIn}</span>
          {edit ? (
            <Written
              label={`Cue of ${content.title}`}
              value={cue?.text ?? ''}
              className="font-cue text-[13px] text-leaf"
              placeholder="no cue"
              most={40}
              put={(text) => edit({ cue: text })}
            />
          ) : (
            <span className="cue">{cue?.text}</span>
          )}
        </span>
      )}
      {state !== 'new' && <span className="shrink-0 text-[12.5px] text-soft">{STATES[state]}</span>}
    </div>
  );
}

/** How it differs from the one that is here, and what to do about it. */
function Differing({ planned: { content, standing, choice }, choose }: Pick<Props, 'planned' | 'choose'>) {
  return (
    <div className="grid grid-cols-[minmax(0,1fr)_17rem] gap-6 pl-6 max-[899px]:grid-cols-1">
      <div className="border-l border-hair pl-3">
        <DifferenceView before={standing!.content} after={content} />
      </div>
      <Picks
        legend={`What to do with ${content.title}`}
        options={canMerge(content) ? WAYS : WAYS.filter(([way]) => way !== 'merge')}
        value={choice}
        pick={choose}
      />
    </div>
  );
}

/** An arriving entry: what it becomes, what is odd about it, and what it differs from. */
export function ArrivalRow({ planned, leadIn, oddities, choose, edit, words }: Props) {
  const { content, state } = planned;
  const [isWriting, setWriting] = useState(false);
  const again = useRef<HTMLButtonElement>(null);
  const focusNext = useFocusNext();
  // The box goes: the keys are back where it was opened, among hundreds of rows.
  const close = () => {
    focusNext(() => again.current);
    setWriting(false);
  };
  return (
    <div className="grid gap-1 border-b border-hair px-9 py-3 max-[899px]:px-4">
      <RowHead planned={planned} leadIn={leadIn} choose={choose} edit={edit} />
      {isWriting && edit ? (
        <WordsBox title={content.title} atFirst={words} edit={edit} close={close} />
      ) : (
        state !== 'differs' && (
          <div className="flex items-baseline gap-3 pl-6 text-[13.5px] text-soft">
            <p className="line-clamp-2 min-w-0">
              {excerptOfEntry(content, 240)}
              {content.wordings.length > 1 && ` (${content.wordings.map(({ name }) => name).join(', ')})`}
            </p>
            {edit && (
              <Button
                ref={again}
                look="text"
                className="ml-auto text-[13px]"
                onClick={() => setWriting(true)}
              >
                Edit<span className="sr-only"> the wording of {content.title}</span>
              </Button>
            )}
          </div>
        )
      )}
      {oddities.map((odd) => (
        <p key={odd} className="pl-6 text-[13px] text-rust">
          {odd}
        </p>
      ))}
      {state === 'differs' && <Differing planned={planned} choose={choose} />}
    </div>
  );
}
