import { cutTo } from '#core/language';
import type { HistoryItem, Measurement } from '#core/record';
import { nameInPlace, type RecordReading } from './reading';
import type { PlacedResource } from './bundle';
import type { Concept, Observed, Quantity, Resource } from './resources';
import { codesOf, dayOf, minuteOf, quantityInWords, unitInWords, withoutNoise, wordsFor } from './words';

/** What is measured, by its code in LOINC (loinc.org), as wordings ask for it. */
const LOINC: Record<string, string> = {
  '29463-7': 'weight',
  '3141-9': 'weight',
  '8310-5': 'temperature',
  '8331-1': 'temperature',
  '8867-4': 'heart rate',
  '9279-1': 'breathing rate',
  '85354-9': 'blood pressure',
  '55284-4': 'blood pressure',
  '8480-6': 'systolic',
  '8462-4': 'diastolic',
  '59408-5': 'oxygen saturation',
  '2708-6': 'oxygen saturation',
  '8302-2': 'height',
  '39156-5': 'body mass index',
  '9843-4': 'head circumference',
};

/** What the codes of HL7's ObservationInterpretation say of a value. */
const READS: Record<string, Measurement['reads']> = {
  ...{
    H: 'high',
    HH: 'high',
    HU: 'high',
    HX: 'high',
    '>': 'high',
    L: 'low',
    LL: 'low',
    LU: 'low',
    LX: 'low',
  },
  ...{ '<': 'low', A: 'abnormal', AA: 'abnormal', N: 'normal' },
};

/** When, by whom and of what: what an observation and all its parts have in common. */
type Shared = Pick<Measurement, 'measured' | 'minute' | 'by' | 'source'>;

/** What something measured is called by wordings: a name known of all records, else its own in small letters. */
export function measureCode(concept: Concept): string | null {
  const known = codesOf(concept)
    .map((code) => LOINC[code])
    .find(Boolean);
  return known ?? (cutTo(wordsFor(concept)?.toLowerCase() ?? '', 60) || null);
}

/** The usual range of a value, where the source gives it in the value's own unit. */
function usualOf({ referenceRange = [] }: Observed, unit: string): Measurement['usual'] {
  const range =
    referenceRange.find(({ type }) => codesOf(type).includes('normal')) ??
    (referenceRange.length === 1 ? referenceRange[0] : undefined);
  const end = (quantity: Quantity | undefined) =>
    quantity?.value !== undefined && [unit, ''].includes(unitInWords(quantity)) ? quantity.value : null;
  const [low, high] = [end(range?.low), end(range?.high)];
  return low === null && high === null ? undefined : { low, high };
}

const readsOf = ({ interpretation }: Observed): Measurement['reads'] =>
  (interpretation ?? [])
    .flatMap(codesOf)
    .map((code) => READS[code])
    .find(Boolean);

/** The number that is measured, with its unit; null where it says something else, or no more than "less than". */
function numberOf({ valueQuantity: quantity, valueInteger }: Observed) {
  if (valueInteger !== undefined) return { value: valueInteger, unit: '' };
  if (quantity?.value === undefined || quantity.comparator !== undefined) return null;
  return { value: withoutNoise(quantity.value), unit: unitInWords(quantity) };
}

const both = (a: string | null, between: string, b: string | null): string | null =>
  a && b ? `${a}${between}${b}` : (a ?? b);

/** A range, a ratio or a while; null for none of them. */
function saidByTwo({ valueRange: range, valueRatio: ratio, valuePeriod: period }: Observed): string | null {
  return (
    both(quantityInWords(range?.low), ' to ', quantityInWords(range?.high)) ??
    both(quantityInWords(ratio?.numerator), ':', quantityInWords(ratio?.denominator)) ??
    both(dayOf(period?.start), ' to ', dayOf(period?.end))
  );
}

/** What an observation says that is no plain number; null for nothing. */
function saidBy(observed: Observed): string | null {
  const { valueBoolean: isSo } = observed;
  return (
    quantityInWords(observed.valueQuantity) ??
    wordsFor(observed.valueCodeableConcept) ??
    observed.valueString ??
    (isSo === undefined ? null : isSo ? 'yes' : 'no') ??
    saidByTwo(observed) ??
    observed.valueTime ??
    dayOf(observed.valueDateTime)
  );
}

/** What one value comes to: a measurement, or something seen. Null without a value. */
function itemOf(
  observed: Observed,
  named: { code: string; label: string; within?: string; key?: string },
  shared: Shared,
): Measurement | HistoryItem | null {
  const { code, label, within, key } = named;
  const number = numberOf(observed);
  if (number) {
    const [usual, reads] = [usualOf(observed, number.unit), readsOf(observed)];
    return {
      ...{ code, label, ...number, ...shared },
      ...(within !== undefined && { within }),
      ...(usual && { usual }),
      ...(reads && { reads }),
      ...(key !== undefined && { key }),
    };
  }
  const said = saidBy(observed);
  if (!said) return null;
  const item = {
    label,
    note: cutTo(said, 2000),
    status: 'over' as const,
    since: shared.measured,
    until: null,
  };
  return { ...item, source: shared.source, ...(key !== undefined && { key }) };
}

/** The parts of an observation, each a value by itself: of a blood pressure the upper and the lower. */
function partsOf(
  placed: PlacedResource<'Observation'>,
  code: string,
  key: string | undefined,
  shared: Shared,
) {
  return (placed.resource.component ?? []).flatMap((part, at) => {
    const [partCode, label] = [measureCode(part.code), wordsFor(part.code)];
    const named = partCode && label && { code: partCode, label: cutTo(label, 300), within: code };
    const item = named && itemOf(part, { ...named, ...(key && { key: `${key}#${at}` }) }, shared);
    return item ? [item] : [];
  });
}

/** When an observation was made, as its source writes it; a while by its beginning. */
const whenOf = ({ effectiveDateTime, effectivePeriod, effectiveInstant }: Resource<'Observation'>) =>
  effectiveDateTime ?? effectivePeriod?.start ?? effectiveInstant;

/** What an observation and its parts come to, of a day. */
function itemsIn(
  reading: RecordReading,
  placed: PlacedResource<'Observation'>,
  { code, label }: { code: string; label: string },
  measured: string,
): (Measurement | HistoryItem)[] {
  const { resource } = placed;
  const by = nameInPlace(reading, resource.performer?.[0], placed);
  const shared = { measured, minute: minuteOf(whenOf(resource)), by, source: 'Measurement' };
  const key = reading.keyOf(placed);
  const own = itemOf(resource, { code, label: cutTo(label, 300), ...(key && { key }) }, shared);
  return [...(own ? [own] : []), ...partsOf(placed, code, key, shared)];
}

/** Reads one observation into measurements and things seen; what is not taken is counted. */
export function readObservation(reading: RecordReading, placed: PlacedResource<'Observation'>): void {
  const { resource } = placed;
  const leave = reading.leaving('Observation');
  if (resource.status === 'entered-in-error') return reading.withdraw(placed);
  if (resource.status === 'cancelled') return leave('not-done');
  const [code, label, measured] = [
    measureCode(resource.code),
    wordsFor(resource.code),
    dayOf(whenOf(resource)),
  ];
  if (!code || !label) return leave('no-name');
  if (!measured) return leave('no-day');
  const items = itemsIn(reading, placed, { code, label }, measured);
  // A panel holds no value of its own: those are observations by themselves.
  if (items.length === 0 && !resource.hasMember?.length) return leave('no-value');
  for (const item of items)
    if ('measured' in item) reading.record.measurements.push(item);
    else reading.add('observations', { ...item, source: 'Observation' });
}
