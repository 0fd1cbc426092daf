import { dateInWords } from '#core/calendar';
import type { Condition, Measure } from './condition';
import type { ChoiceField, Field } from './field';

/** How a comparison with a number is said, and one with a day. */
export const MEASURE_WORDS: Record<Measure, string> = {
  over: 'is over',
  'at-least': 'is at least',
  under: 'is under',
  'at-most': 'is at most',
};

/** How tests of days are said. */
export const DAY_WORDS: Record<Measure, string> = {
  over: 'is after',
  'at-least': 'is on or after',
  under: 'is before',
  'at-most': 'is on or before',
};

/** What "none of these" is called in a condition, as in an answer. */
const NONE = '~none';

const optionName = (field: ChoiceField, value: string) =>
  value === NONE ? 'none of these' : (field.options.find(({ id }) => id === value)?.label ?? value);

/**
 * A condition as a person would say it: "Appetite is none and (Days in care is over 14 or Weight is answered)". A
 * field that is gone is called by its id.
 */
export function conditionInWords(condition: Condition, fields: readonly Field[], nested = false): string {
  if ('of' in condition) {
    const joined = condition.of
      .map((one) => conditionInWords(one, fields, true))
      .join(condition.test === 'all' ? ' and ' : ' or ');
    return nested && condition.of.length > 1 ? `(${joined})` : joined;
  }
  const field = fields.find(({ id }) => id === condition.field);
  const name = field?.name ?? condition.field;
  switch (condition.test) {
    case 'answered':
      return `${name} is answered`;
    case 'unanswered':
      return `${name} is not answered`;
    case 'is':
    case 'is-not': {
      const value = field?.kind === 'choice' ? optionName(field, condition.value) : condition.value;
      return `${name} is ${condition.test === 'is' ? '' : 'not '}${value}`;
    }
    default:
      return typeof condition.value === 'number'
        ? `${name} ${MEASURE_WORDS[condition.test]} ${condition.value}`
        : `${name} ${DAY_WORDS[condition.test]} ${dateInWords(condition.value, 'long', 'en-GB')}`;
  }
}
