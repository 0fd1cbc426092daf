import { useEffect, useRef, useState } from 'react';
import { answerHelp, answerProblemInWords } from '#client/answers';
import { clockNow } from '#client/clock';
import type { Answer } from '#core/draft';
import { optionKeys, type Field } from '#core/entry';
import {
  matchingPickables,
  MOST_BY_KEY,
  OTHER,
  otherwise,
  pickablesOf,
  pickedIn,
  picking,
  readAnswer,
  typedForm,
  wordsOf,
} from '#core/fill';

interface Props {
  field: Field;
  given: Answer | undefined;
  language: string;
  /** What was selected on the page, offered as the answer; '' for nothing. */
  selected: string;
  answer: (given: Answer | null) => void;
}

/** Typed answers: how they can be typed, how they were read. */
function Typed({ field, given, language, selected, answer }: Props) {
  const [text, setText] = useState(() => typedForm(field, given, language));
  const line = useRef<HTMLInputElement & HTMLTextAreaElement>(null);
  const type = (next: string) => {
    setText(next);
    answer(readAnswer(field, next, clockNow(), language).answer);
  };
  const begun = useRef(false);
  useEffect(() => {
    line.current?.focus({ preventScroll: true });
    if (!begun.current) line.current?.select();
    begun.current = true;
  });
  const { problem } = readAnswer(field, text, clockNow(), language);
  const read = field.kind === 'date' ? wordsOf(field, given, 'weekday', language) : '';
  const isLong = field.kind === 'text' && field.long === true;
  const Line = isLong ? 'textarea' : 'input';
  return (
    <>
      <Line
        ref={line}
        className="line"
        aria-label={field.question || field.name}
        autoComplete="off"
        spellCheck
        value={text}
        onChange={(event) => type(event.target.value)}
        onKeyDown={(event: React.KeyboardEvent) => {
          if (!event.altKey || event.code !== 'KeyS' || selected === '') return;
          event.preventDefault();
          type(selected);
        }}
      />
      {problem ? (
        <p role="alert" className="problem">
          {answerProblemInWords(problem.code, field)}
        </p>
      ) : (
        <p className="help">{read || answerHelp(field)}</p>
      )}
      {selected !== '' && selected !== text && (
        <button type="button" className="selected" onMouseDown={keepFocus} onClick={() => type(selected)}>
          Selected on the page: <q>{selected}</q> <kbd>Alt + S</kbd>
        </button>
      )}
    </>
  );
}

const keepFocus = (event: React.MouseEvent) => event.preventDefault();

/** So many of the options that are found are shown. */
const MOST_SHOWN = 12;

type Pickables = ReturnType<typeof pickablesOf>;

/** The options of a choice, each with the keys that pick it, where there are few. */
function Options({
  shown,
  letters,
  picked,
  pick,
  isMany,
}: {
  shown: Pickables;
  letters: readonly (string | null)[] | null;
  picked: readonly string[];
  pick: (id: string) => void;
  isMany: boolean;
}) {
  return shown.map(({ id, label }, at) => (
    <button
      key={id}
      type="button"
      role={isMany ? 'checkbox' : 'radio'}
      aria-checked={picked.includes(id)}
      tabIndex={-1}
      onMouseDown={keepFocus}
      onClick={() => pick(id)}
    >
      {letters && (
        <kbd>
          {at < 9 ? at + 1 : ''} {letters[at]}
        </kbd>
      )}
      <span>{label}</span>
      {picked.includes(id) && <span aria-hidden>✓</span>}
    </button>
  ));
}

/** Where an option of many is looked for; Enter takes the first that is found. */
function OptionFilter({
  line,
  asked,
  setAsked,
  take,
}: {
  line: React.Ref<HTMLInputElement>;
  asked: string;
  setAsked: (asked: string) => void;
  take: () => boolean;
}) {
  return (
    <input
      ref={line}
      className="line"
      aria-label="Find an option"
      placeholder="find an option"
      value={asked}
      onChange={(event) => setAsked(event.target.value)}
      onKeyDown={(event) => {
        if (event.key !== 'Enter' || asked === '' || !take()) return;
        event.preventDefault();
        event.stopPropagation();
      }}
    />
  );
}

/** Answers that are picked, by a figure, a letter or the mouse; of many, by looking for them. */
function Picked({ field, given, answer }: Props) {
  const [asked, setAsked] = useState('');
  const [isOther, setIsOther] = useState(false);
  const line = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const all = pickablesOf(field);
  const isLarge = all.length > MOST_BY_KEY;
  const shown = isLarge ? matchingPickables(all, asked).slice(0, MOST_SHOWN) : all;
  const letters = optionKeys(all.map(({ label }) => label));
  const picked = pickedIn(given);
  const pick = (id: string) => {
    const isBegun = id === OTHER && !picked.includes(OTHER);
    setIsOther(isBegun);
    if (!isBegun) answer(picking(field, given, id));
  };
  const isMany = field.kind === 'choice' && field.many;
  useEffect(
    () => (isLarge || isOther ? line : list).current?.focus({ preventScroll: true }),
    [isLarge, isOther, field.id],
  );
  const pressed = (event: React.KeyboardEvent) => {
    if (isLarge || isOther || event.ctrlKey || event.altKey || event.metaKey) return;
    const isFigure = /^[1-9]$/.test(event.key);
    const at = isFigure ? Number(event.key) - 1 : letters.indexOf(event.key.toLocaleLowerCase());
    const option = event.key.length === 1 ? all[at] : undefined;
    if (!option) return;
    event.preventDefault();
    pick(option.id);
  };
  const takeFirst = () => {
    const [first] = shown;
    if (!first || picked.includes(first.id)) return false;
    pick(first.id);
    return true;
  };
  const other = given?.kind === 'chosen' ? (given.other ?? '') : '';
  return (
    <>
      {isLarge && <OptionFilter {...{ line, asked, setAsked }} take={takeFirst} />}
      <div
        ref={list}
        tabIndex={-1}
        className="options"
        role={isMany ? 'group' : 'radiogroup'}
        aria-label={isMany ? 'Choose any' : 'Choose one'}
        onKeyDown={pressed}
      >
        <Options {...{ shown, picked, pick, isMany }} letters={isLarge ? null : letters} />
      </div>
      {(isOther || other !== '') && (
        <input
          ref={isLarge ? null : line}
          className="line"
          aria-label="Other words"
          placeholder="other words"
          value={other}
          onChange={(event) => answer(otherwise(field, given, event.target.value))}
        />
      )}
    </>
  );
}

/** What an entry asks just now. */
export function Question(props: Props) {
  const { field } = props;
  return (
    <div className="question">
      <p className="asked">{field.question || field.name}</p>
      {field.hint && <p className="help">{field.hint}</p>}
      {pickablesOf(field).length > 0 ? <Picked {...props} /> : <Typed {...props} />}
    </div>
  );
}
