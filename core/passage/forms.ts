import { DATE_FORMS } from '#core/calendar';
import { PERSON_FORMS } from '#core/language';

/**
 * How a blank writes its answer. For all: as it is, with a capital, in capitals, with "a" or "an" before it.
 * For numbers: in words, without their unit, or the "s" of a plural alone. For times: on a clock of twelve hours.
 * Silent: asked at this place, but nothing is written. For lists: each item on a line, as bullets, as a table; for
 * amounts of a record: with the day they were measured. Then for dates; and last for person words, named by what they
 * read like for "they".
 */
export const BLANK_FORMS = [
  'as-is',
  'capital',
  'upper',
  'article',
  'words',
  'no-unit',
  'clock-12',
  'silent',
  'plural',
  'lines',
  'bullets',
  'table',
  'dated',
  ...DATE_FORMS,
  ...PERSON_FORMS,
] as const;
/** A form in which a blank writes its answer. */
export type BlankForm = (typeof BLANK_FORMS)[number];

/** On which sides something that shows no words took a space away. */
export const DROPPED = ['none', 'before', 'after', 'both'] as const;
/** On which sides a space was taken away. */
export type DroppedSpace = (typeof DROPPED)[number];

/** How a number of a list is written: 1, 01, a, A, i, I, one, One. */
export const NUMBER_FORMS = ['1', '01', 'a', 'A', 'i', 'I', 'one', 'One'] as const;
/** A form in which a number of a list is written. */
export type NumberForm = (typeof NUMBER_FORMS)[number];
