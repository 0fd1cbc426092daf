import { z } from 'zod';
import { addDays, addMonths, daysBetween, type CalendarDate } from '#core/calendar';
import { lookUp } from './details';
import { goesBy, isSameName, latestDayOf } from './itemParts';
import { itemsOf, type CaseRecord, type Measurement, type RecordItem, type RecurringCare } from './record';

const label = z.string().trim().min(1, 'give it a title').max(120);
const span = z.object({
  count: z.number().int().min(1).max(1000),
  step: z.enum(['days', 'weeks', 'months', 'years']),
});
/** So many days, weeks, months or years. */
export type Span = z.infer<typeof span>;

/** Care that a team sees as due for everyone of an age, a sex, a kind or with a problem, again and again. */
const CareRuleSchema = z.object({
  label,
  every: span,
  /** From which age and up to which; null for any. */
  from: span.nullable(),
  to: span.nullable(),
  /** For whom alone, as a record words it; '' for all. */
  sex: z.string().trim().max(40),
  species: z.string().trim().max(120),
  problem: z.string().trim().max(120),
  /** Besides its own name, by which names it is done: procedures, vaccinations, measurements, reports. */
  doneBy: z.array(z.string().trim().min(1).max(120)).max(20),
  isImmunisation: z.boolean(),
});
export type CareRule = z.infer<typeof CareRuleSchema>;

/** What is usual of something measured, for all or for one species. */
const UsualRuleSchema = z.object({
  code: label,
  species: z.string().trim().max(120),
  low: z.number().nullable(),
  high: z.number().nullable(),
  unit: z.string().trim().max(40),
});
export type UsualRule = z.infer<typeof UsualRuleSchema>;

/** What a team has settled on for the records of its cases. */
export const RecordRulesSchema = z.object({
  care: z.array(CareRuleSchema).max(100),
  /** After how many days a value is old; by what is measured, where that differs. */
  oldAfterDays: z.number().int().min(1).max(3650),
  old: z.array(z.object({ code: label, days: z.number().int().min(1).max(3650) })).max(100),
  usual: z.array(UsualRuleSchema).max(200),
});
export type RecordRules = z.infer<typeof RecordRulesSchema>;

/** What holds until a team has settled on something else: a week, and nothing that is due. */
export const USUAL_RULES: RecordRules = { care: [], oldAfterDays: 7, old: [], usual: [] };

/** A day so much later. */
function later(day: CalendarDate, { count, step }: Span): CalendarDate {
  if (step === 'days' || step === 'weeks') return addDays(day, count * (step === 'weeks' ? 7 : 1));
  return addMonths(day, count * (step === 'years' ? 12 : 1));
}

function dayAt(record: CaseRecord, path: string, today: CalendarDate): CalendarDate | null {
  const value = lookUp(record, path, today)?.value;
  return value?.kind === 'date' ? value.date : null;
}

/** Whether somebody is of the age of a rule today. Whose age is not known is of none. */
function isOfAge({ from, to }: CareRule, born: CalendarDate | null, today: CalendarDate): boolean {
  if (!from && !to) return true;
  if (!born) return false;
  return (!from || later(born, from) <= today) && (!to || later(born, to) > today);
}

/** Whether a rule is for the one that a record is about. */
function concerns(rule: CareRule, record: CaseRecord, today: CalendarDate): boolean {
  const says = (path: string, word: string) => {
    const value = lookUp(record, path, today)?.value;
    return word === '' || (value?.kind === 'text' && isSameName(value.text, word));
  };
  const hasProblem =
    rule.problem === '' ||
    record.problems.some(
      ({ status, label: name }) =>
        status === 'active' && name.toLowerCase().includes(rule.problem.toLowerCase()),
    );
  return (
    hasProblem &&
    says('sex', rule.sex) &&
    says('species', rule.species) &&
    isOfAge(rule, dayAt(record, 'born', today), today)
  );
}

const wasDone = (item: RecordItem) => 'measured' in item || ('status' in item && item.status === 'over');

/** The last day on which something of one of these names was done; null for never. */
function lastDone(record: CaseRecord, names: readonly string[]): CalendarDate | null {
  const lists = ['procedures', 'immunisations', 'reports', 'observations', 'measurements'] as const;
  const done = lists
    .flatMap((list) => [...itemsOf(record, list)])
    .filter((item) => wasDone(item) && names.some((name) => goesBy(item, name)));
  return latestDayOf(done);
}

/** The care that a team's rules ask for, for the one that a record is about. */
function careByRules(record: CaseRecord, rules: RecordRules, today: CalendarDate): RecurringCare[] {
  const told = new Set((record.care ?? []).map((one) => one.label.toLowerCase()));
  return rules.care
    .filter((rule) => !told.has(rule.label.toLowerCase()) && concerns(rule, record, today))
    .map((rule) => {
      const born = dayAt(record, 'born', today);
      const from = rule.from && born ? later(born, rule.from) : (dayAt(record, 'admitted', today) ?? today);
      const done = lastDone(record, [rule.label, ...rule.doneBy]);
      const care: RecurringCare = {
        label: rule.label,
        every: rule.every,
        done,
        from,
        source: 'Your team’s rules',
      };
      return rule.isImmunisation ? { ...care, isImmunisation: true } : care;
    });
}

/** A record with the care that its team's rules make due. The very same where they make nothing due. */
export function recordByRules(record: CaseRecord, rules: RecordRules, today: CalendarDate): CaseRecord {
  const care = careByRules(record, rules, today);
  return care.length === 0 ? record : { ...record, care: [...(record.care ?? []), ...care] };
}

/** Whether a value of a day is old, by what is measured. */
export function isOld(code: string, day: CalendarDate, rules: RecordRules, today: CalendarDate): boolean {
  const own = rules.old.find((rule) => isSameName(rule.code, code));
  return daysBetween(day, today) > (own?.days ?? rules.oldAfterDays);
}

/** What is usual of a measurement: as its source says, else as its team says for the species, else for all; null for nothing known. */
export function usualOf(
  { code, unit, usual }: Measurement,
  species: string,
  rules: RecordRules,
): { low: number | null; high: number | null } | null {
  if (usual) return usual;
  const fitting = rules.usual.filter((rule) => isSameName(rule.code, code) && rule.unit === unit);
  const own = fitting.find((rule) => rule.species !== '' && isSameName(rule.species, species));
  return own ?? fitting.find((rule) => rule.species === '') ?? null;
}

/** How a measurement is to what is usual: as its source reads it, else by its range. Null where nothing is known, or it is as usual. */
export function readsAs(
  one: Measurement,
  species: string,
  rules: RecordRules,
): 'high' | 'low' | 'abnormal' | null {
  if (one.reads) return one.reads === 'normal' ? null : one.reads;
  const { low = null, high = null } = usualOf(one, species, rules) ?? {};
  if (high !== null && one.value > high) return 'high';
  return low !== null && one.value < low ? 'low' : null;
}
