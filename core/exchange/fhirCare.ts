import { isCalendarDate, type CalendarDate } from '#core/calendar';
import type { RecurringCare } from '#core/record';
import type { Fault } from './fault';
import { follow, ofType, wordsFor, type Placed, type TakenApart } from './fhirBundle';

const STEPS = { d: 'days', wk: 'weeks', mo: 'months', a: 'years' } as const;
const isStep = (unit: string | undefined): unit is keyof typeof STEPS => Object.hasOwn(STEPS, unit ?? '');

const dayOf = (written: string | undefined): CalendarDate | null => {
  const day = written?.slice(0, 10) ?? '';
  return isCalendarDate(day) ? day : null;
};

const sameWords = (a: string | null, b: string) => a?.toLowerCase() === b.toLowerCase();

/** On which days something was done: procedures for this request or of its name, vaccinations and measurements of its name. */
function daysDone(taken: TakenApart, request: Placed<'ServiceRequest'>, label: string): CalendarDate[] {
  const procedures = ofType(taken, 'Procedure').filter(
    ({ resource }) =>
      resource.status === 'completed' &&
      (resource.basedOn?.some((one) => follow(taken, one) === request.resource) ||
        sameWords(wordsFor(resource.code), label)),
  );
  const vaccinations = ofType(taken, 'Immunization').filter(
    ({ resource }) => resource.status === 'completed' && sameWords(wordsFor(resource.vaccineCode), label),
  );
  const measurements = ofType(taken, 'Observation').filter(({ resource }) =>
    sameWords(wordsFor(resource.code), label),
  );
  return [
    ...procedures.map(({ resource }) => resource.performedDateTime ?? resource.performedPeriod?.start),
    ...vaccinations.map(({ resource }) => resource.occurrenceDateTime),
    ...measurements.map(({ resource }) => resource.effectiveDateTime ?? resource.effectivePeriod?.start),
  ].flatMap((when) => dayOf(when) ?? []);
}

/**
 * Care that comes round again: each active ServiceRequest with a repeating time, last done on the latest day that the
 * Bundle tells of. A repetition that is no whole number of days, weeks, months or years is a fault.
 */
export function readCare(taken: TakenApart, faults: Fault[]): RecurringCare[] {
  return ofType(taken, 'ServiceRequest').flatMap((placed): RecurringCare[] => {
    const { resource, place } = placed;
    const repeat = resource.occurrenceTiming?.repeat;
    const label = wordsFor(resource.code);
    if (resource.status !== 'active' || !label || !repeat) return [];
    const { period, periodUnit } = repeat;
    if (!isStep(periodUnit) || period === undefined || !Number.isInteger(period) || period < 1) {
      const message = `${label} must come round after a whole number of days (d), weeks (wk), months (mo) or years (a)`;
      faults.push({ place: `${place}.occurrenceTiming.repeat`, message });
      return [];
    }
    const done = daysDone(taken, placed, label).sort().at(-1) ?? null;
    const from = dayOf(repeat.boundsPeriod?.start) ?? dayOf(resource.authoredOn);
    return [{ label, every: { count: period, step: STEPS[periodUnit] }, done, from, source: 'Care plan' }];
  });
}
