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
  if (resource.status === 'not-taken' || resource.status === 'cancelled') return leave('not-done');
  const name = medicineName(reading, placed);
  if (!name) return leave('no-name');
  const isRequest = resource.resourceType === 'MedicationRequest';
  const dose = doseInWords((isRequest ? resource.dosageInstruction : resource.dosage)?.[0]);
  const key = reading.keyOf(placed);
  reading.record.medicines.push({
    name: cutTo(name, 2000),
    dose: dose && cutTo(dose, 2000),
    status: STATUS[resource.status] ?? 'ended',
    ...datesOf(placed),
    source: isRequest ? 'Prescription' : 'Medicine list',
    ...(key && { key }),
  });
}
