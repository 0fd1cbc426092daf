import { CalendarDateSchema } from '#core/calendar';
import { MEASURES, type Condition, type Field } from '#core/entry';
import { Cursor } from './cursor';
import { quoted } from './escapes';
import { idNamed, nameFor } from './names';
import { after, refuse, type SourceLine } from './sourceLine';

const MEASURE_WORDS: Record<(typeof MEASURES)[number], string> = {
  over: 'is over',
  'at-least': 'is at least',
  under: 'is under',
  'at-most': 'is at most',
};

const labelled = (field: Field | undefined, id: string) =>
  field?.kind === 'choice' ? field.options.find((option) => option.id === id) : undefined;

/** An option by its label where that finds it again, other values as they are. */
function valueText(field: Field | undefined, value: string): string {
  const option = labelled(field, value);
  if (!option || field?.kind !== 'choice') {
    const misread = field?.kind === 'choice' && field.options.some(({ label }) => label === value);
    return misread ? `#${quoted(value)}` : quoted(value);
  }
  const first = field.options.find(({ label }) => label === option.label);
  return first === option ? quoted(option.label) : `#${quoted(value)}`;
}

/** A condition as text: `Appetite is "none"`, `all(Weight is over 3; Plan is answered)`. */
export function writeCondition(condition: Condition, fields: readonly Field[]): string {
  if ('of' in condition)
    return `${condition.test}(${condition.of.map((one) => writeCondition(one, fields)).join('; ')})`;
  const name = quoted(nameFor(fields, condition.field));
  const field = fields.find(({ id }) => id === condition.field);
  switch (condition.test) {
    case 'answered':
    case 'unanswered':
      return `${name} is ${condition.test}`;
    case 'is':
      return `${name} is ${valueText(field, condition.value)}`;
    case 'is-not':
      return `${name} is not ${valueText(field, condition.value)}`;
    default:
      return `${name} ${MEASURE_WORDS[condition.test]} ${condition.value}`;
  }
}

const DEEPEST = 8;

class ConditionReader {
  private readonly cursor: Cursor;

  constructor(
    private readonly source: SourceLine,
    private readonly fields: readonly Field[],
  ) {
    this.cursor = new Cursor(source);
  }

  get length(): number {
    return this.cursor.at;
  }

  condition(depth = 0): Condition {
    if (depth > DEEPEST) refuse(this.source, this.cursor.at, { code: 'too-deep' });
    this.cursor.spaces();
    if (this.cursor.take(/\(/) !== null) {
      const inner = this.condition(depth + 1);
      this.cursor.must(')');
      return inner;
    }
    const test = this.cursor.take(/(all|any)(?=\()/);
    if (test === 'all' || test === 'any') {
      this.cursor.must('(');
      const of = [this.condition(depth + 1)];
      while (this.cursor.spaces().take(/;/) !== null) of.push(this.condition(depth + 1));
      this.cursor.must(')');
      return { test, of };
    }
    return this.simple();
  }

  private simple(): Condition {
    const at = this.cursor.spaces().at;
    const name = this.cursor.quoted() ?? this.cursor.take(/[^"();]+?(?= is )/)?.trim() ?? '';
    const field = idNamed(this.fields, name);
    if (name === '') this.cursor.wanted('a test, such as Appetite is "none"');
    if (field === undefined) refuse(this.source, at, { code: 'field-unknown', found: name });
    this.cursor.must('is');
    return this.tested(field);
  }

  private tested(field: string): Condition {
    const { cursor } = this;
    const at = cursor.spaces().at;
    const state = cursor.take(/(answered|unanswered)\b/);
    if (state === 'answered' || state === 'unanswered') return { test: state, field };
    const measure = MEASURES.find((one) => cursor.take(new RegExp(`${one.replace('-', ' ')}\\b`)) !== null);
    if (measure) return { test: measure, field, value: this.limit() };
    const test = cursor.take(/not\b/) === null ? 'is' : 'is-not';
    cursor.spaces();
    const raw = cursor.take(/#(?=")/) !== null;
    const value = cursor.quoted();
    if (value === null)
      refuse(this.source, at, { code: 'test-unknown', found: cursor.rest.split(/[;)]/)[0]!.trim() });
    return { test, field, value: raw ? value : this.valueFor(field, value) };
  }

  private limit(): number | string {
    this.cursor.spaces();
    const date = this.cursor.take(/\d{4}-\d{2}-\d{2}/);
    if (date === null) return this.cursor.number();
    if (!CalendarDateSchema.safeParse(date).success) this.cursor.wanted('a date that there is');
    return date;
  }

  /** An option's id from its label; any other value as it is. */
  private valueFor(id: string, value: string): string {
    const field = this.fields.find((one) => one.id === id);
    if (field?.kind !== 'choice') return value;
    return field.options.find(({ label }) => label === value)?.id ?? value;
  }
}

/**
 * Reads a condition from the start of a line; what follows it is left. Throws a NotationFault at the character that
 * does not fit.
 */
export function readCondition(
  source: SourceLine,
  fields: readonly Field[],
): { condition: Condition; length: number } {
  const reader = new ConditionReader(source, fields);
  const condition = reader.condition();
  return { condition, length: reader.length };
}

/** Reads a condition that takes the whole of what is left of a line. */
export function readWholeCondition(source: SourceLine, fields: readonly Field[]): Condition {
  const { condition, length } = readCondition(source, fields);
  new Cursor(after(source, length)).end();
  return condition;
}
