import type { CalendarDate } from '#core/calendar';
import type { Answer, Answers } from '#core/draft';
import type { Field } from '#core/entry';
import { picking, pickablesOf, readAnswer } from '#core/fill';
import { readAddresses } from '#core/mail';
import { emptyRecord, type CaseRecord, type Value } from '#core/record';
import { dayInCell, numberInCell, type Column } from './columns';
import { tagOfLanguage } from '#core/language';
import type { BatchSetup } from './setup';

/** Something about a row that keeps its letter from being right. */
export interface RowFault {
  column: string;
  /** A sentence without the row: "no e-mail address". */
  words: string;
}

/** Where a value of a letter came from, as its blank says. */
const SOURCE = 'the table';

/** A cell as its column is read; its words where it cannot be read so, null where it is empty. */
export function valueOfCell(column: Column, cell: string, today: CalendarDate): Value | null {
  if (cell.trim() === '') return null;
  const words: Value = { kind: 'text', text: cell };
  if (column.kind === 'date') {
    const date = dayInCell(cell, column, today);
    return date ? { kind: 'date', date } : words;
  }
  if (column.kind === 'number') {
    const value = numberInCell(cell, column);
    return value === null ? words : { kind: 'quantity', value, unit: '' };
  }
  return words;
}

/** What a row's record says: the details that its columns fill, and under its own name what no detail takes. */
export function recordOfRow(
  { columns, day }: Pick<BatchSetup, 'columns' | 'day'>,
  cells: readonly string[],
  languages: readonly string[],
): CaseRecord {
  const record = emptyRecord();
  const taken = new Set<string>();
  for (const [at, column] of columns.entries()) {
    const path = (column.fills ?? column.head).slice(0, 60);
    const value = valueOfCell(column, cells[at] ?? '', day);
    if (!value || taken.has(path)) continue;
    taken.add(path);
    const isLanguage = path === 'language' && value.kind === 'text';
    record.details.push({
      ...{ path, label: column.head, source: SOURCE, asOf: null },
      value: isLanguage ? { kind: 'text', text: tagOfLanguage(value.text, languages) } : value,
    });
  }
  return record;
}

/** What a cell answers to a field: one of its options by what it is called, else as if it were typed; null where it is no answer to it. */
function answerTyped(field: Field, typed: string, today: CalendarDate): Answer | null {
  if (pickablesOf(field).length > 0) {
    const wanted = typed.trim().toLocaleLowerCase();
    const found = pickablesOf(field).find(({ label }) => label.toLocaleLowerCase() === wanted);
    return found ? picking(field, undefined, found.id) : null;
  }
  const { answer, problem } = readAnswer(field, typed, { today, now: '12:00' }, 'en-GB');
  return problem?.unread ? null : answer;
}

/** Answers that a row gives to fields of these names that no detail answers, by the ids of the fields. */
export function answersOfRow(
  { columns, day }: Pick<BatchSetup, 'columns' | 'day'>,
  cells: readonly string[],
  fields: readonly Field[],
): Answers {
  const answers: Answers = {};
  for (const field of fields) {
    if (field.kind === 'detail' || field.kind === 'computed' || field.kind === 'writer') continue;
    const at = columns.findIndex(
      ({ head, fills }) => (fills ?? head).toLocaleLowerCase() === field.name.toLocaleLowerCase(),
    );
    const column = columns[at];
    const value = column && valueOfCell(column, cells[at] ?? '', day);
    if (!value) continue;
    const typed =
      value.kind === 'date' ? value.date : value.kind === 'quantity' ? `${value.value}` : cells[at]!;
    const answer = answerTyped(field, typed, day);
    if (answer) answers[field.id] = answer;
  }
  return answers;
}

function faultOfCell(column: Column, cell: string, today: CalendarDate): string | null {
  if (cell.trim() === '') return column.fills === 'email' ? 'no email address' : null;
  if (column.fills === 'email') {
    const { mailboxes, faults } = readAddresses(cell);
    return faults.length > 0 || mailboxes.length === 0 ? `“${cell}” is not an email address` : null;
  }
  if (column.kind === 'date' && dayInCell(cell, column, today) === null) return `“${cell}” is not a date`;
  if (column.kind === 'number' && numberInCell(cell, column) === null) return `“${cell}” is not a number`;
  return null;
}

/** What is wrong in a row; nothing for most. */
export function faultsOfRow(
  { columns, day }: Pick<BatchSetup, 'columns' | 'day'>,
  cells: readonly string[],
): RowFault[] {
  return columns.flatMap((column, at) => {
    const words = faultOfCell(column, cells[at] ?? '', day);
    return words === null ? [] : [{ column: column.id, words }];
  });
}
