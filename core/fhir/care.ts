import type { CalendarDate } from '#core/calendar';
import type { RecurringCare } from '#core/record';
import { follow, type PlacedResource } from './bundle';
import type { RecordReading } from './reading';
import { allInWords, dayOf, wordsFor } from './words';

const STEPS = { d: 'days', wk: 'weeks', mo: 'months', a: 'years' } as const;
const isStep = (unit: string | undefined): unit is keyof typeof STEPS => Object.hasOwn(STEPS, unit ?? '');

const sameWords = (a: string | null, b: string) => a?.toLowerCase() === b.toLowerCase();

/** States of an observation that was not made. */
const NOT_SEEN = new Set(['entered-in-error', 'cancelled', 'registered']);

/** On which days something was done: procedures for this request or of its name, vaccinations and measurements of its name. */
function daysDone(
  reading: RecordReading,
  request: PlacedResource<'ServiceRequest'>,
  label: string,
): CalendarDate[] {
  const procedures = reading
    .ofType('Procedure')
    .filter(
      (placed) =>
        placed.resource.status === 'completed' &&
        (placed.resource.basedOn?.some(
          (one) => follow(reading.taken, one, placed)?.resource === request.resource,
        ) ||
          sameWords(wordsFor(placed.resource.code), label)),
    );
  const vaccinations = reading
    .ofType('Immunization')
    .filter(
      ({ resource }) => resource.status === 'completed' && sameWords(wordsFor(resource.vaccineCode), label),
    );
  const measurements = reading
    .ofType('Observation')
    .filter(({ resource }) => !NOT_SEEN.has(resource.status) && sameWords(wordsFor(resource.code), label));
  return [
    ...procedures.map(({ resource }) => resource.performedDateTime ?? resource.performedPeriod?.start),
    ...vaccinations.map(({ resource }) => resource.occurrenceDateTime),
    ...measurements.map(({ resource }) => resource.effectiveDateTime ?? resource.effectivePeriod?.start),
  ].flatMap((when) => dayOf(when) ?? []);
}

/** Care that a request asks for again and again; null for one that is asked for once. */
function careAsked(reading: RecordReading, placed: PlacedResource<'ServiceRequest'>): RecurringCare | null {
  const { resource, place } = placed;
  const repeat = resource.occurrenceTiming?.repeat;
  const label = wordsFor(resource.code);
  if (resource.status !== 'active' || resource.doNotPerform || !label || repeat?.period === undefined)
    return null;
  const { period, periodUnit } = repeat;
  if (!isStep(periodUnit) || !Number.isInteger(period) || period < 1) {
    const message = `${label} must come round after a whole number of days (d), weeks (wk), months (mo) or years (a)`;
    reading.faults.push({ place: `${place}.occurrenceTiming.repeat`, message });
    return null;
  }
  const done = daysDone(reading, placed, label).sort().at(-1) ?? null;
  const from = dayOf(repeat.boundsPeriod?.start) ?? dayOf(resource.authoredOn);
  const isImmunisation = reading
    .ofType('Immunization')
    .some((one) => sameWords(wordsFor(one.resource.vaccineCode), label));
  const every = { count: period, step: STEPS[periodUnit] };
  return { label, every, done, from, source: 'Care plan', ...(isImmunisation && { isImmunisation }) };
}

/** Vaccinations that are due, as what forecasts them says: each with its day, and when it was given last. */
function vaccinationsDue(
  reading: RecordReading,
  placed: PlacedResource<'ImmunizationRecommendation'>,
): RecurringCare[] {
  return (placed.resource.recommendation ?? []).flatMap((one): RecurringCare[] => {
    const label = allInWords(one.vaccineCode) ?? wordsFor(one.targetDisease);
    const dueOn = dayOf(one.dateCriterion?.[0]?.value);
    if (!label || !dueOn) return [];
    const given = reading
      .ofType('Immunization')
      .filter(
        ({ resource }) => resource.status === 'completed' && sameWords(wordsFor(resource.vaccineCode), label),
      )
      .flatMap(({ resource }) => dayOf(resource.occurrenceDateTime) ?? []);
    const done = given.sort().at(-1) ?? null;
    return [{ label, dueOn, done, from: null, source: 'Immunisation forecast', isImmunisation: true }];
  });
}

/**
 * Reads care that comes round again: each active ServiceRequest with a repeating time, last done on the latest day that the
 * files tell of, and vaccinations that a forecast calls due. A repetition that is no whole number of days, weeks, months or years is
 * a fault.
 */
export function readCare(reading: RecordReading): void {
  const care = [
    ...reading.ofType('ServiceRequest').flatMap((placed) => careAsked(reading, placed) ?? []),
    ...reading.ofType('ImmunizationRecommendation').flatMap((placed) => vaccinationsDue(reading, placed)),
  ];
  if (care.length > 0) reading.record.care = care.slice(0, 500);
}
