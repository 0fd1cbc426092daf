import type { Editor } from '@tiptap/react';
import { Check } from 'lucide-react';
import { optionKeys, type ChoiceField, type Field } from '#core/entry';
import type { Answer } from '#core/draft';
import { BY_HAND, MOST_BY_KEY, otherwise, pickablesOf, pickedIn } from '#core/fill';
import { lookUp, valueInWords, type CaseRecord } from '#core/record';
import { calendarToday } from '#client/clock';
import { answer, answerAll, fieldOf, type BlankAt, placementsOf, askedBlanks, stepOn } from '../../editor';
import { Button, Key } from '../../ui';
import { OTHER_FIELD, pick, stepTo } from '../surface/blankKeys';
import { giveKeys } from '../surface/whereKeysGo';
import { LargeChoice } from './LargeChoice';
import { LastAnswer } from './LastAnswer';
import { ProposedList } from './ProposedList';
import { Source } from './Source';
import { TypedHelp } from './TypedHelp';
import { lastSelected, SELECTION_KEY, takeSelected } from './selectedAnswer';
import { WorkedOut } from './WorkedOut';

function Choices({ editor, field, picked }: { editor: Editor; field: Field; picked: readonly string[] }) {
  const pickables = pickablesOf(field);
  const letters = optionKeys(pickables.map(({ label }) => label));
  const many = field.kind === 'choice' && field.many;
  return (
    <div
      className="mt-2"
      role={many ? 'group' : 'radiogroup'}
      aria-label={many ? 'Choose any' : 'Choose one'}
    >
      {pickables.map(({ id, label }, index) => {
        const isPicked = picked.includes(id);
        return (
          <button
            key={id}
            type="button"
            role={many ? 'checkbox' : 'radio'}
            aria-checked={isPicked}
            onMouseDown={(event) => event.preventDefault()}
            onClick={() => pick(editor.view, field, id)}
            className={`flex w-full items-baseline gap-2 border-b border-hair py-1 pr-1 text-left hover:bg-flower ${isPicked ? 'font-semibold text-elder' : ''}`}
          >
            <span className="w-9 shrink-0 text-right font-cue text-[12px] font-normal text-soft">
              {index < 9 ? index + 1 : ''} {letters[index]}
            </span>
            <span className="min-w-0 break-words">{label}</span>
            {isPicked && <Check size={14} aria-hidden className="ml-auto shrink-0 self-center" />}
          </button>
        );
      })}
    </div>
  );
}

/** Where a choice takes words of one's own beside its options. */
function OtherWords({ editor, field, blank }: { editor: Editor; field: ChoiceField; blank: BlankAt }) {
  const placement = blank.attrs.placement ?? '';
  const given = placementsOf(editor.state.doc)[placement]?.answers[field.id];
  const give = (words: string) =>
    editor.view.dispatch(answer(editor.state, placement, field.id, otherwise(field, given, words)));
  const leave = (event: React.KeyboardEvent) => {
    if (!['Enter', 'Tab', 'Escape'].includes(event.key) || event.nativeEvent.isComposing) return;
    event.preventDefault();
    const tr = event.key === 'Escape' ? null : event.shiftKey ? null : stepOn(editor.state);
    if (tr) stepTo(editor.view, tr);
    else giveKeys(editor.view);
  };
  return (
    <input
      id={OTHER_FIELD}
      aria-label="Other words"
      placeholder="other words"
      autoComplete="off"
      className="input text-[15px]"
      value={given?.kind === 'chosen' ? (given.other ?? '') : ''}
      onChange={(event) => give(event.target.value)}
      onKeyDown={leave}
    />
  );
}

function FromRecord({
  editor,
  blank,
  field,
  record,
}: Omit<Props, 'blank'> & { blank: BlankAt; field: Field }) {
  if (field.kind !== 'detail') return null;
  const placement = placementsOf(editor.state.doc)[blank.attrs.placement ?? ''];
  const given = placement?.answers[field.id];
  const isByHand = given?.kind === 'detail' && given.source === BY_HAND;
  if (given?.kind === 'detail' && !isByHand)
    return (
      <Source
        source={given.source}
        asOf={given.asOf}
        ages={given.value.kind === 'quantity' ? field.path : null}
      />
    );
  const detail = lookUp(record, field.path, calendarToday());
  if (!detail) return <p className="mt-1 text-[13px] text-soft">The record does not say. Type it here.</p>;
  const back = () => {
    const fromRecord = (path: string): Answer | null => {
      const found = lookUp(record, path, calendarToday(), placement?.language);
      return found && { kind: 'detail', value: found.value, source: found.source, asOf: found.asOf };
    };
    const id = blank.attrs.placement!;
    // With an amount comes the day on which it was measured.
    const days = (placementsOf(editor.state.doc)[id]?.fields ?? []).flatMap((one) =>
      one.kind === 'detail' && one.path === 'weighed' && detail.value.kind === 'quantity'
        ? [[one.id, fromRecord(one.path)] as const]
        : [],
    );
    const all = { ...Object.fromEntries(days), [field.id]: fromRecord(field.path) };
    editor.view.dispatch(answerAll(editor.state, id, all));
    giveKeys(editor.view);
  };
  return (
    <div className="mt-1 text-[13px] text-soft">
      <p>
        {given ? 'Typed here.' : 'Left empty here.'} The record says{' '}
        {valueInWords(detail.value, navigator.language)}.
      </p>
      <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={back}>
        Back to the record’s value
      </Button>
    </div>
  );
}

/** The words selected before one came here, where they can be the answer. */
function Selected({ editor, field }: { editor: Editor; field: Field }) {
  const words = lastSelected(editor.state);
  if (words === '' || pickablesOf(field).length > 0) return null;
  return (
    <p className="mt-1 text-[13px] text-soft">
      Selected:{' '}
      <Button
        look="text"
        className="max-w-full truncate align-bottom"
        onMouseDown={(event) => event.preventDefault()}
        onClick={() => takeSelected(editor.view)}
      >
        {words}
      </Button>{' '}
      <Key>{SELECTION_KEY}</Key> takes it
    </p>
  );
}

/** What is asked, and which of the questions of this wording it is. */
function Question({ field, number, of }: { field: Field; number: number; of: number }) {
  return (
    <div role="status">
      <p className="eyebrow">
        {field.name}
        {number > 0 && `, ${number} of ${of}`}
        {!field.required && ', optional'}
      </p>
      <p className="font-book text-[17px] leading-snug">{field.question || field.name}</p>
      {field.hint && <p className="text-[13px] text-soft">{field.hint}</p>}
    </div>
  );
}

interface Props {
  editor: Editor;
  blank: BlankAt;
  record: CaseRecord;
}

/** What the current blank asks: its question, its choices with their keys, where its answer came from. */
export function BlankPanel({ editor, blank, record }: Props) {
  const field = fieldOf(editor.state.doc, blank.attrs);
  if (!field) return null;
  const asked = askedBlanks(editor.state.doc).filter(
    ({ attrs }) => attrs.placement === blank.attrs.placement,
  );
  const number = asked.findIndex(({ attrs }) => attrs.field === field.id) + 1;
  const placement = placementsOf(editor.state.doc)[blank.attrs.placement ?? ''];
  const given = placement?.answers[field.id];
  return (
    <section aria-label="Current blank" className="slip">
      <Question field={field} number={number} of={asked.length} />
      {pickablesOf(field).length > MOST_BY_KEY ? (
        <LargeChoice
          key={`${blank.attrs.placement} ${field.id}`}
          editor={editor}
          field={field}
          picked={pickedIn(given)}
        />
      ) : (
        pickablesOf(field).length > 0 && <Choices editor={editor} field={field} picked={pickedIn(given)} />
      )}
      {field.kind === 'choice' && field.other && <OtherWords editor={editor} field={field} blank={blank} />}
      <TypedHelp
        field={field}
        given={given}
        language={placement?.language ?? 'en-GB'}
        known={field.kind === 'detail' ? lookUp(record, field.path, calendarToday())?.value : undefined}
      />
      {placement && (
        <LastAnswer editor={editor} id={blank.attrs.placement ?? ''} placement={placement} field={field} />
      )}
      <ProposedList editor={editor} field={field} />
      <Selected editor={editor} field={field} />
      {field.kind === 'computed' && <WorkedOut editor={editor} blank={blank} field={field} />}
      <FromRecord editor={editor} blank={blank} field={field} record={record} />
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Tab</Key> or <Key>Enter</Key>:{' '}
        {number === asked.length ? 'go on with the sentence' : 'next question'}
      </p>
    </section>
  );
}
