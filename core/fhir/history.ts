import { cutTo } from '#core/language';
import type { HistoryItem, HistoryListId, HealthProblem } from '#core/record';
import { follow, type PlacedResource } from './bundle';
import type { RecordReading } from './reading';
import type { Concept, Resource, ResourceType } from './resources';
import { allInWords, codesOf, dayOf, quantityInWords, wordsFor } from './words';

type Said = Pick<HistoryItem, 'label' | 'note' | 'status' | 'since' | 'until'>;
/** What a resource says as an item of a history; null where it has no name. */
type Reads<T extends ResourceType> = (
  reading: RecordReading,
  placed: PlacedResource<T>,
) => (Omit<Said, 'label'> & { label: string | null }) | null;

const joined = (parts: readonly (string | null | undefined)[], between = ', '): string | null =>
  parts.filter(Boolean).join(between) || null;

/** The codes of SNOMED CT that say that no allergy is known, of medicines, of food, or of anything. */
const NO_ALLERGIES = new Set(['716186003', '409137002', '429625007', '428607008']);

const isNone = (label: string | null, codes: readonly string[]): boolean =>
  codes.some((code) => NO_ALLERGIES.has(code)) || /^no known\b.*allerg/i.test(label ?? '');

const allergy: Reads<'AllergyIntolerance'> = (_reading, { resource }) => {
  const label = wordsFor(resource.code) ?? wordsFor(resource.reaction?.[0]?.substance);
  const status = codesOf(resource.clinicalStatus)[0] ?? 'active';
  const happened = (resource.reaction ?? []).map(({ manifestation, description, severity }) =>
    joined([allInWords(manifestation) ?? description, severity]),
  );
  const risk = resource.criticality === 'high' ? 'high risk' : null;
  return {
    label,
    note: joined([...happened, risk, unconfirmed(resource.verificationStatus)], '; '),
    status: isNone(label, codesOf(resource.code)) ? 'none' : status === 'active' ? 'active' : 'over',
    since: dayOf(resource.onsetDateTime) ?? dayOf(resource.recordedDate),
    until: null,
  };
};

const immunisation: Reads<'Immunization'> = (_reading, { resource }) => {
  const lot = resource.lotNumber ? `lot ${resource.lotNumber}` : null;
  const isGiven = resource.status === 'completed';
  return {
    label: wordsFor(resource.vaccineCode),
    note: isGiven
      ? joined([quantityInWords(resource.doseQuantity), lot, resource.occurrenceString])
      : wordsFor(resource.statusReason),
    status: isGiven ? 'over' : 'left',
    since: dayOf(resource.occurrenceDateTime),
    until: null,
  };
};

const PROCEDURE: Record<string, HistoryItem['status']> = {
  completed: 'over',
  'in-progress': 'active',
  'on-hold': 'active',
  preparation: 'planned',
};

const procedure: Reads<'Procedure'> = (_reading, { resource }) => ({
  label: wordsFor(resource.code),
  note: joined([wordsFor(resource.outcome), allInWords(resource.reasonCode)], '; '),
  status: PROCEDURE[resource.status] ?? 'left',
  since: dayOf(resource.performedDateTime ?? resource.performedPeriod?.start),
  until: dayOf(resource.performedPeriod?.end),
});

/** A result as a report tells it: its name and its value. */
function resultsInWords(reading: RecordReading, placed: PlacedResource<'DiagnosticReport'>): string | null {
  const results = (placed.resource.result ?? []).flatMap((reference) => {
    const found = follow(reading.taken, reference, placed)?.resource;
    if (found?.resourceType !== 'Observation') return reference.display ?? [];
    const value =
      quantityInWords(found.valueQuantity) ?? found.valueString ?? wordsFor(found.valueCodeableConcept);
    const label = wordsFor(found.code);
    return label && value ? `${label} ${value}` : [];
  });
  return joined(results, '; ');
}

const report: Reads<'DiagnosticReport'> = (reading, placed) => {
  const { resource } = placed;
  const conclusion = resource.conclusion ?? allInWords(resource.conclusionCode);
  return {
    label: wordsFor(resource.code),
    note: joined([conclusion, resultsInWords(reading, placed)], ': '),
    status: ['final', 'amended', 'corrected', 'appended'].includes(resource.status) ? 'over' : 'active',
    since: dayOf(resource.effectiveDateTime ?? resource.effectivePeriod?.start ?? resource.issued),
    until: null,
  };
};

const PLAN: Record<string, HistoryItem['status']> = {
  active: 'active',
  'on-hold': 'active',
  draft: 'planned',
  completed: 'over',
};

const plan: Reads<'CarePlan'> = (_reading, { resource }) => ({
  label: resource.title ?? allInWords(resource.category) ?? resource.description ?? null,
  note: joined(
    (resource.activity ?? []).map(({ detail }) => wordsFor(detail?.code) ?? detail?.description),
    '; ',
  ),
  status: PLAN[resource.status] ?? 'left',
  since: dayOf(resource.period?.start),
  until: dayOf(resource.period?.end),
});

const GOAL: Record<string, HistoryItem['status']> = {
  ...{ accepted: 'active', active: 'active', 'on-hold': 'active', proposed: 'planned', planned: 'planned' },
  completed: 'over',
};

const goal: Reads<'Goal'> = (_reading, { resource }) => {
  const [target] = resource.target ?? [];
  return {
    label: wordsFor(resource.description),
    note: joined([wordsFor(resource.achievementStatus), target?.detailString]),
    status: GOAL[resource.lifecycleStatus] ?? 'left',
    since: dayOf(resource.startDate),
    until: dayOf(target?.dueDate),
  };
};

const REQUEST: Record<string, HistoryItem['status']> = {
  ...{ active: 'active', 'on-hold': 'active', draft: 'planned', completed: 'over' },
};

const request: Reads<'ServiceRequest'> = (_reading, { resource }) => ({
  label: wordsFor(resource.code),
  note: allInWords(resource.reasonCode),
  status: REQUEST[resource.status] ?? 'left',
  since: dayOf(resource.authoredOn),
  until: dayOf(resource.occurrenceDateTime),
});

const relative: Reads<'FamilyMemberHistory'> = (_reading, { resource }) => ({
  label: joined([wordsFor(resource.relationship), resource.name]),
  note: joined(
    [
      ...(resource.condition ?? []).map(({ code, outcome }) => joined([wordsFor(code), wordsFor(outcome)])),
      resource.deceasedBoolean ? 'has died' : null,
    ],
    '; ',
  ),
  status: 'active',
  // Its `date` is when it was written down, and not when anything was.
  since: null,
  until: null,
});

const STAY: Record<string, HistoryItem['status']> = {
  ...{ planned: 'planned', arrived: 'active', triaged: 'active', 'in-progress': 'active', onleave: 'active' },
  finished: 'over',
};

/** An encounter, as an item of the stays of a record. */
export const stay: Reads<'Encounter'> = (_reading, { resource }) => ({
  label:
    allInWords(resource.type) ??
    resource.serviceProvider?.display ??
    resource.location?.[0]?.location.display ??
    resource.class?.display ??
    'Stay',
  note: allInWords(resource.reasonCode),
  status: STAY[resource.status] ?? 'left',
  since: dayOf(resource.period?.start),
  until: dayOf(resource.period?.end),
});

interface Row<T extends ResourceType> {
  type: T;
  list: HistoryListId;
  source: string;
  read: Reads<T>;
}
const row = <T extends ResourceType>(one: Row<T>) => one as unknown as Row<ResourceType>;

/** Which resources become items of which list. A further one is a row. */
const ROWS: readonly Row<ResourceType>[] = [
  row({ type: 'AllergyIntolerance', list: 'allergies', source: 'Allergy list', read: allergy }),
  row({ type: 'Immunization', list: 'immunisations', source: 'Immunisation', read: immunisation }),
  row({ type: 'Procedure', list: 'procedures', source: 'Procedure', read: procedure }),
  row({ type: 'DiagnosticReport', list: 'reports', source: 'Report', read: report }),
  row({ type: 'CarePlan', list: 'plans', source: 'Care plan', read: plan }),
  row({ type: 'Goal', list: 'goals', source: 'Goal', read: goal }),
  row({ type: 'ServiceRequest', list: 'requests', source: 'Request', read: request }),
  row({ type: 'FamilyMemberHistory', list: 'family', source: 'Family history', read: relative }),
];

/** How far a problem or an allergy is verified. */
const verifiedBy = (resource: PlacedResource['resource']): Concept | undefined =>
  resource.resourceType === 'Condition' || resource.resourceType === 'AllergyIntolerance'
    ? resource.verificationStatus
    : undefined;

/** What is said of a problem or an allergy that nobody has confirmed; null for a confirmed one. */
const unconfirmed = (concept: Concept | undefined): string | null =>
  codesOf(concept).find((code) => ['unconfirmed', 'provisional', 'differential'].includes(code)) ?? null;

/** Whether a resource says that it was entered in error, by its status or by how far it is verified. */
function isInError(resource: PlacedResource['resource']): boolean {
  const { status, lifecycleStatus } = resource as { status?: unknown; lifecycleStatus?: unknown };
  return (
    status === 'entered-in-error' ||
    lifecycleStatus === 'entered-in-error' ||
    codesOf(verifiedBy(resource)).includes('entered-in-error')
  );
}

const isRefuted = (resource: PlacedResource['resource']): boolean =>
  codesOf(verifiedBy(resource)).includes('refuted');

/** Whether a request is that something must not be done. */
const isForbidden = (resource: PlacedResource['resource']): boolean =>
  resource.resourceType === 'ServiceRequest' && resource.doNotPerform === true;

/** Whether a request asks for care that comes round again: that is read as such. */
const isRecurring = (resource: PlacedResource['resource']): boolean =>
  resource.resourceType === 'ServiceRequest' && resource.occurrenceTiming?.repeat?.period !== undefined;

/** Adds what one resource says to a list of the history; what is not taken is counted. */
function readItem(
  reading: RecordReading,
  { type, list, source, read }: Row<ResourceType>,
  placed: PlacedResource,
): void {
  const { resource } = placed;
  if (isInError(resource)) return reading.withdraw(placed);
  if (isRefuted(resource) || isForbidden(resource)) return reading.leaving(type)('not-done');
  if (isRecurring(resource)) return;
  const said = read(reading, placed);
  if (!said?.label) return reading.leaving(type)('no-name');
  const key = reading.keyOf(placed);
  const { label, note, ...rest } = said;
  reading.add(list, {
    ...{ label: cutTo(label, 2000), note: note && cutTo(note, 2000), ...rest, source },
    ...(key && { key }),
  });
}

/** Reads allergies, vaccinations, procedures and all else that is told as a list. */
export function readHistory(reading: RecordReading): void {
  for (const one of ROWS) for (const placed of reading.ofType(one.type)) readItem(reading, one, placed);
}

/** Whether a problem is there still: as its source says, else by whether it has an end. */
function problemStatus(
  { clinicalStatus }: Resource<'Condition'>,
  until: string | null,
): HealthProblem['status'] {
  const status = codesOf(clinicalStatus)[0] ?? wordsFor(clinicalStatus)?.toLowerCase();
  if (status) return ['resolved', 'inactive', 'remission'].includes(status) ? 'resolved' : 'active';
  return until === null ? 'active' : 'resolved';
}

/** Reads one problem; what is not taken is counted. */
export function readProblem(reading: RecordReading, placed: PlacedResource<'Condition'>): void {
  const { resource } = placed;
  if (isInError(resource)) return reading.withdraw(placed);
  if (isRefuted(resource)) return reading.leaving('Condition')('not-done');
  const label = wordsFor(resource.code);
  if (!label) return reading.leaving('Condition')('no-name');
  const doubt = unconfirmed(resource.verificationStatus);
  const until = dayOf(resource.abatementDateTime ?? resource.abatementPeriod?.end);
  const since = dayOf(resource.onsetDateTime ?? resource.onsetPeriod?.start) ?? dayOf(resource.recordedDate);
  const key = reading.keyOf(placed);
  const problem: HealthProblem = {
    ...{
      label: cutTo(doubt ? `${label} (${doubt})` : label, 2000),
      status: problemStatus(resource, until),
      since,
    },
    source: 'Problem list',
    ...(until && { until }),
    ...(key && { key }),
  };
  reading.record.problems.push(problem);
}
