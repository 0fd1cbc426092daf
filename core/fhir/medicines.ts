import { cutTo } from '#core/language';
import type { Medicine } from '#core/record';
import { follow, type PlacedResource } from './bundle';
import type { RecordReading } from './reading';
import { dayOf, doseInWords, wordsFor } from './words';

type PlacedMedication = PlacedResource<'MedicationStatement'> | PlacedResource<'MedicationRequest'>;

const STATUS: Record<string, Medicine['status']> = {
  active: 'active',
  'on-hold': 'active',
  unknown: 'active',
  intended: 'planned',
  draft: 'planned',
};

/** What is said of a medicine that is neither plainly given nor plainly stopped: it is listed, and not called given. */
const DOUBTFUL: Record<string, string> = { 'on-hold': 'on hold', unknown: 'not known whether given' };

/** What a request is only meant as: nobody has ordered it. */
const MEANT = new Set(['proposal', 'plan']);

const statusOf = (resource: PlacedMedication['resource']): Medicine['status'] => {
  const status = STATUS[resource.status] ?? 'ended';
  const isMeant = resource.resourceType === 'MedicationRequest' && MEANT.has(resource.intent ?? '');
  return status === 'active' && isMeant ? 'planned' : status;
};

/** Whether it says that something is not taken, was called off, or must not be given. */
const isNotGiven = (resource: PlacedMedication['resource']): boolean =>
  ['not-taken', 'cancelled'].includes(resource.status) ||
  (resource.resourceType === 'MedicationRequest' && resource.doNotPerform === true);

/** The name of a medicine, said in the resource itself or in the Medication it refers to. */
function medicineName({ taken }: RecordReading, placed: PlacedMedication): string | null {
  const { medicationCodeableConcept: concept, medicationReference: reference } = placed.resource;
  const target = follow(taken, reference, placed)?.resource;
  const referred = target?.resourceType === 'Medication' ? wordsFor(target.code) : null;
  return wordsFor(concept) ?? referred ?? reference?.display ?? null;
}

function datesOf({ resource }: PlacedMedication) {
  if (resource.resourceType === 'MedicationRequest')
    return { since: dayOf(resource.authoredOn), until: null };
  const { effectivePeriod: period, effectiveDateTime } = resource;
  return { since: dayOf(period?.start ?? effectiveDateTime), until: dayOf(period?.end) };
}

/** Reads one medicine that is given or prescribed; what is not taken is counted. */
export function readMedicine(reading: RecordReading, placed: PlacedMedication): void {
  const { resource } = placed;
  const leave = reading.leaving(resource.resourceType);
  if (resource.status === 'entered-in-error') return reading.withdraw(placed);
  if (isNotGiven(resource)) return leave('not-done');
  const name = medicineName(reading, placed);
  if (!name) return leave('no-name');
  const isRequest = resource.resourceType === 'MedicationRequest';
  const dose = doseInWords((isRequest ? resource.dosageInstruction : resource.dosage)?.[0]);
  const said = [dose, DOUBTFUL[resource.status]].filter(Boolean).join(', ') || null;
  const key = reading.keyOf(placed);
  reading.record.medicines.push({
    name: cutTo(name, 2000),
    dose: said && cutTo(said, 2000),
    status: statusOf(resource),
    ...datesOf(placed),
    source: isRequest ? 'Prescription' : 'Medicine list',
    ...(key && { key }),
  });
}
