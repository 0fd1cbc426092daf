import { lazy, memo, Suspense, useState } from 'react';
import { agoInWords, dateInWords, daysBetween, type CalendarDate } from '#core/calendar';
import {
  careDue,
  courseInWords,
  detailsOf,
  valueInWords,
  type CaseRecord,
  type Course,
  type Detail,
  type Measurement,
  type Value,
} from '#core/record';
import type { Case } from '#contracts';
import { KINDS } from '#core/work';
import { calendarToday } from '#client/clock';
import { Button } from '../ui';
import { CorrectRecord } from './CorrectRecord';

// A chart that cannot be fetched, because the server went down just then, must not take the leaf with it.
const WeightChart = lazy(() =>
  import('./WeightChart').then(
    ({ WeightChart: chart }) => ({ default: chart }),
    () => ({ default: WeightsAsWords }),
  ),
);

/** Shown in lists of their own, or not worth a place of their own at the head of the leaf. */
const NOT_IN_FACTS = new Set([
  'born',
  'weight on admission',
  'weighed',
  'medicines',
  'problems',
  'measurements',
  'weight change',
  'due',
  'language',
  'date',
  'number',
  'name',
]);
/** A measurement older than this many days says so in the warning colour. */
const OLD_AFTER_DAYS = 7;

const locale = navigator.language;

function When({
  date,
  today,
  fresh = false,
}: {
  date: CalendarDate | null;
  today: CalendarDate;
  fresh?: boolean;
}) {
  if (!date) return null;
  const old = fresh && daysBetween(date, today) > OLD_AFTER_DAYS;
  return (
    <span
      className={`text-[12px] ${old ? 'text-rust' : 'text-soft'}`}
      title={dateInWords(date, 'long', locale)}
    >
      {agoInWords(date, today)}
    </span>
  );
}

function Fact({ detail, today }: { detail: Detail; today: CalendarDate }) {
  const measured = detail.path === 'weight' || detail.path === 'temperature';
  return (
    <div className="min-w-0">
      <dt className="text-[12px] text-soft">{detail.label}</dt>
      <dd className="text-[14px] leading-[1.3] break-words">
        {valueInWords(detail.value, locale, 'long')}{' '}
        {measured && <When date={detail.asOf} today={today} fresh />}
      </dd>
    </div>
  );
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
    <section className="min-w-0">
      <h2 className="text-[12px] text-soft">{title}</h2>
      <ul className="text-[14px] leading-snug">
        {ordered.map((line) => (
          <li key={line.label + line.since} className={`py-0.5 ${isOver(line) ? 'text-soft' : ''}`}>
            {line.label}
            {line.extra && <span className="text-soft">, {line.extra}</span>}{' '}
            <span className="text-[12px] text-soft">{courseInWords(line, today, locale)}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}

function Lists({ record, today }: { record: CaseRecord; today: CalendarDate }) {
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
    </div>
  );
}

/** Care that comes round again, the most pressing first; what is overdue in the warning colour. */
function Care({ record, today }: { record: CaseRecord; today: CalendarDate }) {
  const due = careDue(record, today);
  if (due.length === 0) return null;
  return (
    <section className="min-w-0">
      <h2 className="text-[12px] text-soft">Care</h2>
      <ul className="text-[14px] leading-snug">
        {due.map(({ label, due: day, state }) => (
          <li key={label} className="py-0.5">
            {label}{' '}
            <span className={`text-[12px] ${state === 'overdue' ? 'font-semibold text-rust' : 'text-soft'}`}>
              {state === 'overdue' ? 'overdue since' : 'due'} {dateInWords(day, 'day-month', locale)}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}

const STORED = 'elderleaf.record-folded';
/** Folded, so many facts stay. */
const FOLDED = 4;

/** Whether the title of the case says the name already, as "Bramble, hedgehog" does. */
const isIn = (title: string, value: Value) => value.kind !== 'text' || title.includes(value.text);

/**
 * The case's record at the head of its leaf: details, weights over time, medicines, problems, with their dates. It rests
 * while the leaf beneath is written and saved: its chart is long in drawing.
 */
export const Headpiece = memo(function Headpiece({ one }: { one: Case }) {
  const { title, record } = one;
  const [correcting, setCorrecting] = useState(false);
  const [folded, setFolded] = useState(() => localStorage.getItem(STORED) === 'yes');
  const today = calendarToday();
  const facts = detailsOf(record, today).filter(
    ({ path, value }) => !NOT_IN_FACTS.has(path) || (path === 'name' && !isIn(title, value)),
  );
  const hasLists = record.measurements.length + record.medicines.length + record.problems.length > 0;
  const fold = () => {
    localStorage.setItem(STORED, folded ? 'no' : 'yes');
    setFolded(!folded);
  };
  // A leaf of no case has no record, until one writes something of it.
  if (facts.length === 0 && !hasLists && KINDS[one.kind].details.length === 0) return null;
  return (
    <section aria-label="Record" data-print="no" className="border-b border-hair px-9 pb-2 max-[899px]:px-4">
      {correcting && <CorrectRecord one={one} />}
      <dl hidden={correcting} className="grid grid-cols-[repeat(auto-fit,minmax(7rem,1fr))] gap-x-4 gap-y-1">
        {(folded ? facts.slice(0, FOLDED) : facts).map((detail) => (
          <Fact key={detail.path} detail={detail} today={today} />
        ))}
      </dl>
      {!folded && hasLists && !correcting && <Lists record={record} today={today} />}
      <p className="mt-1 flex gap-4 text-[13px]">
        {(facts.length > FOLDED || hasLists) && (
          <Button look="text" aria-expanded={!folded} onClick={fold}>
            {folded ? 'Whole record' : 'Less of the record'}
          </Button>
        )}
        <Button look="text" aria-expanded={correcting} onClick={() => setCorrecting((now) => !now)}>
          {correcting ? 'The record is right now' : 'Correct the record'}
        </Button>
      </p>
    </section>
  );
});
