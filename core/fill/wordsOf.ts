import type { DateForm } from '#core/calendar';
import type { Answer } from '#core/draft';
import type { Field } from '#core/entry';
import type { BlankForm } from '#core/passage';
import { joinAsProse, valueInWords } from '#core/record';

const DATE_FORMS: ReadonlySet<string> = new Set<DateForm>(['long', 'short', 'iso', 'year']);
const dateForm = (form: BlankForm): DateForm => (DATE_FORMS.has(form) ? (form as DateForm) : 'long');

function chosenWords(field: Field, chosen: readonly string[], language: string): string {
  if (field.kind !== 'choice') return '';
  const picked = field.options.filter((option) => chosen.includes(option.id));
  const words = picked.map((option) => (option.words ?? option.label).trim()).filter((word) => word !== '');
  return joinAsProse(words, field.join, language);
}

const inCase = (text: string, form: BlankForm): string => {
  if (form === 'upper') return text.toLocaleUpperCase();
  return form === 'capital' ? text.replace(/\p{L}/u, (letter) => letter.toLocaleUpperCase()) : text;
};

/**
 * The words an answer puts into a blank of the given form and language; '' when there is no answer. Several
 * choices come in the order of the field's options, joined as prose.
 */
export function wordsOf(field: Field, answer: Answer | undefined, form: BlankForm, language: string): string {
  if (!answer) return '';
  switch (answer.kind) {
    case 'text':
      return inCase(answer.text.trim(), form);
    case 'chosen':
      return inCase(chosenWords(field, answer.options, language), form);
    case 'detail':
      return inCase(valueInWords(answer.value, language, dateForm(form)), form);
  }
}
