import { dateInWords, DATE_FORMS, timeInWords, type DateForm } from '#core/calendar';
import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import { numberWords, PERSON_FORMS, personWords, withArticle, type PersonForm } from '#core/language';
import type { BlankForm } from '#core/passage';
import { isNone } from './picking';
import { figures, joinAsProse, valueInWords, type Value } from '#core/record';

const isDateForm = (form: BlankForm): form is DateForm & BlankForm =>
  (DATE_FORMS as readonly string[]).includes(form);
const dateForm = (form: BlankForm): DateForm => (isDateForm(form) ? form : 'long');

const isPersonForm = (form: BlankForm): form is PersonForm & BlankForm =>
  (PERSON_FORMS as readonly string[]).includes(form);
const personForm = (form: BlankForm): PersonForm => (isPersonForm(form) ? form : 'they');

type Chosen = Extract<Answer, { kind: 'chosen' }>;

function chosenWords(field: Field, { options, other = '' }: Chosen, language: string): string {
  if (field.kind !== 'choice') return '';
  const picked = field.options.filter((option) => options.includes(option.id));
  const own = field.other ? [other] : [];
  const words = [...picked.map((option) => option.words ?? option.label), ...own]
    .map((word) => word.trim())
    .filter((word) => word !== '');
  if (picked.length === 0 && words.length === 0) return isNone({ options, other }) ? (field.none ?? '') : '';
  return field.join === 'lines' ? words.join('\n') : joinAsProse(words, field.join, language);
}

/** Units that stand close to their number. */
const CLOSE = '%‰°';

/** A number with its unit, both as the blank wants them. */
function withUnit(figuresOrWords: string, unit: string, form: BlankForm): string {
  if (unit === '' || form === 'no-unit') return figuresOrWords;
  const close = unit.length === 1 && CLOSE.includes(unit) && form !== 'words';
  return close ? figuresOrWords + unit : `${figuresOrWords} ${unit}`;
}

/** A number in words where the blank wants that and the language has them, else null: figures it is. */
const asWords = (value: number, form: BlankForm, language: string): string | null =>
  form === 'words' ? numberWords(value, language) : null;

function detailWords(value: Value, form: BlankForm, language: string): string {
  if (value.kind !== 'quantity') return valueInWords(value, language, dateForm(form));
  const number = asWords(value.value, form, language) ?? figures(value.value, language);
  return withUnit(number, value.unit, form);
}

function numberAnswer(field: Field, value: number, form: BlankForm, language: string): string {
  if (field.kind !== 'number') return '';
  const number = asWords(value, form, language) ?? figures(value, language, field.decimals);
  return withUnit(number, field.unit, form);
}

function yesNoWords(field: Field, yes: boolean): string {
  if (field.kind !== 'yes-no') return '';
  return (yes ? field.yes : field.no).trim();
}

/** Words typed stand only where words are asked for: given to a date or a number they are what could not be read. */
const typedWords = (field: Field, text: string): string =>
  field.kind === 'text' || field.kind === 'detail' ? text.trim() : '';

/** The words of an answer before the blank's own case or article; '' when the field cannot hold such an answer. */
function plainWords(field: Field, answer: Answer, form: BlankForm, language: string): string {
  switch (answer.kind) {
    case 'text':
      return typedWords(field, answer.text);
    case 'chosen':
      return chosenWords(field, answer, language);
    case 'date':
      return dateInWords(answer.date, dateForm(form), language);
    case 'time':
      return timeInWords(answer.time, form === 'clock-12' ? '12' : '24');
    case 'number':
      return numberAnswer(field, answer.value, form, language);
    case 'yes-no':
      return yesNoWords(field, answer.yes);
    case 'person':
      return personWords(answer.person, personForm(form));
    case 'detail':
      return detailWords(answer.value, form, language);
  }
}

/**
 * The words an answer puts into a blank of the given form and language; '' when there is no answer, or none
 * that the field can hold. Several choices come in the order of the field's options, joined as prose.
 */
export function wordsOf(field: Field, answer: Answer | undefined, form: BlankForm, language: string): string {
  if (!answer) return '';
  const words = plainWords(field, answer, form, language);
  switch (form) {
    case 'upper':
      return words.toLocaleUpperCase();
    case 'capital':
      return words.replace(/\p{L}/u, (letter) => letter.toLocaleUpperCase());
    case 'article':
      return withArticle(words, language);
    default:
      return words;
  }
}
