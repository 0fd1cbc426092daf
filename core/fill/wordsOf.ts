import { dateInWords, DATE_FORMS, timeInWords, type DateForm } from '#core/calendar';
import type { Answer } from '#core/draft';
import { nestedBlanks, type ChoiceField, type Field } from '#core/entry';
import {
  numberWords,
  PERSON_FORMS,
  personWords,
  withArticle,
  withCapital,
  type PersonForm,
} from '#core/language';
import type { BlankForm } from '#core/passage';
import { typedWords } from './isAnswered';
import { isNone } from './picking';
import { figures, joinAsProse, valueInWords } from '#core/record';

const dateForms: ReadonlySet<string> = new Set(DATE_FORMS);
const isDateForm = (form: BlankForm): form is DateForm & BlankForm => dateForms.has(form);
const dateForm = (form: BlankForm): DateForm => (isDateForm(form) ? form : 'long');

const isPersonForm = (form: BlankForm): form is PersonForm & BlankForm =>
  (PERSON_FORMS as readonly string[]).includes(form);
const personForm = (form: BlankForm): PersonForm => (isPersonForm(form) ? form : 'they');

type Chosen = Extract<Answer, { kind: 'chosen' }>;
type Detail = Extract<Answer, { kind: 'detail' }>;

/** What answers the blanks that an option's or an alternate's own words hold: `Knowledge`, seen from here. */
interface AnswerSource {
  language: string;
  field: (idOrName: string) => Field | null;
  answerTo: (field: Field) => Answer | undefined;
}

/** Words within words within words go this deep; deeper they are left out, which ends any ring of them. */
const DEEPEST = 4;

/** Stands for a blank within words that has no answer yet. */
const OPEN = '…';

/** Words that may hold blanks, with the answers in them. */
function filled(words: string, know: AnswerSource | undefined, depth: number): string {
  if (!know || !words.includes('{')) return words;
  return nestedBlanks(words)
    .map((piece) => {
      if ('words' in piece) return piece.words;
      const field = know.field(piece.field);
      if (!field) return `{${piece.field}}`;
      if (depth >= DEEPEST) return '';
      const answer = know.answerTo(field);
      const found = answer ? wordsAt(field, answer, piece.form, know.language, know, depth + 1) : '';
      return found === '' && field.required ? OPEN : found;
    })
    .join('')
    .replace(/ {2,}/g, ' ')
    .replace(/ (?=[,.;:!?])/g, '');
}

interface Writing {
  form: BlankForm;
  language: string;
  know: AnswerSource | undefined;
  depth: number;
}

/** An option as it is put down. */
interface OptionAsPut {
  id: string;
  /** Its words, without space around them. */
  words: string;
  hasBlanks: boolean;
}

const asPut = new WeakMap<ChoiceField, readonly OptionAsPut[]>();

// A field does not change once it is made.
function optionsAsPut(field: ChoiceField): readonly OptionAsPut[] {
  let options = asPut.get(field);
  if (!options) {
    options = field.options.map(({ id, words, label }) => {
      const put = (words ?? label).trim();
      return { id, words: put, hasBlanks: put.includes('{') };
    });
    asPut.set(field, options);
  }
  return options;
}

function chosenWords(
  field: Field,
  { options, other = '' }: Chosen,
  { form, language, know, depth }: Writing,
): string {
  if (field.kind !== 'choice') return '';
  const words: string[] = [];
  let isPicked = false;
  for (const option of optionsAsPut(field)) {
    if (!options.includes(option.id)) continue;
    isPicked = true;
    const word = option.hasBlanks ? filled(option.words, know, depth).trim() : option.words;
    if (word !== '') words.push(word);
  }
  if (field.other && other.trim() !== '') words.push(other.trim());
  if (!isPicked && words.length === 0)
    return isNone({ options, other }) ? filled(field.none ?? '', know, depth) : '';
  if (field.join === 'lines' || form === 'lines') return words.join('\n');
  return joinAsProse(words, field.join, language);
}

/** Units that stand close to their number. */
const CLOSE = '%‰°';

/** The plural categories of CLDR in the order in which a unit's words are written: "dose|doses". */
const CATEGORIES: readonly Intl.LDMLPluralRule[] = ['zero', 'one', 'two', 'few', 'many', 'other'];
const pluralRules = new Map<string, { rules: Intl.PluralRules; used: Intl.LDMLPluralRule[] }>();

/** The word among several that goes with a number, by the plural rules of the language; the last where there are too few. */
function wordFor(value: number, words: readonly string[], language: string): string {
  let known = pluralRules.get(language);
  if (!known) {
    const rules = new Intl.PluralRules(language);
    const { pluralCategories } = rules.resolvedOptions();
    known = { rules, used: CATEGORIES.filter((one) => pluralCategories.includes(one)) };
    pluralRules.set(language, known);
  }
  const category = known.rules.select(value);
  // Two words are always one and the rest, in whatever language.
  const at = words.length === 2 ? (category === 'one' ? 0 : 1) : known.used.indexOf(category);
  return words[at] ?? words[words.length - 1] ?? '';
}

const unitFor = (value: number, unit: string, language: string): string =>
  unit.includes('|')
    ? wordFor(
        value,
        unit.split('|').map((word) => word.trim()),
        language,
      )
    : unit;

/** A number with its unit, both as the blank wants them. */
function withUnit(figuresOrWords: string, unit: string, form: BlankForm): string {
  if (unit === '' || form === 'no-unit') return figuresOrWords;
  const close = unit.length === 1 && CLOSE.includes(unit) && form !== 'words';
  return close ? figuresOrWords + unit : `${figuresOrWords} ${unit}`;
}

/** A number in words where the blank wants that and the language has them, else null: figures it is. */
const asWords = (value: number, form: BlankForm, language: string): string | null =>
  form === 'words' ? numberWords(value, language) : null;

/** The "s" that a number's noun takes in the plural, or nothing. */
const pluralEnding = (value: number, language: string): string => wordFor(value, ['', 's'], language);

/** The words of a detail in a blank of such a form, but for what `reshapes` names. */
export function detailWords(
  { value, asOf }: Pick<Detail, 'value' | 'asOf'>,
  form: BlankForm,
  language: string,
): string {
  // Nearly all details are words, and no form of a day concerns them.
  if (value.kind === 'text') return value.text;
  if (value.kind === 'list' && form === 'lines') return value.items.join('\n');
  if (value.kind !== 'quantity') return valueInWords(value, language, dateForm(form));
  if (form === 'plural') return pluralEnding(value.value, language);
  const number = asWords(value.value, form, language) ?? figures(value.value, language);
  const amount = withUnit(number, unitFor(value.value, value.unit, language), form);
  return form === 'dated' && asOf ? `${amount} (${dateInWords(asOf, 'long', language)})` : amount;
}

function numberAnswer(
  field: Field,
  { value, unit }: Extract<Answer, { kind: 'number' }>,
  { form, language }: Writing,
): string {
  const isNumber = field.kind === 'number' || field.kind === 'computed';
  // A detail of a record may be an amount that somebody gave in its place.
  if (!isNumber && field.kind !== 'detail') return '';
  if (form === 'plural') return pluralEnding(value, language);
  const decimals = isNumber ? field.decimals : null;
  const number = asWords(value, form, language) ?? figures(value, language, decimals);
  return withUnit(number, unitFor(value, unit ?? (isNumber ? field.unit : ''), language), form);
}

function yesNoWords(field: Field, yes: boolean, { know, depth }: Writing): string {
  if (field.kind === 'computed') return yes ? 'yes' : 'no';
  if (field.kind !== 'yes-no') return '';
  return filled((yes ? field.yes : field.no).trim(), know, depth);
}

function alternateWords(field: Field, index: number, { know, depth }: Writing): string {
  if (field.kind !== 'alternates') return '';
  return filled((field.alternates[index] ?? field.alternates[0])?.words.trim() ?? '', know, depth);
}

/** The words of an answer before the blank's own case or article; '' when the field cannot hold such an answer. */
function plainWords(field: Field, answer: Answer, writing: Writing): string {
  const { form, language } = writing;
  switch (answer.kind) {
    case 'text':
      return typedWords(field, answer.text);
    case 'chosen':
      return chosenWords(field, answer, writing);
    case 'date':
      return dateInWords(answer.date, dateForm(form), language);
    case 'time':
      return timeInWords(answer.time, form === 'clock-12' ? '12' : '24');
    case 'number':
      return numberAnswer(field, answer, writing);
    case 'yes-no':
      return yesNoWords(field, answer.yes, writing);
    case 'person':
      return personWords(answer.person, personForm(form));
    case 'alternate':
      return alternateWords(field, answer.index, writing);
    case 'detail':
      return detailWords(answer, form, language);
  }
}

/** The forms that change the words of an answer, whatever its kind. */
const RESHAPING: ReadonlySet<BlankForm> = new Set(['silent', 'upper', 'capital', 'article']);

export const reshapes = (form: BlankForm): boolean => RESHAPING.has(form);

function wordsAt(
  field: Field,
  answer: Answer,
  form: BlankForm,
  language: string,
  know: AnswerSource | undefined,
  depth: number,
): string {
  if (form === 'silent') return '';
  const words = plainWords(field, answer, { form, language, know, depth });
  switch (form) {
    case 'upper':
      return words.toLocaleUpperCase();
    case 'capital':
      return withCapital(words);
    case 'article':
      return withArticle(words, language);
    default:
      return words;
  }
}

/**
 * The words an answer puts into a blank of the given form and language; '' when there is no answer, or none
 * that the field can hold. Several choices come in the order of the field's options, joined as prose. `know`
 * answers the blanks that an option's or an alternate's own words hold.
 */
export function wordsOf(
  field: Field,
  answer: Answer | undefined,
  form: BlankForm,
  language: string,
  know?: AnswerSource,
): string {
  return answer ? wordsAt(field, answer, form, language, know, 0) : '';
}
