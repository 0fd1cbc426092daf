import { PERSON_FORMS } from '#core/language';
import type { BlankForm } from './forms';

/** Ends of words that follow an answer. */
const ENDINGS: Partial<Record<BlankForm, string>> = { plural: '-s', 'verb-s': '-s' };
const OF_PERSONS: ReadonlySet<string> = new Set(PERSON_FORMS);

/**
 * What a blank of a wording is called where the wording is read or written: its field's name, or, where one field is written in
 * several forms, the form that stands there ("they", "have", "-s"), so that the sentence reads as one.
 */
export const blankLabel = (name: string, form: BlankForm): string =>
  ENDINGS[form] ?? (OF_PERSONS.has(form) ? form : name);
