import { STEPS, type AmountRef, type Calculation, type DayRef, type Field } from '#core/entry';
import { Cursor } from './cursor';
import { quoted } from './escapes';
import { idNamed, nameFor } from './names';
import { refuse, type SourceLine } from './sourceLine';

type Picked = Exclude<Calculation, { by: 'formula' }>;

/** A day or an amount: `today`, a number, or a field's name, in double quotes where it is more than a word. */
function refText(ref: DayRef | AmountRef, fields: readonly Field[]): string {
  if (typeof ref !== 'object') return String(ref);
  const name = nameFor(fields, ref.field);
  return /^[\p{L}_][\p{L}\p{M}\p{N}_]*$/u.test(name) && name !== 'today' ? name : quoted(name);
}

/** A picked calculation as one line, without its key: `7 days from Admitted`, `weeks from Admitted to today`. */
export function writeCalculation(calculation: Picked, fields: readonly Field[]): string {
  const text = (ref: DayRef | AmountRef) => refText(ref, fields);
  switch (calculation.by) {
    case 'moved':
      return `${text(calculation.count)} ${calculation.step} from ${text(calculation.from)}`;
    case 'between':
      return `${calculation.step} from ${text(calculation.from)} to ${text(calculation.to)}`;
    case 'age':
      return `${text(calculation.born)} at ${text(calculation.at)}`;
    case 'change':
      return `${text(calculation.first)} to ${text(calculation.last)} as ${calculation.as}`;
    case 'dose': {
      const { weight, perKilogram, step, most } = calculation;
      const limits = [step === null ? '' : ` step ${step}`, most === null ? '' : ` most ${most}`].join('');
      return `${text(weight)} times ${text(perKilogram)}${limits}`;
    }
  }
}

class CalculationReader {
  private readonly cursor: Cursor;

  constructor(
    private readonly source: SourceLine,
    private readonly fields: readonly Field[],
  ) {
    this.cursor = new Cursor(source);
  }

  private name(): string {
    const at = this.cursor.spaces().at;
    const name = this.cursor.quoted() ?? this.cursor.take(/[\p{L}_][\p{L}\p{M}\p{N}_]*/u);
    if (name === null) this.cursor.wanted('the name of a field');
    const id = idNamed(this.fields, name);
    if (id === undefined) refuse(this.source, at, { code: 'field-unknown', found: name });
    return id;
  }

  private day(): DayRef {
    return this.cursor.spaces().take(/today\b/) === null ? { field: this.name() } : 'today';
  }

  private amount(): AmountRef {
    return /^-?\d/.test(this.cursor.spaces().rest) ? this.cursor.number() : { field: this.name() };
  }

  private step(): (typeof STEPS)[number] {
    const at = this.cursor.spaces().at;
    const found = this.cursor.take(/[a-z]+/) ?? '';
    const step = STEPS.find((one) => one === found);
    return step ?? refuse(this.source, at, { code: 'step-unknown', found });
  }

  private limit(key: string): number | null {
    return this.cursor.spaces().take(new RegExp(`${key}\\b`)) === null ? null : this.cursor.number();
  }

  read(by: Picked['by']): Picked {
    const { cursor } = this;
    switch (by) {
      case 'moved': {
        const [count, step] = [this.amount(), this.step()];
        cursor.must('from');
        return { by, from: this.day(), count, step };
      }
      case 'between': {
        const step = this.step();
        cursor.must('from');
        const from = this.day();
        cursor.must('to');
        return { by, from, to: this.day(), step };
      }
      case 'age': {
        const born = this.day();
        cursor.must('at');
        return { by, born, at: this.day() };
      }
      case 'change': {
        const first = this.amount();
        cursor.must('to');
        const last = this.amount();
        cursor.must('as');
        const as = cursor.spaces().take(/amount|percent/);
        return as === 'amount' || as === 'percent'
          ? { by, first, last, as }
          : cursor.wanted('“amount” or “percent”');
      }
      case 'dose': {
        const weight = this.amount();
        cursor.must('times');
        const perKilogram = this.amount();
        return { by, weight, perKilogram, step: this.limit('step'), most: this.limit('most') };
      }
    }
  }

  end(): void {
    this.cursor.end();
  }
}

/** Reads a picked calculation that takes the whole of what is left of a line. Throws a NotationFault. */
export function readCalculation(by: Picked['by'], source: SourceLine, fields: readonly Field[]): Picked {
  const reader = new CalculationReader(source, fields);
  const calculation = reader.read(by);
  reader.end();
  return calculation;
}

/** The calculations that are picked, by the key of their line. */
export const PICKED = ['moved', 'between', 'age', 'change', 'dose'] as const;
