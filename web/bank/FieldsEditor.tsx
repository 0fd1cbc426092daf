import { ArrowDown, ArrowUp, X } from 'lucide-react';
import type { ChoiceField, ChoiceOption, Field } from '#core/entry';
import { DETAILS } from '#core/record';
import { Button, SelectField, TextField } from '../ui';
import { asKind } from './entryFields';
import { FieldSettings } from './FieldSettings';

const KINDS: Record<Field['kind'], string> = {
  text: 'words',
  choice: 'a choice',
  'yes-no': 'yes or no',
  number: 'a number',
  date: 'a date',
  time: 'a time',
  detail: 'a detail of the record',
  person: 'he, she, they or it',
};

const iconLook = 'rounded-[3px] p-1 text-soft hover:text-elder disabled:opacity-30';

function moved<T>(items: readonly T[], from: number, to: number): T[] {
  const rest = items.filter((_, index) => index !== from);
  return [...rest.slice(0, to), items[from]!, ...rest.slice(to)];
}

/** How many may be chosen, how they join, and what can be answered beside the options. */
function ChoiceRules({ field, change }: { field: ChoiceField; change: (field: ChoiceField) => void }) {
  return (
    <>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={field.many}
          onChange={() => change({ ...field, many: !field.many })}
          className="accent-elder"
        />
        several may be chosen
      </label>
      {field.many && (
        <label className="flex items-center gap-2">
          joined
          <select
            className="input w-auto bg-page"
            value={field.join}
            onChange={(event) => change({ ...field, join: event.target.value as ChoiceField['join'] })}
          >
            <option value="and">with and</option>
            <option value="or">with or</option>
            <option value="lines">as lines</option>
          </select>
        </label>
      )}
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={field.other ?? false}
          onChange={() => change({ ...field, other: !field.other })}
          className="accent-elder"
        />
        other words too
      </label>
      <label className="flex items-center gap-2">
        <input
          type="checkbox"
          checked={field.none !== undefined}
          onChange={() => change({ ...field, none: field.none === undefined ? 'none' : undefined })}
          className="accent-elder"
        />
        none of these
      </label>
      {field.none !== undefined && (
        <input
          aria-label="Words for none of these"
          className="input w-56"
          value={field.none}
          onChange={(event) => change({ ...field, none: event.target.value })}
        />
      )}
    </>
  );
}

function Options({ field, change }: { field: ChoiceField; change: (field: ChoiceField) => void }) {
  const { options } = field;
  const set = (index: number, option: ChoiceOption) =>
    change({ ...field, options: options.map((one, at) => (at === index ? option : one)) });
  const add = () => {
    const ids = new Set(options.map(({ id }) => id));
    let number = options.length + 1;
    while (ids.has(`o${number}`)) number += 1;
    change({ ...field, options: [...options, { id: `o${number}`, label: '', words: null }] });
  };
  return (
    <fieldset className="mt-3">
      <legend className="eyebrow">Options, and the words each puts down where they differ</legend>
      {options.map((option, index) => (
        <div key={option.id} className="grid grid-cols-[1fr_1fr_auto] items-end gap-3">
          <input
            aria-label={`Option ${index + 1}`}
            className="input"
            value={option.label}
            maxLength={120}
            onChange={(event) => set(index, { ...option, label: event.target.value })}
            onKeyDown={(event) => {
              if (event.key !== 'Enter') return;
              event.preventDefault();
              add();
            }}
          />
          <input
            aria-label={`Words of option ${index + 1}`}
            className="input"
            placeholder={option.label}
            value={option.words ?? ''}
            onChange={(event) => set(index, { ...option, words: event.target.value || null })}
          />
          <span className="flex">
            <button
              type="button"
              className={iconLook}
              aria-label={`Move option ${index + 1} up`}
              disabled={index === 0}
              onClick={() => change({ ...field, options: moved(options, index, index - 1) })}
            >
              <ArrowUp size={15} aria-hidden />
            </button>
            <button
              type="button"
              className={iconLook}
              aria-label={`Move option ${index + 1} down`}
              disabled={index === options.length - 1}
              onClick={() => change({ ...field, options: moved(options, index, index + 1) })}
            >
              <ArrowDown size={15} aria-hidden />
            </button>
            <button
              type="button"
              className={iconLook}
              aria-label={`Remove option ${index + 1}`}
              disabled={options.length === 1}
              onClick={() => change({ ...field, options: options.filter((_, at) => at !== index) })}
            >
              <X size={15} aria-hidden />
            </button>
          </span>
        </div>
      ))}
      <div className="mt-2 flex flex-wrap items-center gap-x-5 gap-y-2 text-[14px]">
        <Button onClick={add}>Add an option</Button>
        <ChoiceRules field={field} change={change} />
      </div>
    </fieldset>
  );
}

interface FieldProps {
  field: Field;
  uses: number;
  open: boolean;
  editable: boolean;
  toggle: () => void;
  change: (field: Field) => void;
  remove: () => void;
}

function FieldEditor({ field, uses, open, editable, toggle, change, remove }: FieldProps) {
  const detail = field.kind === 'detail' && DETAILS.find(({ path }) => path === field.path)?.label;
  const said = detail || field.question;
  return (
    <li className="border-b border-hair py-1.5">
      <button
        type="button"
        aria-expanded={open}
        onClick={toggle}
        className="flex w-full items-baseline gap-3 text-left hover:text-elder"
      >
        <span className="font-medium">{field.name}</span>
        <span className="text-[13px] text-soft">
          {KINDS[field.kind]}
          {said && `: ${said}`}
        </span>
        <span className="ml-auto shrink-0 text-[12.5px] text-soft">
          {uses === 1 ? '1 blank' : `${uses} blanks`}
        </span>
      </button>
      {open && (
        <fieldset disabled={!editable} className="grid gap-3 border-l-2 border-elder py-2 pl-4">
          <div className="grid grid-cols-2 gap-5">
            <TextField
              label="Name"
              value={field.name}
              maxLength={60}
              onChange={(event) => change({ ...field, name: event.target.value })}
            />
            <SelectField
              label="Answered by"
              value={field.kind}
              onChange={(event) => change(asKind(field, event.target.value as Field['kind']))}
            >
              {Object.entries(KINDS).map(([kind, label]) => (
                <option key={kind} value={kind}>
                  {label}
                </option>
              ))}
            </SelectField>
          </div>
          <TextField
            label="Question, as it is asked in the margin"
            value={field.question}
            onChange={(event) => change({ ...field, question: event.target.value })}
          />
          <TextField
            label="Hint, beneath the question"
            maxLength={500}
            value={field.hint}
            onChange={(event) => change({ ...field, hint: event.target.value })}
          />
          <FieldSettings field={field} change={change} />
          {field.kind === 'choice' && <Options field={field} change={change} />}
          <div className="flex items-center justify-between text-[14px]">
            <label className="flex items-center gap-2">
              <input
                type="checkbox"
                checked={field.required}
                onChange={() => change({ ...field, required: !field.required })}
                className="accent-elder"
              />
              must be answered before the draft is finished
            </label>
            {uses === 0 && <Button onClick={remove}>Remove the field</Button>}
          </div>
        </fieldset>
      )}
    </li>
  );
}

interface Props {
  fields: readonly Field[];
  uses: ReadonlyMap<string, number>;
  open: string | null;
  editable: boolean;
  setOpen: (field: string | null) => void;
  change: (fields: Field[]) => void;
}

/** The fields of an entry, each opened to be changed. A field with blanks left cannot be removed by accident. */
export function FieldsEditor({ fields, uses, open, editable, setOpen, change }: Props) {
  if (fields.length === 0) {
    return (
      <p className="text-[14px] text-soft">
        No fields yet: select words that differ each time, and make them a blank.
      </p>
    );
  }
  return (
    <ul>
      {fields.map((field, index) => (
        <FieldEditor
          key={field.id}
          field={field}
          uses={uses.get(field.id) ?? 0}
          open={open === field.id}
          editable={editable}
          toggle={() => setOpen(open === field.id ? null : field.id)}
          change={(changed) => change(fields.map((one, at) => (at === index ? changed : one)))}
          remove={() => change(fields.filter((_, at) => at !== index))}
        />
      ))}
    </ul>
  );
}
