import { addDays, daysBetween } from '#core/calendar';
import { addAmounts, divideAmounts, inUnitOf, multiplyAmounts, tellingUnit } from './amounts';
import { dateFrom, DATE_FUNCTIONS } from './dateFunctions';
import { FormulaFault, type FormulaError, type FormulaSpan } from './formulaError';
import {
  LONGEST_TEXT,
  number,
  numberOf,
  sound,
  text,
  textOf,
  wrongKind,
  yesNo,
  yesOf,
  type FormulaValue,
  type PlacedValue,
} from './formulaValue';
import type { FormulaFunction, Surroundings } from './functions';
import { NUMBER_FUNCTIONS } from './numberFunctions';
import { parseFormula, type Expression } from './parse';
import { TEXT_FUNCTIONS } from './textFunctions';

/** What a name stands for: a value, a field without an answer yet, or null when there is no such field. */
export type NamedValue = { value: FormulaValue } | { missing: string } | null;

/** What a formula is worked out with: the values of fields, and the clock. */
export interface FormulaContext extends Surroundings {
  valueOf: (name: string) => NamedValue;
}

/** The value of a formula, or what is wrong with it and where. */
export type FormulaResult = { ok: true; value: FormulaValue } | { ok: false; error: FormulaError };

const FUNCTIONS = new Map<string, FormulaFunction>(
  Object.entries({ ...NUMBER_FUNCTIONS, ...DATE_FUNCTIONS, ...TEXT_FUNCTIONS }),
);

/** Functions that look at their arguments one by one, since some of them may not have a value. */
const LAZY: Record<string, { least: number; most: number }> = {
  AND: { least: 1, most: Infinity },
  CHOOSE: { least: 2, most: Infinity },
  FALSE: { least: 0, most: 0 },
  IF: { least: 2, most: 3 },
  IFERROR: { least: 2, most: 2 },
  ISBLANK: { least: 1, most: 1 },
  NOT: { least: 1, most: 1 },
  OR: { least: 1, most: Infinity },
  TRUE: { least: 0, most: 0 },
  XOR: { least: 1, most: Infinity },
};

/** The names of all functions, for help and for finding one that was misspelt. */
export const FUNCTION_NAMES: readonly string[] = [...FUNCTIONS.keys(), ...Object.keys(LAZY)].sort();

type Called = Extract<Expression, { type: 'call' }>;

/** The function that differs by a letter or two from one that does not exist. */
function nearestName(name: string): string | null {
  const common = (other: string) => {
    const left = Array.from(other);
    for (const letter of name) {
      const at = left.indexOf(letter);
      if (at >= 0) left.splice(at, 1);
    }
    return left.length + Math.max(0, name.length - other.length);
  };
  const near = FUNCTION_NAMES.filter((other) => other.charAt(0) === name.charAt(0) && common(other) <= 2);
  return near.sort((a, b) => common(a) - common(b))[0] ?? null;
}

/** Throws unless the function exists and is given as many arguments as it takes. */
function checkCall({ name, at, args }: Called): void {
  const known = FUNCTIONS.get(name) ?? LAZY[name];
  if (!known) throw new FormulaFault({ code: 'unknown-function', name, near: nearestName(name), ...at });
  const { least, most } = known;
  if (args.length < least || args.length > most) {
    throw new FormulaFault({ code: 'argument-count', name, least, most, given: args.length, ...at });
  }
}

/** The first call of a formula that cannot be made; null when all can. */
export function checkCalls(expression: Expression): FormulaError | null {
  const checked = guarded(() => eachCall(expression, checkCall));
  return checked.ok ? null : checked.error;
}

function eachCall(expression: Expression, visit: (call: Called) => void): void {
  switch (expression.type) {
    case 'call':
      visit(expression);
      return expression.args.forEach((arg) => eachCall(arg, visit));
    case 'sign':
      eachCall(expression.left, visit);
      return eachCall(expression.right, visit);
    case 'minus':
    case 'percent':
      return eachCall(expression.of, visit);
    default:
  }
}

const isEmpty = ({ kind }: FormulaValue) => kind === 'empty';

/** How two values stand to each other: below 0, 0, above 0; dates by day, words by the language's own order. */
function compare(left: PlacedValue, right: PlacedValue, around: Surroundings): number {
  const [a, b] = [left.value, right.value];
  if (a.kind === 'number' || (isEmpty(a) && b.kind === 'number')) {
    const like = tellingUnit([left, right]);
    return inUnitOf(left, like) - inUnitOf(right, like);
  }
  if (a.kind === 'date' && b.kind === 'date') return daysBetween(b.date, a.date);
  if (a.kind === 'yes-no' && b.kind === 'yes-no') return Number(a.yes) - Number(b.yes);
  if (a.kind === 'date' || a.kind === 'yes-no') return wrongKind(right, a.kind);
  const [x, y] = [textOf(left, around.language), textOf(right, around.language)];
  return x.localeCompare(y, around.language, { sensitivity: 'accent' });
}

const COMPARISONS: Record<string, (order: number) => boolean> = {
  '=': (order) => order === 0,
  '<>': (order) => order !== 0,
  '<': (order) => order < 0,
  '<=': (order) => order <= 0,
  '>': (order) => order > 0,
  '>=': (order) => order >= 0,
};

/** A list holds a word when one of its items is it; everything else by order. */
function holds(sign: string, left: PlacedValue, right: PlacedValue, around: Surroundings): boolean {
  const list = left.value.kind === 'list' ? left.value : null;
  if (list && (sign === '=' || sign === '<>')) {
    const wanted = textOf(right, around.language).toLocaleLowerCase();
    const has = list.items.some((item) => item.toLocaleLowerCase() === wanted);
    return has === (sign === '=');
  }
  return COMPARISONS[sign]!(compare(left, right, around));
}

/** A day moved by a number of days, or the days between two; null when neither side is a date. */
function dateArithmetic(
  sign: string,
  left: PlacedValue,
  right: PlacedValue,
  at: FormulaSpan,
): FormulaValue | null {
  const [a, b] = [left.value, right.value];
  if (a.kind === 'date' && b.kind === 'date' && sign === '-') return number(daysBetween(b.date, a.date));
  if (a.kind === 'date') {
    const days = Math.trunc(numberOf(right));
    return dateFrom(() => addDays(a.date, sign === '-' ? -days : days), at);
  }
  if (b.kind !== 'date' || sign !== '+') return null;
  const days = Math.trunc(numberOf(left));
  return dateFrom(() => addDays(b.date, days), at);
}

function arithmetic(sign: string, left: PlacedValue, right: PlacedValue, at: FormulaSpan): FormulaValue {
  const dated = sign === '+' || sign === '-' ? dateArithmetic(sign, left, right, at) : null;
  if (dated) return dated;
  if (sign === '+' || sign === '-') return addAmounts(sign, left, right, at);
  if (sign === '*') return multiplyAmounts(left, right, at);
  if (sign === '^') return sound(numberOf(left) ** numberOf(right), at);
  return divideAmounts(left, right, at);
}

/** An amount with its sign turned, in its own unit. */
function negated(of: PlacedValue, at: FormulaSpan): FormulaValue {
  return sound(-numberOf(of), at, of.value.kind === 'number' ? of.value : undefined);
}

class Evaluation {
  constructor(private readonly context: FormulaContext) {}

  value(expression: Expression): FormulaValue {
    switch (expression.type) {
      case 'number':
        return number(expression.value);
      case 'text':
        return text(expression.value);
      case 'name':
        return this.named(expression);
      case 'minus':
        return negated(this.placed(expression.of), expression);
      case 'percent':
        return sound(numberOf(this.placed(expression.of)) / 100, expression);
      case 'sign':
        return this.joined(expression);
      case 'call':
        return this.called(expression);
    }
  }

  private placed(expression: Expression): PlacedValue {
    const { from, to } = expression;
    return { value: this.value(expression), at: { from, to } };
  }

  private named({ name, from, to }: Extract<Expression, { type: 'name' }>): FormulaValue {
    const found = this.context.valueOf(name);
    if (!found) throw new FormulaFault({ code: 'unknown-name', name, from, to });
    if ('missing' in found) throw new FormulaFault({ code: 'missing', field: found.missing, name, from, to });
    return found.value;
  }

  private joined({ sign, left, right, from, to }: Extract<Expression, { type: 'sign' }>): FormulaValue {
    const [a, b] = [this.placed(left), this.placed(right)];
    if (sign === '&') {
      const { language } = this.context;
      return text(
        textOf({ value: text(textOf(a, language) + textOf(b, language)), at: { from, to } }, language),
      );
    }
    if (sign in COMPARISONS) return yesNo(holds(sign, a, b, this.context));
    return arithmetic(sign, a, b, { from, to });
  }

  private called(call: Called): FormulaValue {
    checkCall(call);
    const { name, at, args } = call;
    const found = FUNCTIONS.get(name);
    if (!found) return this.lazily(call);
    const value = found.run({ args: args.map((arg) => this.placed(arg)), at, around: this.context });
    if (value.kind === 'text' && value.text.length > LONGEST_TEXT)
      throw new FormulaFault({ code: 'too-long', ...at });
    return value;
  }

  private yes = (expression: Expression): boolean => yesOf(this.placed(expression));

  private lazily({ name, args }: Called): FormulaValue {
    switch (name) {
      case 'IF': {
        if (this.yes(args[0]!)) return this.value(args[1]!);
        return args[2] ? this.value(args[2]) : yesNo(false);
      }
      case 'IFERROR':
        return this.tried(args[0]!) ?? this.value(args[1]!);
      case 'ISBLANK': {
        const value = this.tried(args[0]!, 'missing');
        return yesNo(!value || isEmpty(value));
      }
      case 'CHOOSE': {
        const which = this.placed(args[0]!);
        const chosen = args[Math.trunc(numberOf(which))];
        if (!chosen || chosen === args[0]) throw new FormulaFault({ code: 'not-found', ...which.at });
        return this.value(chosen);
      }
      case 'AND':
        return yesNo(args.every(this.yes));
      case 'OR':
        return yesNo(args.some(this.yes));
      case 'XOR':
        return yesNo(args.filter(this.yes).length % 2 === 1);
      case 'NOT':
        return yesNo(!this.yes(args[0]!));
      default:
        return yesNo(name === 'TRUE');
    }
  }

  /** The value, or null when it cannot be had: for any reason, or for one alone. */
  private tried(expression: Expression, only?: FormulaError['code']): FormulaValue | null {
    try {
      return this.value(expression);
    } catch (error) {
      if (error instanceof FormulaFault && (!only || error.fault.code === only)) return null;
      throw error;
    }
  }
}

/** What a formula gives once it is read. Never throws, and ends in as many steps as the formula has signs. */
export function evaluate(expression: Expression, context: FormulaContext): FormulaResult {
  return guarded(() => new Evaluation(context).value(expression));
}

/** A fault on the way as a result; anything else is a slip of ours and goes on. */
function guarded<T>(work: () => T): { ok: true; value: T } | { ok: false; error: FormulaError } {
  try {
    return { ok: true, value: work() };
  } catch (error) {
    if (error instanceof FormulaFault) return { ok: false, error: error.fault };
    throw error;
  }
}

/** Reads a formula: its tree, or where and why it cannot be read. */
export const readFormula = (source: string) => guarded(() => parseFormula(source));
