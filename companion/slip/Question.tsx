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
  /** Keys typed before the slip was there. */
  held: string;
}

/** Typed answers: how they can be typed, how they were read. */
function Typed({ field, given, language, selected, answer, held }: Props) {
  const [text, setText] = useState(() => typedForm(field, given, language) + held);
  const line = useRef<HTMLInputElement & HTMLTextAreaElement>(null);
  const type = (next: string) => {
    setText(next);
    answer(readAnswer(field, next, clockNow(), language).answer);
  };
  const begun = useRef(false);
  useEffect(() => {
    line.current?.focus({ preventScroll: true });
    if (begun.current) return;
    begun.current = true;
    if (held !== '') type(text);
    else line.current?.select();
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

/** Answers that are picked, by a figure, a letter or the mouse; of many, by looking for them. */
function Picked({ field, given, answer }: Props) {
  const [asked, setAsked] = useState('');
  const [isOther, setIsOther] = useState(false);
  const first = useRef<HTMLInputElement>(null);
  const list = useRef<HTMLDivElement>(null);
  const all = pickablesOf(field);
  const isLarge = all.length > MOST_BY_KEY;
  const shown = isLarge ? matchingPickables(all, asked).slice(0, 12) : all;
  const letters = optionKeys(all.map(({ label }) => label));
  const picked = pickedIn(given);
  const pick = (id: string) => {
    if (id === OTHER && !picked.includes(OTHER)) return setIsOther(true);
    setIsOther(false);
    answer(picking(field, given, id));
  };
  const isMany = field.kind === 'choice' && field.many;
  useEffect(
    () => (isLarge || isOther ? first : list).current?.focus({ preventScroll: true }),
    [isLarge, isOther, field.id],
  );
  const pressed = (event: React.KeyboardEvent) => {
    if (isLarge || isOther || event.ctrlKey || event.altKey || event.metaKey) return;
    const at = /^[1-9]$/.test(event.key)
      ? Number(event.key) - 1
      : letters.indexOf(event.key.toLocaleLowerCase());
    const option = event.key.length === 1 ? all[at] : undefined;
    if (!option) return;
    event.preventDefault();
    pick(option.id);
  };
  const other = given?.kind === 'chosen' ? (given.other ?? '') : '';
  return (
    <>
      {isLarge && (
        <input
          ref={first}
          className="line"
          aria-label="Find an option"
          placeholder="find an option"
          value={asked}
          onChange={(event) => setAsked(event.target.value)}
          onKeyDown={(event) => {
            const [only] = shown;
            if (event.key === 'Enter' && asked !== '' && only && !picked.includes(only.id)) {
              event.preventDefault();
              event.stopPropagation();
              pick(only.id);
            }
          }}
        />
      )}
      <div
        ref={list}
        tabIndex={-1}
        className="options"
        role={isMany ? 'group' : 'radiogroup'}
        aria-label={isMany ? 'Choose any' : 'Choose one'}
        onKeyDown={pressed}
      >
        {shown.map(({ id, label }, at) => (
          <button
            key={id}
            type="button"
            role={isMany ? 'checkbox' : 'radio'}
            aria-checked={picked.includes(id)}
            tabIndex={-1}
            onMouseDown={keepFocus}
            onClick={() => pick(id)}
          >
            {!isLarge && (
              <kbd>
                {at < 9 ? at + 1 : ''} {letters[at]}
              </kbd>
            )}
            <span>{label}</span>
            {picked.includes(id) && <span aria-hidden>✓</span>}
          </button>
        ))}
      </div>
      {(isOther || other !== '') && (
        <input
          ref={isLarge ? null : first}
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
