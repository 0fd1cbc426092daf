import { useId, useState } from 'react';
import {
  emptyItem,
  formOf,
  inParts,
  HISTORY_LISTS,
  isHistoryList,
  measuredIn,
  readItem,
  valueInWords,
  type CaseRecord,
  type HistoryListId,
  type ItemFault,
  type ItemForm as Form,
  type Measurement,
  type RecordList,
  type WrittenItem,
} from '#core/record';
import { dateInWords, readDate } from '#core/calendar';
import { isSame } from '#core/difference';
import { writtenToday } from '#client/clock';
import { Button, Notice, SelectField, TextField } from '../ui';

/** What an item of a list is asked for by. */
function whatOf(list: RecordList): string {
  if (isHistoryList(list)) return WHAT_OF_HISTORY[list] ?? 'What it is';
  return { measurements: 'What was measured', medicines: 'Medicine', problems: 'Problem' }[list];
}

const WHAT_OF_HISTORY: Partial<Record<HistoryListId, string>> = {
  allergies: 'Allergic to',
  immunisations: 'Vaccine',
  observations: 'What was looked at',
  family: 'Relative',
};

const STATUSES = {
  medicines: { active: 'given now', planned: 'planned', ended: 'stopped' },
  problems: { active: 'there now', resolved: 'resolved' },
} as const;

/** The states an item of a list can have, with their names. */
const statusesOf = (list: Exclude<RecordList, 'measurements'>): [string, string][] =>
  Object.entries(isHistoryList(list) ? HISTORY_LISTS[list].states : STATUSES[list]);

/** Whether an item of a list has an end of its own. */
const hasEnd = (list: RecordList): boolean =>
  list === 'medicines' ||
  list === 'problems' ||
  (isHistoryList(list) && HISTORY_LISTS[list].happens === 'lasts');

const FAULTS: Record<ItemFault['code'], string> = {
  empty: 'Say what it is.',
  'no-amount': 'No amount can be read in this: a number and its unit, such as 512 g.',
  'no-unit': 'Say its unit too, such as 36.5 °C.',
  'no-day': 'Not a date yet.',
  'day-ahead': 'This day is still to come.',
};

/** How a day typed in shorthand is read; nothing where it is written out already. */
function readBack(words: string): string | undefined {
  const { today, language } = writtenToday();
  const day = words.trim() === '' ? null : readDate(words, today, language);
  const back = day && dateInWords(day, 'long', language);
  return back && back !== words ? back : undefined;
}

interface FieldsProps {
  list: RecordList;
  record: CaseRecord;
  form: Form;
  put: (change: Partial<Form>) => void;
  /** What is wrong with a part of the form, once it was tried. */
  faultOf: (field: keyof Form) => string | undefined;
}

const LONGEST: Partial<Record<keyof Form, number>> = { what: 200, dose: 200, note: 2000 };

/** What is asked of an item of each list. */
function Fields({ list, record, form, put, faultOf }: FieldsProps) {
  const names = useId();
  const line = (field: keyof Form, label: string, more: Partial<Parameters<typeof TextField>[0]> = {}) => (
    <TextField
      label={label}
      maxLength={LONGEST[field] ?? 60}
      value={form[field]}
      error={faultOf(field)}
      onChange={({ target }) => put({ [field]: target.value })}
      {...more}
    />
  );
  // Typed in one line, the day is read from there.
  const inOne = list === 'measurements' ? inParts(form, writtenToday()) : form;
  const day = (field: 'since' | 'until', label: string, hint = readBack(form[field])) =>
    line(field, label, { placeholder: 'such as 4 mar, or -2 for two days ago', hint });
  if (list === 'measurements')
    return (
      <>
        {line('what', whatOf(list), { autoFocus: true, list: names })}
        <datalist id={names}>
          {measuredIn(record).map(({ code, label }) => (
            <option key={code} value={label} />
          ))}
        </datalist>
        {line('amount', 'Amount', { placeholder: 'such as 512 g, or 512 g 16 nov' })}
        {day('since', 'Measured on', inOne.since === form.since ? undefined : readBack(inOne.since))}
      </>
    );
  return (
    <>
      {line('what', whatOf(list), { autoFocus: true })}
      {list === 'medicines' && line('dose', 'Dose')}
      {isHistoryList(list) && line('note', HISTORY_LISTS[list].note)}
      {statusesOf(list).length > 1 && (
        <SelectField
          label="State"
          value={form.status}
          onChange={({ target }) => put({ status: target.value })}
        >
          {statusesOf(list).map(([status, words]) => (
            <option key={status} value={status}>
              {words}
            </option>
          ))}
        </SelectField>
      )}
      {day('since', hasEnd(list) ? 'Since' : 'On')}
      {hasEnd(list) && day('until', 'Until')}
    </>
  );
}

/** Said of an amount that is hardly like the one before it. */
function Doubt({ before: { value, unit, measured } }: { before: Measurement }) {
  const { language } = writtenToday();
  const amount = valueInWords({ kind: 'quantity', value, unit }, language);
  return (
    <div className="col-span-full">
      <Notice tone="warning" title="Is this amount right?">
        It was {amount} on {dateInWords(measured, 'long', language)}.
      </Notice>
    </div>
  );
}

/** Items of a list that were begun, by names of their forms. */
export type BegunItems = Map<string, Form>;

/** A form as it is begun: with what an item says, or empty for a new one. */
const fresh = (list: RecordList, had: WrittenItem['item'] | null): Form =>
  had ? formOf({ list, item: had } as WrittenItem, writtenToday()) : emptyItem(list, writtenToday());

interface Props {
  list: RecordList;
  record: CaseRecord;
  /** What is corrected; null for a new one. */
  had: WrittenItem['item'] | null;
  /** What was written of it and neither saved nor cancelled, by what it is of: another line was opened meanwhile. */
  begun: BegunItems;
  /** Which of those it is. */
  name: string;
  save: (now: WrittenItem['item']) => void;
  cancel: () => void;
  isPending: boolean;
}

/** An item of a list of a record, to be written down or corrected. */
export function RecordItemForm({ list, record, had, begun, name, save, cancel, isPending }: Props) {
  const [form, setForm] = useState<Form>(() => begun.get(name) ?? fresh(list, had));
  const write = (change: Partial<Form>) => {
    const now = { ...form, ...change };
    begun.set(name, now);
    setForm(now);
  };
  const [isTried, setTried] = useState(false);
  // What was doubtful when it was to be saved: the same again is meant.
  const [doubted, setDoubted] = useState<WrittenItem['item'] | null>(null);
  const read = readItem(list, form, { had, record, written: writtenToday() });
  const faultOf = (field: keyof Form) => {
    const found = isTried && 'faults' in read ? read.faults.find((one) => one.field === field) : undefined;
    return found && FAULTS[found.code];
  };
  const isDoubted = 'before' in read && read.before !== null && isSame(doubted, read.item.item);
  return (
    <form
      className="slip my-2 grid grid-cols-2 gap-x-5 gap-y-3 max-[899px]:grid-cols-1"
      aria-label={had ? `Correct: ${form.what}` : `Add: ${whatOf(list)}`}
      onKeyDown={(event) => {
        if (event.key !== 'Escape') return;
        event.stopPropagation();
        cancel();
      }}
      onSubmit={(event) => {
        event.preventDefault();
        setTried(true);
        if (!('item' in read) || isPending) return;
        if (read.before && !isDoubted) setDoubted(read.item.item);
        else save(read.item.item);
      }}
    >
      <Fields list={list} record={record} form={form} put={write} faultOf={faultOf} />
      {isDoubted && <Doubt before={read.before!} />}
      <p className="col-span-full flex gap-3">
        <Button type="submit" disabled={isPending}>
          {isDoubted ? 'It is right' : had ? 'Save' : 'Add'}
        </Button>
        <Button look="text" onClick={cancel}>
          Cancel
        </Button>
      </p>
    </form>
  );
}
