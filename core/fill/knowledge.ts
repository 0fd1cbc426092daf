import type { CalendarDate } from '#core/calendar';
import type { Answer, Placement } from '#core/draft';
import {
  formulaOf,
  type ChoiceField,
  type ComputedField,
  type Condition,
  type Field,
  type NamedCondition,
} from '#core/entry';
import {
  evaluate,
  readFormula,
  type Amount,
  type FormulaError,
  type FormulaValue,
  type NamedValue,
} from '#core/formula';
import { converted, isSameUnit } from '#core/units';
import { isAnswered } from './isAnswered';
import { pickedIn } from './picking';
import { wordsOf } from './wordsOf';

/** What filling goes by: the fields, what was answered, when passages stand, and the day it is filled for. */
export interface KnowledgeSource {
  fields: readonly Field[];
  answerTo: (field: Field) => Answer | undefined;
  conditions: readonly NamedCondition[];
  day: CalendarDate;
  language: string;
}

interface FieldIndex {
  /** Where each stands in the list, by its id. */
  places: ReadonlyMap<string, number>;
  byId: ReadonlyMap<string, Field>;
  byName: ReadonlyMap<string, Field>;
}

// Fields do not change once they are made: what finds them holds as long as their list lives.
const indexes = new WeakMap<readonly Field[], FieldIndex>();

function indexOf(fields: readonly Field[]): FieldIndex {
  let index = indexes.get(fields);
  if (!index) {
    // Where two share a name the first counts: written last here.
    const reversed = [...fields].reverse();
    index = {
      places: new Map(reversed.map(({ id }, at) => [id, fields.length - 1 - at])),
      byId: new Map(reversed.map((field) => [field.id, field])),
      byName: new Map(reversed.map((field) => [field.name.toLocaleLowerCase(), field])),
    };
    indexes.set(fields, index);
  }
  return index;
}

/** Where each field stands in the list, by its id: the first, if two have the same. */
export const placesOf = (fields: readonly Field[]): ReadonlyMap<string, number> => indexOf(fields).places;

/** A field by its id, else by its name, capitals ignored; null when there is none such. */
export const findField = (fields: readonly Field[], idOrName: string): Field | null =>
  foundIn(indexOf(fields), idOrName);

const foundIn = ({ byId, byName }: FieldIndex, idOrName: string): Field | null =>
  byId.get(idOrName) ?? byName.get(idOrName.toLocaleLowerCase()) ?? null;

const labelsOf = (field: ChoiceField, answer: Extract<Answer, { kind: 'chosen' }>): string[] => [
  ...field.options.filter(({ id }) => answer.options.includes(id)).map(({ label }) => label),
  ...(answer.other ? [answer.other] : []),
];

const unitOfField = (field: Field): string =>
  field.kind === 'number' || field.kind === 'computed' ? field.unit : '';

const amount = (value: number, unit: string): FormulaValue =>
  unit === '' ? { kind: 'number', value } : { kind: 'number', value, unit };

function detailValue(answer: Extract<Answer, { kind: 'detail' }>): FormulaValue {
  const { value } = answer;
  if (value.kind === 'quantity') return amount(value.value, value.unit);
  return value.kind === 'list' ? { kind: 'list', items: value.items } : value;
}

/** An answer as the value a formula gets. */
function valueOfAnswer(field: Field, answer: Answer, language: string): FormulaValue {
  switch (answer.kind) {
    case 'number':
      return amount(answer.value, answer.unit ?? unitOfField(field));
    case 'chosen': {
      const labels = field.kind === 'choice' ? labelsOf(field, answer) : [];
      if (field.kind === 'choice' && field.many) return { kind: 'list', items: labels };
      return { kind: 'text', text: labels[0] ?? '' };
    }
    case 'date':
      return { kind: 'date', date: answer.date };
    case 'yes-no':
      return { kind: 'yes-no', yes: answer.yes };
    case 'text':
      return { kind: 'text', text: answer.text };
    case 'detail':
      return detailValue(answer);
    default:
      return { kind: 'text', text: wordsOf(field, answer, 'as-is', language) };
  }
}

/**
 * An amount in the unit that its field is written in; in its own where the field names none. The fault where the two do not
 * measure the same thing, or where it was multiplied by hand and would be converted besides.
 */
function inFieldUnit(amount: Amount, field: ComputedField): Computed {
  const { value, unit, difference, scaled } = amount;
  if (unit === undefined) return { answer: { kind: 'number', value } };
  if (field.unit === '') return { answer: { kind: 'number', value, unit } };
  const made = converted(value, unit, field.unit, difference);
  const place = { wanted: field.unit, found: unit, from: 0, to: 0 };
  if (made === null) return { error: { code: 'units-differ', ...place } };
  if (scaled && !isSameUnit(unit, field.unit)) return { error: { code: 'unit-by-hand', ...place } };
  return { answer: { kind: 'number', value: Number(made.toPrecision(12)) } };
}

/** A formula's value as the answer of the field that computes it; null for nothing. */
function answerOfValue(value: Exclude<FormulaValue, Amount>): Answer | null {
  switch (value.kind) {
    case 'date':
      return { kind: 'date', date: value.date };
    case 'yes-no':
      return { kind: 'yes-no', yes: value.yes };
    case 'text':
      return value.text === '' ? null : { kind: 'text', text: value.text };
    case 'list':
      return { kind: 'text', text: value.items.join(', ') };
    case 'empty':
      return null;
  }
}

/** What a computed field comes to: an answer, nothing, or why it has none. */
export type Computed = { answer: Answer | null } | { error: FormulaError };

/** What must be so for the optional passages of a condition to stand: of one that is named, or of an option; null where it is neither. */
export function conditionOf(conditions: readonly NamedCondition[], id: string): Condition | null {
  const named = conditions.find((condition) => condition.id === id);
  if (named || !id.includes('~')) return named?.when ?? null;
  const [field, option] = id.split('~');
  return { test: 'is', field: field!, value: option! };
}

/** What is known while one wording is filled: its answers, what is computed from them, and which passages stand. */
export class Knowledge {
  // Made when first needed: most fillings compute nothing, and one is made for every filling.
  private computed: Map<string, Computed> | null = null;
  private computing: Set<string> | null = null;
  private held: Map<string, boolean> | null = null;
  private index: FieldIndex | null = null;

  constructor(private readonly source: KnowledgeSource) {}

  get language(): string {
    return this.source.language;
  }

  /** The field of that id, or of that name; null when there is none. */
  field(idOrName: string): Field | null {
    return foundIn((this.index ??= indexOf(this.source.fields)), idOrName);
  }

  /** What fills a field: what was given, else what is computed; undefined when it is still open. */
  answerTo(field: Field): Answer | undefined {
    const given = this.source.answerTo(field);
    if (given !== undefined || field.kind !== 'computed') return given;
    const computed = this.compute(field);
    return 'answer' in computed ? (computed.answer ?? undefined) : undefined;
  }

  /** What a computed field comes to, whatever was given in its place. */
  compute(field: ComputedField): Computed {
    this.computed ??= new Map();
    let computed = this.computed.get(field.id);
    if (!computed) this.computed.set(field.id, (computed = this.computeAnew(field)));
    return computed;
  }

  private computeAnew(field: ComputedField): Computed {
    const source = formulaOf(field.calculation, (id) => this.field(id)?.name ?? id);
    const read = readFormula(source);
    if (!read.ok) return { error: read.error };
    const computing = (this.computing ??= new Set());
    computing.add(field.id);
    const { day, language } = this.source;
    const result = evaluate(read.value, { today: day, language, valueOf: (name) => this.named(name) });
    computing.delete(field.id);
    if (!result.ok) return { error: result.error };
    const { value } = result;
    return value.kind === 'number' ? inFieldUnit(value, field) : { answer: answerOfValue(value) };
  }

  /** What a name in a formula stands for. A ring of fields is refused when it is made; here it has no answer. */
  private named(name: string): NamedValue {
    const field = this.field(name);
    if (!field) return null;
    if (this.computing?.has(field.id)) return { missing: field.id };
    const answer = this.answerTo(field);
    if (isAnswered(field, answer)) return { value: valueOfAnswer(field, answer, this.language) };
    return field.required ? { missing: field.id } : { value: { kind: 'empty' } };
  }

  /**
   * Whether the optional passages of a condition stand. `field~option` is a condition of its own: that this option
   * is chosen. An unknown condition holds, so that no words are lost by it.
   */
  holds(id: string): boolean {
    this.held ??= new Map();
    let held = this.held.get(id);
    if (held === undefined) {
      held = this.meets(conditionOf(this.source.conditions, id));
      this.held.set(id, held);
    }
    return held;
  }

  /** Whether a condition holds; null, one that is not known, does. */
  meets(condition: Condition | null): boolean {
    if (condition === null) return true;
    if ('of' in condition) {
      return condition.test === 'all'
        ? condition.of.every((one) => this.meets(one))
        : condition.of.some((one) => this.meets(one));
    }
    const field = this.field(condition.field);
    const answer = field ? this.answerTo(field) : undefined;
    const answered = field !== null && isAnswered(field, answer);
    if (condition.test === 'answered' || condition.test === 'unanswered')
      return answered === (condition.test === 'answered');
    if (!answered) return false;
    switch (condition.test) {
      case 'is':
        return this.is(field, answer, condition.value);
      case 'is-not':
        return !this.is(field, answer, condition.value);
      default:
        return compares(valueOfAnswer(field, answer, this.language), condition);
    }
  }

  private is(field: Field, answer: Answer, value: string): boolean {
    const picked = pickedIn(answer);
    if (picked.length > 0) return picked.includes(value);
    const found = valueOfAnswer(field, answer, this.language);
    const words =
      found.kind === 'list' ? found.items : [wordsOf(field, answer, 'as-is', this.language, this)];
    return words.some((word) => word.toLocaleLowerCase() === value.trim().toLocaleLowerCase());
  }
}

type Measured = Extract<
  Condition,
  { value: number | string; test: 'over' | 'at-least' | 'under' | 'at-most' }
>;

function compares(found: FormulaValue, { test, value }: Measured): boolean {
  const order = orderOf(found, value);
  if (order === null) return false;
  if (test === 'over') return order > 0;
  if (test === 'under') return order < 0;
  return test === 'at-least' ? order >= 0 : order <= 0;
}

/** How a value stands to a limit; null when the two cannot be compared. Dates compare as their writing does. */
function orderOf(found: FormulaValue, limit: number | string): number | null {
  if (found.kind === 'number' && typeof limit === 'number') return found.value - limit;
  if (found.kind === 'date' && typeof limit === 'string') return found.date.localeCompare(limit);
  if (found.kind === 'list' && typeof limit === 'number') return found.items.length - limit;
  return null;
}

const ofPlacement = new WeakMap<Placement, Knowledge>();

/** What is known in a placement. A placement does not change, so it is worked out once. */
export function knowledgeOf(placement: Placement): Knowledge {
  let known = ofPlacement.get(placement);
  if (!known) {
    const { fields, answers, conditions = [], language } = placement;
    known = new Knowledge({
      fields,
      conditions,
      language,
      answerTo: (field) => answers[field.id],
      // Placed before days were kept: a day that is on the calendar, and none of it is computed.
      day: placement.day ?? '2000-01-01',
    });
    ofPlacement.set(placement, known);
  }
  return known;
}
