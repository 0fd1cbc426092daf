import { useEffect, useMemo, useRef, useState } from 'react';
import { usePresses } from './usePresses';
import { gapsIn, stepsOf, withAnswers, withConfirmed, type Filling, type Step } from '#client/filling';
import type { Answer } from '#core/draft';
import { fullWordings, wordingOnPage, type Wording } from '#core/entry';
import { pickablesOf } from '#core/fill';
import type { CaseRecord } from '#core/record';
import type { BoxName, EntryToFill } from '../messages';
import { addressOf } from '../page/addressOf';
import type { Bringing } from '../page/contract';
import { boxesBeside, boxFor, type NamedBox } from './boxesOfParts';
import { PartLine } from './PartLine';
import { Question } from './Question';
import { Reading } from './Reading';

/** A record that an entry can be filled from once that is asked for, by its button or Alt and a letter. */
export interface FillFrom {
  label: string;
  letter: string;
  /** Null where it cannot be read any more. */
  read: () => Promise<CaseRecord | null>;
}

/** Where the parts of a wording go: by their names; null for nowhere. */
export type Places = ReadonlyMap<string, NamedBox | null>;

interface Props {
  bringing: Bringing;
  toFill: EntryToFill;
  begun: Filling;
  /** Begins anew in another wording of the entry, with the answers given so far. */
  inWording: (wording: string, filling: Filling) => Filling;
  remembered: Record<string, BoxName>;
  /** Where it can be filled from besides what is typed. */
  sources: readonly FillFrom[];
  /** Begins anew with what a record tells, and the answers given so far. */
  inRecord: (record: CaseRecord, filling: Filling) => Filling;
  selected: string;
  /** The slip stands and has the keys. */
  ready: (slip: HTMLElement) => void;
  /** Puts it in. Gives what hinders it; null when it is done. */
  putIn: (filling: Filling, places: Places, pressed: number) => Promise<string | null>;
  giveUp: () => void;
}

const idOf = (step: Step) => (step.kind === 'answer' ? step.field.id : `confirm ${step.at}`);
const idOfFirst = (filling: Filling): string => {
  const [first] = stepsOf(filling);
  return first ? idOf(first) : '';
};

/** An entry as it is being filled: what it asks just now, and the ways on from there. */
function useFilling({ begun, bringing, remembered, inWording, inRecord, putIn }: Props) {
  const [filling, setFilling] = useState(begun);
  const [current, setCurrent] = useState(() => idOfFirst(begun));
  const [said, say] = useState<string | null>(null);
  const presses = usePresses();
  // What is read of a record comes later than the next key: the answers by then are kept.
  const latest = useRef(begun);
  useEffect(() => {
    latest.current = filling;
  });
  const isPutting = useRef(false);
  const boxes = useMemo(() => boxesBeside(bringing.box), [bringing.box]);
  const [places, setPlaces] = useState<Places>(
    () =>
      new Map(
        begun.parts
          .slice(0, -1)
          .map(({ name }) => [name, boxFor(name, boxes, bringing.box, remembered[name])]),
      ),
  );
  const steps = stepsOf(filling, current);
  const found = steps.findIndex((step) => idOf(step) === current);
  const at = found < 0 ? Math.max(0, steps.length - 1) : found;
  const put = async () => {
    const [gap] = gapsIn(filling);
    if (!gap) {
      // Pressed twice it goes in once.
      if (isPutting.current) return;
      isPutting.current = true;
      say(await putIn(filling, places, presses.soFar()));
      isPutting.current = false;
      return;
    }
    const open = steps.find((one) =>
      gap.kind === 'answer' ? idOf(one) === gap.field : one.kind === 'confirm',
    );
    if (open) setCurrent(idOf(open));
    say(`${gap.kind === 'confirm' ? 'Confirm this first' : 'This needs an answer first'}: ${gap.question}`);
  };
  return {
    ...{ filling, steps, at, boxes, places, said, put, countPress: presses.count },
    step: steps[at],
    goTo: setCurrent,
    go: (by: number) => {
      say(null);
      const next = steps[at + by];
      if (next) setCurrent(idOf(next));
      else if (by > 0) void put();
    },
    answer: (field: string, given: Answer | null) => {
      say(null);
      setFilling((now) => withAnswers(now, { [field]: given }));
    },
    confirm: (number: number) => setFilling((now) => withConfirmed(now, number)),
    setPlace: (part: string, to: NamedBox | null) => setPlaces(new Map([...places, [part, to]])),
    fillFrom: async ({ label, read }: FillFrom) => {
      const record = await read();
      if (!record) return say(`${label}: nothing could be read there. Your answers are as they were.`);
      const next = inRecord(record, latest.current);
      setFilling(next);
      setCurrent(idOfFirst(next));
      say(null);
    },
    setWording: (id: string) => {
      const next = inWording(id, filling);
      setFilling(next);
      setCurrent(idOfFirst(next));
    },
  };
}
type Filled = ReturnType<typeof useFilling>;

const isLong = (step: Step | undefined): boolean =>
  step?.kind === 'answer' && step.field.kind === 'text' && step.field.long === true;
const isInList = ({ target }: React.KeyboardEvent): boolean => target instanceof HTMLSelectElement;

/** What a key does in the slip; false for one that is the box's own. */
function keyInSlip(
  event: React.KeyboardEvent,
  slip: Filled,
  { wordings, sources, giveUp }: Pick<Props, 'sources' | 'giveUp'> & { wordings: readonly Wording[] },
): boolean {
  const isEnter = event.key === 'Enter';
  const wording = event.altKey && /^[1-9]$/.test(event.key) ? wordings[Number(event.key) - 1] : undefined;
  const source = event.altKey ? sources.find(({ letter }) => event.code === `Key${letter}`) : undefined;
  if (event.key === 'Escape') giveUp();
  else if (source) void slip.fillFrom(source);
  else if (isEnter && (event.ctrlKey || event.metaKey)) void slip.put();
  else if (wording) slip.setWording(wording.id);
  else return stepByKey(event, slip);
  return true;
}

/** Enter and Tab go on, with Shift back; Enter confirms a statement. False where they are the box's own. */
function stepByKey(event: React.KeyboardEvent, slip: Filled): boolean {
  const { step } = slip;
  const isEnter = event.key === 'Enter';
  if (!isEnter && event.key !== 'Tab') return false;
  // Shift and Enter begin a new line of a long answer; in a list Enter is the list's own.
  if ((event.shiftKey && isEnter && isLong(step)) || isInList(event)) return false;
  if (step?.kind === 'confirm' && isEnter) slip.confirm(step.at);
  slip.go(event.shiftKey ? -1 : 1);
  return true;
}

const keepFocus = (event: React.MouseEvent) => event.preventDefault();

/** The wordings of an entry, where it has several. */
function Wordings({ wordings, slip }: { wordings: readonly Wording[]; slip: Filled }) {
  return (
    <p className="wordings" role="group" aria-label="Wordings">
      {wordings.map(({ id, name }, number) => (
        <button
          key={id}
          type="button"
          aria-pressed={id === slip.filling.placement.wording}
          tabIndex={-1}
          onMouseDown={keepFocus}
          onClick={() => slip.setWording(id)}
        >
          {name || 'First wording'} {number < 9 && <kbd>Alt + {number + 1}</kbd>}
        </button>
      ))}
    </p>
  );
}

/** Where the entry can be filled from besides what is typed. */
function Sources({ sources, slip }: { sources: readonly FillFrom[]; slip: Filled }) {
  return (
    <p className="wordings" role="group" aria-label="Fill from">
      {sources.map((source) => (
        <button
          key={source.letter}
          type="button"
          tabIndex={-1}
          onMouseDown={keepFocus}
          onClick={() => void slip.fillFrom(source)}
        >
          {source.label} <kbd>Alt + {source.letter}</kbd>
        </button>
      ))}
    </p>
  );
}

/** What is asked just now, or what still hinders it. */
function Asked({ slip, selected }: { slip: Filled; selected: string }) {
  const { step, filling, said } = slip;
  const { answers, language, wording } = filling.placement;
  return (
    <div>
      {step?.kind === 'answer' && (
        <Question
          key={`${step.field.id} ${wording}`}
          field={step.field}
          given={answers[step.field.id]}
          language={language}
          selected={pickablesOf(step.field).length > 0 ? '' : selected}
          answer={(given) => slip.answer(step.field.id, given)}
        />
      )}
      {step?.kind === 'confirm' && <p className="asked">Is this so? “{step.words}”</p>}
      {said && (
        <p role="alert" className="problem">
          {said}
        </p>
      )}
    </div>
  );
}

/** An entry that asks something, filled beside the box it goes into: the sentence is alive while one answers, and the box changes once. */
export function FillSlip(props: Props) {
  const { bringing, toFill, sources, giveUp } = props;
  const slip = useFilling(props);
  const { filling, step, at, steps, countPress } = slip;
  const { content } = toFill.entry;
  const onPage = wordingOnPage(content, addressOf(document));
  const wordings = [...new Set([...(onPage ? [onPage] : []), ...fullWordings(content)])];
  const main = useRef<HTMLDivElement>(null);
  const isAnswer = step?.kind === 'answer';
  const { ready } = props;
  const isReady = useRef(false);
  // After all that is within it: what is asked first has the keys by then.
  useEffect(() => {
    if (isReady.current || !main.current) return;
    isReady.current = true;
    ready(main.current);
  }, [ready]);
  useEffect(() => {
    if (!isAnswer) main.current?.focus({ preventScroll: true });
  }, [isAnswer, at]);
  const keys = (event: React.KeyboardEvent) => {
    countPress(event);
    if (!event.nativeEvent.isComposing && keyInSlip(event, slip, { wordings, sources, giveUp }))
      event.preventDefault();
  };
  return (
    <div
      ref={main}
      tabIndex={-1}
      role="dialog"
      aria-label={`Fill in: ${toFill.entry.content.title}`}
      onKeyDown={keys}
    >
      <header>
        <h2>{toFill.entry.content.title}</h2>
        {bringing.cue && <code className="cue">{bringing.cue}</code>}
      </header>
      {sources.length > 0 && <Sources sources={sources} slip={slip} />}
      {wordings.length > 1 && <Wordings wordings={wordings} slip={slip} />}
      {filling.parts.slice(0, -1).map((part) => (
        <PartLine
          key={part.name}
          {...{ part, filling }}
          boxes={slip.boxes}
          place={slip.places.get(part.name) ?? null}
          setPlace={(to) => slip.setPlace(part.name, to)}
        />
      ))}
      <Reading
        passage={filling.parts.at(-1)!.passage}
        fields={filling.placement.fields}
        current={isAnswer ? step.field.id : null}
        goTo={slip.goTo}
      />
      <Asked slip={slip} selected={props.selected} />
      <footer>
        {steps.length > 0 && (
          <span>
            {at + 1} of {steps.length}
          </span>
        )}
        <button type="button" className="main" onMouseDown={keepFocus} onClick={() => void slip.put()}>
          Put it in <kbd>{at >= steps.length - 1 ? 'Enter' : 'Ctrl + Enter'}</kbd>
        </button>
        <button type="button" onMouseDown={keepFocus} onClick={giveUp}>
          Give back <kbd>Esc</kbd>
        </button>
      </footer>
    </div>
  );
}

/** Whether an entry can be put in at once: it asks nothing, and all of it goes into one box. */
export const isAtOnce = (filling: Filling): boolean =>
  filling.parts.length === 1 && stepsOf(filling).length === 0 && gapsIn(filling).length === 0;
