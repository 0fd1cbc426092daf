import { z } from 'zod';
import type { NewCase } from '#contracts';
import { readDetail, type DetailPath, type Written } from '#core/record';
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

/** The details in which no day can be read, of those that the kind asks for. */
export const unread = ({ kind, details }: NewCaseForm, begun: Written): DetailPath[] =>
  KINDS[kind].details.filter(
    (path) => (details[path] ?? '').trim() !== '' && readDetail(path, details[path]!, begun) === null,
  );

/**
 * What is sent of a case being begun: the details its kind asks for that something is written of. What was written for
 * another kind, before it was changed, is left out.
 */
export function toNewCase({ details, number, ...form }: NewCaseForm, begun: Written): NewCase {
  return {
    ...form,
    number: number.trim() === '' ? null : number,
    details: KINDS[form.kind].details.flatMap((path) => {
      const value = readDetail(path, details[path] ?? '', begun);
      return value ? [{ path, value }] : [];
    }),
  };
}

/** A case being begun with details that were found, and what became of each. */
export interface WithDetails {
  form: NewCaseForm;
  taken: string[];
  stood: string[];
  left: string[];
}

/**
 * Puts details that were found into a case being begun, where nothing is written yet: those its kind asks for, its number, and what
 * it is called, by the name that was found.
 */
export function withDetails(form: NewCaseForm, found: ReadonlyMap<DetailPath, string>): WithDetails {
  const asked = new Set<string>(KINDS[form.kind].details);
  const details = { ...form.details };
  const result = { taken: [] as string[], stood: [] as string[], left: [] as string[] };
  let { number, title } = form;
  for (const [path, words] of found) {
    if (path === 'number' && number.trim() === '') number = words.slice(0, 60);
    else if (asked.has(path) && (details[path] ?? '').trim() === '') details[path] = words;
    else {
      (path === 'number' || asked.has(path) ? result.stood : result.left).push(path);
      continue;
    }
    result.taken.push(path);
  }
  if (title.trim() === '') title = (found.get('name') ?? found.get('topic') ?? '').slice(0, 200);
  return { ...result, form: { ...form, number, title, details } };
}
