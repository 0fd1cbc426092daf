import { lazy, Suspense, type ReactNode } from 'react';
import { agoInWords, dateInWords, type CalendarDate } from '#core/calendar';
import {
  careDue,
  courseInWords,
  detailsOf,
  HISTORY_LIST_IDS,
  HISTORY_LISTS,
  itemsOf,
  latestMeasured,
  newestFirst,
  READS_IN_WORDS,
  RECORD_LISTS,
  valueInWords,
  type CaseRecord,
  type Course,
  type Detail,
  type Measurement,
  type RecordRules,
  type Value,
} from '#core/record';
import { useRecordRules } from '../api';
import { itemInLocale } from './itemInLocale';

// A chart that cannot be fetched, because the server went down just then, must not take the leaf with it.
const WeightChart = lazy(() =>
  import('./WeightChart').then(
    ({ WeightChart: chart }) => ({ default: chart }),
    () => ({ default: WeightsAsWords }),
  ),
);

/** Shown in lists of their own, or not worth a place of their own at the head of the leaf. */
const NOT_IN_FACTS = new Set([
  ...['born', 'weight on admission', 'weighed', 'weight', 'weight change', 'temperature', 'blood pressure'],
  ...['language', 'date', 'number'],
]);

const locale = navigator.language;

/** Whether the title of the case says the name already, as "Bramble, hedgehog" does. */
const isIn = (title: string, value: Value) => value.kind !== 'text' || title.includes(value.text);

/** The details that are told one by one. */
export const factsOf = (title: string, record: CaseRecord, today: CalendarDate): Detail[] =>
  detailsOf(record, today).filter(
    ({ path, value }) =>
      value.kind !== 'list' && !NOT_IN_FACTS.has(path) && (path !== 'name' || !isIn(title, value)),
  );

function Facts({ facts }: { facts: readonly Detail[] }) {
  return (
    <dl className="grid grid-cols-[repeat(auto-fit,minmax(7rem,1fr))] gap-x-4 gap-y-1">
      {facts.map(({ path, label, value }) => (
        <div key={path} className="min-w-0">
          <dt className="text-[12px] text-soft">{label}</dt>
          <dd className="text-[14px] leading-[1.3] break-words">{valueInWords(value, locale, 'long')}</dd>
        </div>
      ))}
    </dl>
  );
}

/** A list of the record under its head. */
function Section({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="min-w-0">
      <h2 className="text-[12px] text-soft">{title}</h2>
      <ul className="text-[14px] leading-snug">{children}</ul>
    </section>
  );
}

/** The last of each thing measured: what is not as usual by sign and word, what is old by word. */
function Measured({ record, today, rules }: { record: CaseRecord; today: CalendarDate; rules: RecordRules }) {
  const all = latestMeasured(record, { today, rules, locale });
  if (all.length === 0) return null;
  return (
    <Section title="Measurements">
      {all.map(({ code, label, amount, measured, reads, usual, isOld }) => (
        <li key={code} className="py-0.5">
          {label} {amount}{' '}
          {reads && (
            <span className="font-semibold text-rust" title={usual && `usual: ${usual}`}>
              {READS_IN_WORDS[reads]}
            </span>
          )}{' '}
          <span
            className={`text-[12px] ${isOld ? 'text-rust' : 'text-soft'}`}
            title={dateInWords(measured, 'long', locale)}
          >
            {agoInWords(measured, today)}
            {isOld && ', old'}
          </span>
          {reads && usual && <span className="block text-[12px] text-soft">usual: {usual}</span>}
        </li>
      ))}
    </Section>
  );
}

/** So many items of a list are shown: the newest. */
const SHOWN = 5;

/** The lists of the record's history that have something in them. */
function History({ record }: { record: CaseRecord }) {
  return HISTORY_LIST_IDS.map((list) => {
    const items = itemsOf(record, list);
    const newest = newestFirst(items);
    if (items.length === 0) return null;
    return (
      <Section key={list} title={HISTORY_LISTS[list].title}>
        {newest.slice(0, SHOWN).map((item, at) => (
          <li key={at} className="py-0.5 break-words">
            {itemInLocale(list, item)}
          </li>
        ))}
        {newest.length > SHOWN && (
          <li className="text-[12px] text-soft">{newest.length - SHOWN} more under Correct the record</li>
        )}
      </Section>
    );
  });
}

/** The weights in words: until the chart is there, and where it cannot be. */
function WeightsAsWords({ weights }: { weights: Measurement[] }) {
  return (
    <ul className="text-[13px] text-soft">
      {weights.map(({ measured, minute, value, unit }) => (
        <li key={`${measured} ${minute}`}>
          {value} {unit}, {dateInWords(measured, 'long', locale)}
        </li>
      ))}
    </ul>
  );
}

interface Line extends Course {
  label: string;
  extra: string;
}

const isOver = ({ status }: Line) => status === 'ended' || status === 'resolved';

function Lines({ title, lines, today }: { title: string; lines: Line[]; today: CalendarDate }) {
  if (lines.length === 0) return null;
  const ordered = [...lines].sort((a, b) => Number(isOver(a)) - Number(isOver(b)));
  return (
    <Section title={title}>
      {ordered.map((line, at) => (
        <li key={at} className={`py-0.5 ${isOver(line) ? 'text-soft' : ''}`}>
          {line.label}
          {line.extra && <span className="text-soft">, {line.extra}</span>}{' '}
          <span className="text-[12px] text-soft">{courseInWords(line, today, locale)}</span>
        </li>
      ))}
    </Section>
  );
}

function Lists({ record, today, rules }: { record: CaseRecord; today: CalendarDate; rules: RecordRules }) {
  const weights = record.measurements.filter(({ code }) => code === 'weight');
  return (
    <div className="mt-2 grid grid-cols-[repeat(auto-fit,minmax(9.5rem,1fr))] gap-x-6 gap-y-2 border-t border-hair pt-2">
      {weights.length > 0 && (
        <section className="min-w-0">
          <h2 className="text-[12px] text-soft">Weights</h2>
          <Suspense fallback={<div className="h-20" />}>
            <WeightChart weights={weights} />
          </Suspense>
        </section>
      )}
      <Measured record={record} today={today} rules={rules} />
      <Lines
        title="Medicines"
        today={today}
        lines={record.medicines.map(({ name, dose, ...course }) => ({
          label: name,
          extra: dose ?? '',
          ...course,
        }))}
      />
      <Lines
        title="Problems"
        today={today}
        lines={record.problems.map((problem) => ({ ...problem, extra: '' }))}
      />
      <Care record={record} today={today} />
      <History record={record} />
    </div>
  );
}

/** Care that comes round again, the most pressing first; what is overdue in the warning colour. */
function Care({ record, today }: { record: CaseRecord; today: CalendarDate }) {
  const due = careDue(record, today);
  if (due.length === 0) return null;
  return (
    <Section title="Care">
      {due.map(({ label, due: day, state }) => (
        <li key={label} className="py-0.5">
          {label}{' '}
          <span className={`text-[12px] ${state === 'overdue' ? 'font-semibold text-rust' : 'text-soft'}`}>
            {state === 'overdue' ? 'overdue since' : 'due'} {dateInWords(day, 'day-month', locale)}
          </span>
        </li>
      ))}
    </Section>
  );
}

/** The record, whole: details, weights over time, what is measured, given, the matter, due, and its history, with their dates. */
export function RecordOpen({
  title,
  record,
  today,
}: {
  title: string;
  record: CaseRecord;
  today: CalendarDate;
}) {
  const rules = useRecordRules();
  const hasLists = RECORD_LISTS.some((list) => itemsOf(record, list).length > 0) || !!record.care?.length;
  return (
    <>
      <Facts facts={factsOf(title, record, today)} />
      {hasLists && <Lists record={record} today={today} rules={rules} />}
    </>
  );
}
