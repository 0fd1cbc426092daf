import type { Editor } from '@tiptap/react';
import { Check } from 'lucide-react';
import { optionKeys, type ChoiceField, type Field } from '#core/entry';
import type { Answer } from '#core/draft';
import { lookUp, valueInWords, type CaseRecord } from '#core/record';
import { calendarToday } from '../clock/calendarToday';
import { answer } from '../editor/answering';
import { blanksIn, fieldOf, type BlankAt } from '../editor/blanks';
import { placementsOf } from '../editor/placements';
import { Button, Key } from '../ui';
import { pick } from './blankKeys';
import { Source } from './Source';

function Choices({
  editor,
  field,
  chosen,
}: {
  editor: Editor;
  field: ChoiceField;
  chosen: readonly string[];
}) {
  const letters = optionKeys(field.options.map(({ label }) => label));
  return (
    <div
      className="mt-2"
      role={field.many ? 'group' : 'radiogroup'}
      aria-label={field.many ? 'Choose any' : 'Choose one'}
    >
      {field.options.map((option, index) => {
        const picked = chosen.includes(option.id);
        return (
          <div key={option.id}>
            <button
              type="button"
              role={field.many ? 'checkbox' : 'radio'}
              aria-checked={picked}
              tabIndex={-1}
              onMouseDown={(event) => event.preventDefault()}
              onClick={() => pick(editor.view, field, option.id)}
              className={`flex w-full items-baseline gap-2 border-b border-hair py-1 pr-1 text-left hover:bg-flower ${picked ? 'font-semibold text-elder' : ''}`}
            >
              <span className="w-9 shrink-0 text-right font-cue text-[12px] font-normal text-soft">
                {index < 9 ? index + 1 : ''} {letters[index]}
              </span>
              <span className="min-w-0 break-words">{option.label}</span>
              {picked && <Check size={14} aria-hidden className="ml-auto shrink-0 self-center" />}
            </button>
          </div>
        );
      })}
    </div>
  );
}

function FromRecord({
  editor,
  blank,
  field,
  record,
}: Omit<Props, 'blank'> & { blank: BlankAt; field: Field }) {
  if (field.kind !== 'detail') return null;
  const given = placementsOf(editor.state.doc)[blank.attrs.placement ?? '']?.answers[field.id];
  if (given?.kind === 'detail')
    return <Source source={given.source} asOf={given.asOf} ages={given.value.kind === 'quantity'} />;
  const detail = lookUp(record, field.path, calendarToday());
  if (!detail) return <p className="mt-1 text-[13px] text-soft">The record does not say. Type it here.</p>;
  const back = () => {
    const { value, source, asOf } = detail;
    const tr = answer(editor.state, blank.attrs.placement!, field.id, {
      kind: 'detail',
      value,
      source,
      asOf,
    });
    editor.view.dispatch(tr);
    editor.commands.focus();
  };
  return (
    <div className="mt-1 text-[13px] text-soft">
      <p>
        {given ? 'Typed here.' : 'Left empty here.'} The record says{' '}
        {valueInWords(detail.value, navigator.language)}.
      </p>
      <Button look="text" onMouseDown={(event) => event.preventDefault()} onClick={back}>
        Take it from the record
      </Button>
    </div>
  );
}

interface Props {
  editor: Editor;
  blank: BlankAt;
  record: CaseRecord;
}

const chosenOf = (given: Answer | undefined) => (given?.kind === 'chosen' ? given.options : []);

/** What the current blank asks: its question, its choices with their keys, where its answer came from. */
export function BlankPanel({ editor, blank, record }: Props) {
  const field = fieldOf(editor.state.doc, blank.attrs);
  if (!field) return null;
  const own = blanksIn(editor.state.doc).filter(({ attrs }) => attrs.placement === blank.attrs.placement);
  const number = own.findIndex(({ pos }) => pos === blank.pos) + 1;
  const given = placementsOf(editor.state.doc)[blank.attrs.placement ?? '']?.answers[field.id];
  return (
    <section aria-label="Current blank" className="slip">
      <div role="status">
        <p className="eyebrow">
          {field.name}, {number} of {own.length}
          {!field.required && ', may stay empty'}
        </p>
        <p className="font-book text-[17px] leading-snug">{field.question || field.name}</p>
        {field.hint && <p className="text-[13px] text-soft">{field.hint}</p>}
      </div>
      {field.kind === 'choice' && <Choices editor={editor} field={field} chosen={chosenOf(given)} />}
      <FromRecord editor={editor} blank={blank} field={field} record={record} />
      <p className="mt-2 text-[12.5px] text-soft">
        <Key>Tab</Key> next, <Key>Enter</Key> {number === own.length ? 'goes on with the sentence' : 'next'}
      </p>
    </section>
  );
}
