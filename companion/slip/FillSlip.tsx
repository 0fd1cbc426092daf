import { useEffect, useMemo, useRef, useState } from 'react';
import { gapsIn, stepsOf, withAnswers, withConfirmed, type Filling, type Step } from '#client/filling';
import { fullWordings } from '#core/entry';
import { pickablesOf } from '#core/fill';
import type { BoxName, EntryToFill } from '../messages';
import type { Bringing } from '../page/contract';
import { boxesBeside, boxFor, type NamedBox } from './boxesOfParts';
import { Outlined } from './Outlined';
import { Question } from './Question';
import { Reading } from './Reading';

/** Where the parts of a wording go: by their names; null for nowhere. */
export type Places = ReadonlyMap<string, NamedBox | null>;

interface Props {
  bringing: Bringing;
  toFill: EntryToFill;
  begun: Filling;
  /** Begins anew in another wording of the entry, with the answers given so far. */
  inWording: (wording: string, filling: Filling) => Filling;
  remembered: Record<string, BoxName>;
  selected: string;
  held: string;
  /** Puts it in. Gives what hinders it; null when it is done. */
  putIn: (filling: Filling, places: Places, pressed: number) => Promise<string | null>;
  giveUp: () => void;
}

const idOf = (step: Step) => (step.kind === 'answer' ? step.field.id : `confirm ${step.at}`);

/** Where a part goes, and another box for it, or none. */
function PartLine({
  part,
  filling,
  boxes,
  place,
  setPlace,
}: {
  part: Filling['parts'][number];
  filling: Filling;
  boxes: readonly NamedBox[];
  place: NamedBox | null;
  setPlace: (to: NamedBox | null) => void;
}) {
  return (
    <div className="part">
      <p className="part-name">
        <b>{part.name}</b>
        <label>
          goes to{' '}
          <select
            value={place ? boxes.indexOf(place) : -1}
            onChange={(event) => setPlace(boxes[Number(event.target.value)] ?? null)}
          >
            {boxes.map(({ label }, at) => (
              <option key={at} value={at}>
                {label || 'a box without a name'}
              </option>
            ))}
            <option value={-1}>nowhere: left out</option>
          </select>
        </label>
      </p>
      <Reading
        passage={part.passage}
        fields={filling.placement.fields}
        current={null}
        goTo={() => undefined}
      />
      {place && <Outlined element={place.box.element} />}
    </div>
  );
}

/** An entry that asks something, filled beside the box it goes into: the sentence is alive while one answers, and the box changes once. */
export function FillSlip(props: Props) {
  const { bringing, toFill, begun, putIn, giveUp } = props;
  const [filling, setFilling] = useState(begun);
  const steps = stepsOf(filling);
  const [current, setCurrent] = useState(() => (steps[0] ? idOf(steps[0]) : ''));
  const [said, say] = useState<string | null>(null);
  const pressed = useRef(0);
  const boxes = useMemo(() => boxesBeside(bringing.box), [bringing.box]);
  const others = filling.parts.slice(0, -1);
  const [places, setPlaces] = useState<Places>(
    () =>
      new Map(others.map(({ name }) => [name, boxFor(name, boxes, bringing.box, props.remembered[name])])),
  );
  const found = steps.findIndex((step) => idOf(step) === current);
  const at = found < 0 ? Math.max(0, steps.length - 1) : found;
  const step = steps[at];
  const main = useRef<HTMLDivElement>(null);
  useEffect(() => {
    if (step?.kind !== 'answer') main.current?.focus({ preventScroll: true });
  }, [step?.kind, current]);

  const put = async () => {
    const [gap] = gapsIn(filling);
    if (!gap) return say(await putIn(filling, places, pressed.current));
    const open = steps.find((one) =>
      gap.kind === 'answer' ? idOf(one) === gap.field : one.kind === 'confirm',
    );
    if (open) setCurrent(idOf(open));
    say(`${gap.kind === 'confirm' ? 'Confirm this first' : 'This needs an answer first'}: ${gap.question}`);
  };
  const go = (by: number) => {
    say(null);
    const next = steps[at + by];
    if (next) return setCurrent(idOf(next));
    if (by > 0) void put();
  };
  const wordings = fullWordings(toFill.entry.content);
  const setWording = (id: string) => {
    const next = props.inWording(id, filling);
    setFilling(next);
    const [first] = stepsOf(next);
    setCurrent(first ? idOf(first) : '');
  };
  const keys = (event: React.KeyboardEvent) => {
    if (!['Shift', 'Control', 'Alt', 'Meta'].includes(event.key)) pressed.current += 1;
    if (event.nativeEvent.isComposing) return;
    const isMany = step?.kind === 'answer' && step.field.kind === 'text' && step.field.long === true;
    if (event.key === 'Escape') giveUp();
    else if (event.key === 'Enter' && (event.ctrlKey || event.metaKey)) void put();
    else if (event.key === 'Enter' && event.shiftKey && isMany) return;
    else if (event.key === 'Enter' || event.key === 'Tab') {
      if (event.target instanceof HTMLSelectElement) return;
      if (step?.kind === 'confirm' && event.key === 'Enter') setFilling(withConfirmed(filling, step.at));
      go(event.shiftKey ? -1 : 1);
    } else if (event.altKey && /^[1-9]$/.test(event.key) && wordings[Number(event.key) - 1])
      setWording(wordings[Number(event.key) - 1]!.id);
    else return;
    event.preventDefault();
  };
  const { fields, answers, language } = filling.placement;
  const isLast = at >= steps.length - 1;
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
      {wordings.length > 1 && (
        <p className="wordings" role="group" aria-label="Wordings">
          {wordings.map(({ id, name }, number) => (
            <button
              key={id}
              type="button"
              aria-pressed={id === filling.placement.wording}
              tabIndex={-1}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => setWording(id)}
            >
              {name || 'First wording'} {number < 9 && <kbd>Alt + {number + 1}</kbd>}
            </button>
          ))}
        </p>
      )}
      {others.map((part) => (
        <PartLine
          key={part.name}
          {...{ part, filling, boxes }}
          place={places.get(part.name) ?? null}
          setPlace={(to) => setPlaces(new Map([...places, [part.name, to]]))}
        />
      ))}
      <Reading
        passage={filling.parts.at(-1)!.passage}
        fields={fields}
        current={step?.kind === 'answer' ? step.field.id : null}
        goTo={(field) => setCurrent(field)}
      />
      {step?.kind === 'answer' && (
        <Question
          key={`${step.field.id} ${filling.placement.wording}`}
          field={step.field}
          given={answers[step.field.id]}
          language={language}
          selected={pickablesOf(step.field).length > 0 ? '' : props.selected}
          answer={(given) => {
            say(null);
            setFilling((now) => withAnswers(now, { [step.field.id]: given }));
          }}
          held={idOf(step) === idOf(stepsOf(begun)[0] ?? step) ? props.held : ''}
        />
      )}
      {step?.kind === 'confirm' && <p className="asked">Is this so? “{step.words}”</p>}
      {said && (
        <p role="alert" className="problem">
          {said}
        </p>
      )}
      <footer>
        {steps.length > 0 && (
          <span>
            {at + 1} of {steps.length}
          </span>
        )}
        <button
          type="button"
          className="main"
          onMouseDown={(event) => event.preventDefault()}
          onClick={() => void put()}
        >
          Put it in <kbd>{isLast ? 'Enter' : 'Ctrl + Enter'}</kbd>
        </button>
        <button type="button" onMouseDown={(event) => event.preventDefault()} onClick={giveUp}>
          Give back <kbd>Esc</kbd>
        </button>
      </footer>
    </div>
  );
}

/** Whether an entry can be put in at once: it asks nothing, and all of it goes into one box. */
export const isAtOnce = (filling: Filling): boolean =>
  filling.parts.length === 1 && stepsOf(filling).length === 0 && gapsIn(filling).length === 0;
