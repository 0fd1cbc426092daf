import { readNumber } from '#core/language';
import { RecordRulesSchema, type CareRule, type RecordRules, type Span, type UsualRule } from './recordRules';

const STEPS: [RegExp, Span['step']][] = [
  [/^d(ays?)?$/, 'days'],
  [/^w(ks?|eeks?)?$/, 'weeks'],
  [/^m(o|onths?)?$/, 'months'],
  [/^(y(rs?|ears?)?)?$/, 'years'],
];

/** "2 years", "6 months", "8 w" as a span of time; a number alone is years. Null where none can be read. */
export function readSpan(words: string): Span | null {
  const [, digits, unit = ''] = /^(\d{1,4})\s*(\p{L}*)$/u.exec(words.trim().toLowerCase()) ?? [];
  const step = STEPS.find(([form]) => form.test(unit))?.[1];
  const count = Number(digits);
  return step && count >= 1 && count <= 1000 ? { count, step } : null;
}

/** A span of time in words: "2 years", "1 month"; '' for none. */
export const spanInWords = (span: Span | null): string =>
  span ? `${span.count} ${span.count === 1 ? span.step.slice(0, -1) : span.step}` : '';

/** A rule of care as it is typed. */
export interface CareRow {
  label: string;
  every: string;
  from: string;
  to: string;
  sex: string;
  species: string;
  problem: string;
  /** Names, with commas between. */
  doneBy: string;
  isImmunisation: boolean;
}

/** What is usual, as it is typed. */
export type UsualRow = Record<'code' | 'species' | 'low' | 'high' | 'unit', string>;

/** When a value is old, as it is typed. */
export type OldRow = Record<'code' | 'days', string>;

/** A team's rules as they are typed. */
export interface RulesForm {
  care: CareRow[];
  oldAfterDays: string;
  old: OldRow[];
  usual: UsualRow[];
}

/** What is wrong with a part of what was typed: which list, which row of it, which field. */
export interface RulesFault {
  list: keyof RulesForm;
  row: number;
  field: string;
  words: string;
}

/** A row to begin with. */
export const NEW_ROWS = {
  care: (): CareRow => ({
    ...{ label: '', every: '1 year', from: '', to: '', sex: '', species: '', problem: '', doneBy: '' },
    isImmunisation: false,
  }),
  usual: (): UsualRow => ({ code: '', species: '', low: '', high: '', unit: '' }),
  old: (): OldRow => ({ code: '', days: '30' }),
};

const careRow = (rule: CareRule): CareRow => ({
  ...rule,
  every: spanInWords(rule.every),
  from: spanInWords(rule.from),
  to: spanInWords(rule.to),
  doneBy: rule.doneBy.join(', '),
});

const number = (value: number | null) => (value === null ? '' : String(value));

/** Rules as they can be typed over. */
export const formOfRules = ({ care, oldAfterDays, old, usual }: RecordRules): RulesForm => ({
  care: care.map(careRow),
  oldAfterDays: String(oldAfterDays),
  old: old.map(({ code, days }) => ({ code, days: String(days) })),
  usual: usual.map((rule) => ({ ...rule, low: number(rule.low), high: number(rule.high) })),
});

const isEmpty = (row: object, begun: object) => JSON.stringify(row) === JSON.stringify(begun);

class Faults {
  readonly all: RulesFault[] = [];

  /** Notes a fault unless something holds. */
  unless(holds: boolean, place: Omit<RulesFault, 'words'>, words: string): void {
    if (!holds) this.all.push({ ...place, words });
  }
}

const SPAN_WANTED = 'Such as 2 years, 6 months or 8 weeks.';

function readCare(row: CareRow, at: number, faults: Faults): CareRule {
  const place = (field: keyof CareRow) => ({ list: 'care' as const, row: at, field });
  const [every, from, to] = [readSpan(row.every), readSpan(row.from), readSpan(row.to)];
  faults.unless(row.label.trim() !== '', place('label'), 'Say what is due.');
  faults.unless(every !== null, place('every'), SPAN_WANTED);
  faults.unless(from !== null || row.from.trim() === '', place('from'), SPAN_WANTED);
  faults.unless(to !== null || row.to.trim() === '', place('to'), SPAN_WANTED);
  const doneBy = row.doneBy
    .split(',')
    .map((name) => name.trim())
    .filter(Boolean);
  return { ...row, every: every ?? { count: 1, step: 'years' }, from, to, doneBy };
}

function readUsual(row: UsualRow, at: number, language: string, faults: Faults): UsualRule {
  const place = (field: keyof UsualRow) => ({ list: 'usual' as const, row: at, field });
  const end = (field: 'low' | 'high') => {
    const value = row[field].trim() === '' ? null : readNumber(row[field], language);
    faults.unless(value !== null || row[field].trim() === '', place(field), 'Not a number.');
    return value;
  };
  const [low, high] = [end('low'), end('high')];
  faults.unless(row.code.trim() !== '', place('code'), 'Say what is measured.');
  faults.unless(low === null || high === null || low <= high, place('high'), 'Less than the lowest.');
  faults.unless(
    low !== null || high !== null || row.low + row.high !== '',
    place('low'),
    'Say one end at least.',
  );
  return { ...row, low, high };
}

function readDays(words: string, place: Omit<RulesFault, 'words'>, faults: Faults): number {
  const days = Number(words);
  const isDays = Number.isInteger(days) && days >= 1 && days <= 3650;
  faults.unless(isDays, place, 'A number of days, 1 to 3650.');
  return isDays ? days : 1;
}

/**
 * What was typed as a team's rules; or all that is wrong with it. Rows in which nothing was typed are left out. Numbers are read in the
 * language given (BCP 47).
 */
export function readRules(
  form: RulesForm,
  language: string,
): { rules: RecordRules } | { faults: RulesFault[] } {
  const faults = new Faults();
  const begun = <Row extends object>(rows: readonly Row[], fresh: Row) =>
    rows.flatMap((row, at) => (isEmpty(row, fresh) ? [] : [{ row, at }]));
  const care = begun(form.care, NEW_ROWS.care()).map(({ row, at }) => readCare(row, at, faults));
  const usual = begun(form.usual, NEW_ROWS.usual()).map(({ row, at }) =>
    readUsual(row, at, language, faults),
  );
  const old = begun(form.old, NEW_ROWS.old()).map(({ row, at }) => {
    faults.unless(row.code.trim() !== '', { list: 'old', row: at, field: 'code' }, 'Say what is measured.');
    return { code: row.code, days: readDays(row.days, { list: 'old', row: at, field: 'days' }, faults) };
  });
  const oldAfterDays = readDays(form.oldAfterDays, { list: 'oldAfterDays', row: 0, field: '' }, faults);
  if (faults.all.length > 0) return { faults: faults.all };
  return { rules: RecordRulesSchema.parse({ care, usual, old, oldAfterDays }) };
}
