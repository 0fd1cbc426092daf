import { z } from 'zod';
import type { NewCase } from '#contracts';
import { dateInWords, readDate, type CalendarDate } from '#core/calendar';
import { DETAILS, type DetailPath, type Value } from '#core/record';
import { KindIdSchema, KINDS, type KindId } from '#core/work';

/** A case being begun by hand, as it is written: details as words, by path, whatever kind they are of. */
export const NewCaseFormSchema = z.object({
  id: z.uuid(),
  kind: KindIdSchema,
  title: z.string(),
  number: z.string(),
  details: z.record(z.string(), z.string()),
  given: z.array(z.string()),
});
export type NewCaseForm = z.infer<typeof NewCaseFormSchema>;

/** A case of which nothing is written yet. */
export const emptyCase = (kind: KindId): NewCaseForm => ({
  ...{ id: crypto.randomUUID(), kind, title: '', number: '' },
  details: {},
  given: [],
});

/** Whether anything was written that would be a pity to lose. */
export const isWritten = ({ title, number, details, given }: NewCaseForm): boolean =>
  [title, number, ...Object.values(details), ...given].some((words) => words.trim() !== '');

const KIND_OF = new Map<string, string>(DETAILS.map(({ path, kind }) => [path, kind]));

/** Whether a detail is a day. */
export const isDay = (path: DetailPath): boolean => KIND_OF.get(path) === 'date';

/** The day on which a case is begun, and the language that days are written in (BCP 47). */
export interface Begun {
  today: CalendarDate;
  language: string;
}

function valueOf(path: DetailPath, words: string, { today, language }: Begun): Value | null {
  const text = words.trim();
  if (text === '') return null;
  if (!isDay(path)) return { kind: 'text', text };
  const date = readDate(text, today, language);
  return date ? { kind: 'date', date } : null;
}

/** How a detail is read that is typed in shorthand: "4 March 2026" for "4mar"; null where nothing is to be said. */
export function readBack(path: DetailPath, words: string, begun: Begun): string | null {
  const value = valueOf(path, words, begun);
  return value?.kind === 'date' ? dateInWords(value.date, 'long', begun.language) : null;
}

/** The details in which no day can be read, of those that the kind asks for. */
export const unread = ({ kind, details }: NewCaseForm, begun: Begun): DetailPath[] =>
  KINDS[kind].details.filter(
    (path) => (details[path] ?? '').trim() !== '' && valueOf(path, details[path]!, begun) === null,
  );

/**
 * What is sent of a case being begun: the details its kind asks for that something is written of. What was written for
 * another kind, before it was changed, is left out.
 */
export function toNewCase({ details, number, ...form }: NewCaseForm, begun: Begun): NewCase {
  return {
    ...form,
    number: number.trim() === '' ? null : number,
    details: KINDS[form.kind].details.flatMap((path) => {
      const value = valueOf(path, details[path] ?? '', begun);
      return value ? [{ path, value }] : [];
    }),
  };
}
