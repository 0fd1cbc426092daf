import { useState } from 'react';
import { NEVER_ASKED, type Field, type FieldUses, asKind } from '#core/entry';
import { labelOfDetail } from '#core/record';
import { ActingSelect, Button, SortableRow, TextField, Tick } from '../../ui';
import { FieldSettings } from './FieldSettings';

const KINDS: Record<Field['kind'], string> = {
  text: 'words',
  choice: 'a choice',
  'yes-no': 'yes or no',
  number: 'a number',
  date: 'a date',
  time: 'a time',
  detail: 'a detail of the record',
  person: 'pronouns',
  writer: 'the writer’s details',
  computed: 'a calculation',
  alternates: 'alternates, of which one is taken',
};

interface Props {
  field: Field;
  fields: readonly Field[];
  /** The words it was made of. */
  madeFrom: string | undefined;
  uses: FieldUses;
  open: boolean;
  editable: boolean;
  toggle: () => void;
  change: (field: Field) => void;
  rename: (name: string) => void;
  remove: () => void;
}

/** The field's name: formulas and other words follow it, as soon as it is a name no other field has. */
function NameField({ field, fields, rename }: Pick<Props, 'field' | 'fields' | 'rename'>) {
  const [typed, setTyped] = useState<string | null>(null);
  const shown = typed ?? field.name;
  const taken = fields.some(
    (one) => one.id !== field.id && one.name.toLocaleLowerCase() === shown.trim().toLocaleLowerCase(),
  );
  const type = (name: string) => {
    const free = !fields.some(
      (one) => one.id !== field.id && one.name.toLocaleLowerCase() === name.trim().toLocaleLowerCase(),
    );
    setTyped(name);
    if (name.trim() !== '' && free) rename(name.trim());
  };
  return (
    <TextField
      label="Name"
      value={shown}
      maxLength={60}
      error={
        taken
          ? 'Another field has this name.'
          : shown.trim() === ''
            ? `It is still called ${field.name}.`
            : undefined
      }
      onChange={(event) => type(event.target.value)}
      onBlur={() => setTyped(null)}
    />
  );
}

const counted = (count: number, one: string, several: string) => `${count} ${count === 1 ? one : several}`;

function usesInWords({ blanks, elsewhere }: FieldUses): string {
  if (blanks === 0 && elsewhere === 0) return 'not used';
  return [
    ...(blanks > 0 ? [counted(blanks, 'blank', 'blanks')] : []),
    ...(elsewhere > 0 ? [counted(elsewhere, 'other use', 'other uses')] : []),
  ].join(', ');
}

function saidOf(field: Field): string {
  if (field.kind === 'detail') return labelOfDetail(field.path);
  return field.kind === 'writer' ? field.detail : field.question;
}

function Opened({
  field,
  fields,
  madeFrom,
  uses,
  editable,
  change,
  rename,
  remove,
}: Omit<Props, 'open' | 'toggle'>) {
  // To what is never asked, "must be answered" and "offer my last answer" mean nothing.
  const asked = !NEVER_ASKED.has(field.kind);
  return (
    <fieldset disabled={!editable} className="grid gap-3 border-l-2 border-elder py-2 pl-4">
      <div className="grid grid-cols-2 gap-5">
        <NameField field={field} fields={fields} rename={rename} />
        <ActingSelect
          label="Answer comes from"
          value={field.kind}
          act={(kind) => change(asKind(field, kind as Field['kind'], madeFrom))}
        >
          {Object.entries(KINDS).map(([kind, label]) => (
            <option key={kind} value={kind}>
              {label}
            </option>
          ))}
        </ActingSelect>
      </div>
      {asked && (
        <TextField
          label="Question asked in the margin"
          value={field.question}
          onChange={(event) => change({ ...field, question: event.target.value })}
        />
      )}
      {asked && (
        <TextField
          label="Hint, beneath the question"
          maxLength={500}
          value={field.hint}
          onChange={(event) => change({ ...field, hint: event.target.value })}
        />
      )}
      <FieldSettings field={field} fields={fields} change={change} />
      <div className="flex flex-wrap items-center gap-x-5 gap-y-2">
        {asked && (
          <Tick on={field.required} toggle={() => change({ ...field, required: !field.required })}>
            must be answered before the draft is finished
          </Tick>
        )}
        {asked && (
          <Tick
            on={field.offerLast ?? false}
            toggle={() => change({ ...field, offerLast: field.offerLast ? undefined : true })}
          >
            offer my last answer for the same person
          </Tick>
        )}
        {uses.blanks + uses.elsewhere === 0 && (
          <Button className="ml-auto text-[14px]" onClick={remove}>
            Remove the field
          </Button>
        )}
      </div>
    </fieldset>
  );
}

/** One field of an entry: a line to read, opened to be changed. */
export function FieldEditor(props: Props) {
  const { field, uses, open, editable, toggle } = props;
  const said = saidOf(field);
  return (
    <SortableRow
      as="li"
      id={field.id}
      anchor={`field-${field.id}`}
      label={`Move ${field.name}`}
      disabled={!editable}
      className="border-b border-hair py-1"
    >
      <button
        type="button"
        aria-expanded={open}
        onClick={toggle}
        className="flex w-full items-baseline gap-3 text-left hover:text-elder"
      >
        <span className="font-medium break-words">{field.name}</span>
        <span className="text-[13px] text-soft">
          {KINDS[field.kind]}
          {said && `: ${said}`}
        </span>
        <span className="ml-auto shrink-0 text-[12.5px] text-soft">{usesInWords(uses)}</span>
      </button>
      {open && <Opened {...props} />}
    </SortableRow>
  );
}
