import { z } from 'zod';

/**
 * The parts of HL7 FHIR R4 resources that Elderleaf reads. Loose on purpose: a resource may hold anything
 * else besides, but what is read must have the shape the standard gives it.
 */
const date = z
  .string()
  .regex(
    /^\d{4}(-\d{2}(-\d{2}(T\d{2}:\d{2}(:\d{2}(\.\d+)?)?(Z|[+-]\d{2}:\d{2})?)?)?)?$/,
    'must be a FHIR date or dateTime',
  );
const words = z.string().optional();
const coding = z.looseObject({ system: words, code: words, display: words });
const concept = z.looseObject({ coding: z.array(coding).optional(), text: words });
const named = z.looseObject({ system: words, value: words });
const reference = z.looseObject({ reference: words, display: words, identifier: named.optional() });
const references = z.array(reference).optional();
const period = z.looseObject({ start: date.optional(), end: date.optional() });
const quantity = z.looseObject({
  value: z.number().optional(),
  comparator: words,
  unit: words,
  code: words,
  system: words,
});
const range = z.looseObject({ low: quantity.optional(), high: quantity.optional() });
const ratio = z.looseObject({ numerator: quantity.optional(), denominator: quantity.optional() });
const identifier = z.looseObject({ system: words, value: words, use: words });
const humanName = z.looseObject({
  use: words,
  text: words,
  given: z.array(z.string()).optional(),
  family: words,
  prefix: z.array(z.string()).optional(),
});
const extensionPart = z.looseObject({ url: z.string(), valueCodeableConcept: concept.optional() });
const extension = z.looseObject({ url: z.string(), extension: z.array(extensionPart).optional() });
const annotation = z.array(z.looseObject({ text: words })).optional();
const repeat = z.looseObject({
  boundsPeriod: period.optional(),
  frequency: z.number().optional(),
  period: z.number().optional(),
  periodUnit: words,
});
const timing = z.looseObject({ repeat: repeat.optional(), code: concept.optional() });
const dosage = z
  .array(
    z.looseObject({
      text: words,
      timing: timing.optional(),
      asNeededBoolean: z.boolean().optional(),
      route: concept.optional(),
      doseAndRate: z
        .array(z.looseObject({ doseQuantity: quantity.optional(), doseRange: range.optional() }))
        .optional(),
    }),
  )
  .optional();

const common = {
  id: words,
  meta: z.looseObject({ lastUpdated: words, versionId: words }).optional(),
  contained: z.array(z.looseObject({ resourceType: z.string(), id: words })).optional(),
};
const medication = {
  medicationCodeableConcept: concept.optional(),
  medicationReference: reference.optional(),
};
/** What an observation, and each part of one, may say: as a number, in words, as a code, between two, as a ratio. */
const observed = {
  valueQuantity: quantity.optional(),
  valueCodeableConcept: concept.optional(),
  valueString: words,
  valueBoolean: z.boolean().optional(),
  valueInteger: z.number().int().optional(),
  valueRange: range.optional(),
  valueRatio: ratio.optional(),
  valueTime: words,
  valueDateTime: date.optional(),
  valuePeriod: period.optional(),
  interpretation: z.array(concept).optional(),
  referenceRange: z
    .array(z.looseObject({ low: quantity.optional(), high: quantity.optional(), type: concept.optional() }))
    .optional(),
};
const goalStart = { startDate: date.optional(), startCodeableConcept: concept.optional() };

/** The resources of HL7 FHIR R4 that are read, each with the elements used here. */
export const RESOURCES = {
  Patient: z.looseObject({
    ...common,
    resourceType: z.literal('Patient'),
    identifier: z.array(identifier).optional(),
    name: z.array(humanName).optional(),
    gender: z.enum(['male', 'female', 'other', 'unknown']).optional(),
    birthDate: date.optional(),
    extension: z.array(extension).optional(),
  }),
  Encounter: z.looseObject({
    ...common,
    resourceType: z.literal('Encounter'),
    status: z.string(),
    class: coding.optional(),
    type: z.array(concept).optional(),
    subject: reference.optional(),
    period: period.optional(),
    reasonCode: z.array(concept).optional(),
    location: z.array(z.looseObject({ location: reference })).optional(),
    participant: z.array(z.looseObject({ individual: reference.optional() })).optional(),
    serviceProvider: reference.optional(),
  }),
  Observation: z.looseObject({
    ...common,
    ...observed,
    resourceType: z.literal('Observation'),
    status: z.string(),
    code: concept,
    subject: reference.optional(),
    effectiveDateTime: date.optional(),
    effectivePeriod: period.optional(),
    effectiveInstant: date.optional(),
    performer: references,
    component: z.array(z.looseObject({ code: concept, ...observed })).optional(),
    hasMember: references,
  }),
  Condition: z.looseObject({
    ...common,
    resourceType: z.literal('Condition'),
    clinicalStatus: concept.optional(),
    verificationStatus: concept.optional(),
    code: concept.optional(),
    subject: reference.optional(),
    onsetDateTime: date.optional(),
    onsetPeriod: period.optional(),
    abatementDateTime: date.optional(),
    abatementPeriod: period.optional(),
    recordedDate: date.optional(),
  }),
  AllergyIntolerance: z.looseObject({
    ...common,
    resourceType: z.literal('AllergyIntolerance'),
    clinicalStatus: concept.optional(),
    verificationStatus: concept.optional(),
    criticality: words,
    code: concept.optional(),
    patient: reference.optional(),
    onsetDateTime: date.optional(),
    recordedDate: date.optional(),
    reaction: z
      .array(
        z.looseObject({
          substance: concept.optional(),
          manifestation: z.array(concept).optional(),
          description: words,
          severity: words,
        }),
      )
      .optional(),
  }),
  Immunization: z.looseObject({
    ...common,
    resourceType: z.literal('Immunization'),
    status: z.string(),
    statusReason: concept.optional(),
    vaccineCode: concept.optional(),
    patient: reference.optional(),
    occurrenceDateTime: date.optional(),
    occurrenceString: words,
    doseQuantity: quantity.optional(),
    lotNumber: words,
  }),
  ImmunizationRecommendation: z.looseObject({
    ...common,
    resourceType: z.literal('ImmunizationRecommendation'),
    patient: reference.optional(),
    recommendation: z
      .array(
        z.looseObject({
          vaccineCode: z.array(concept).optional(),
          targetDisease: concept.optional(),
          forecastStatus: concept.optional(),
          dateCriterion: z.array(z.looseObject({ value: date.optional() })).optional(),
        }),
      )
      .optional(),
  }),
  Procedure: z.looseObject({
    ...common,
    resourceType: z.literal('Procedure'),
    status: z.string(),
    code: concept.optional(),
    subject: reference.optional(),
    basedOn: references,
    performedDateTime: date.optional(),
    performedPeriod: period.optional(),
    outcome: concept.optional(),
    reasonCode: z.array(concept).optional(),
  }),
  DiagnosticReport: z.looseObject({
    ...common,
    resourceType: z.literal('DiagnosticReport'),
    status: z.string(),
    code: concept.optional(),
    subject: reference.optional(),
    effectiveDateTime: date.optional(),
    effectivePeriod: period.optional(),
    issued: date.optional(),
    conclusion: words,
    conclusionCode: z.array(concept).optional(),
    result: references,
  }),
  CarePlan: z.looseObject({
    ...common,
    resourceType: z.literal('CarePlan'),
    status: z.string(),
    title: words,
    description: words,
    category: z.array(concept).optional(),
    subject: reference.optional(),
    period: period.optional(),
    activity: z
      .array(
        z.looseObject({
          detail: z.looseObject({ code: concept.optional(), description: words, status: words }).optional(),
        }),
      )
      .optional(),
  }),
  Goal: z.looseObject({
    ...common,
    ...goalStart,
    resourceType: z.literal('Goal'),
    lifecycleStatus: z.string(),
    achievementStatus: concept.optional(),
    description: concept.optional(),
    subject: reference.optional(),
    target: z.array(z.looseObject({ dueDate: date.optional(), detailString: words })).optional(),
  }),
  ServiceRequest: z.looseObject({
    ...common,
    resourceType: z.literal('ServiceRequest'),
    status: z.string(),
    doNotPerform: z.boolean().optional(),
    code: concept.optional(),
    subject: reference.optional(),
    authoredOn: date.optional(),
    occurrenceDateTime: date.optional(),
    occurrenceTiming: timing.optional(),
    reasonCode: z.array(concept).optional(),
  }),
  FamilyMemberHistory: z.looseObject({
    ...common,
    resourceType: z.literal('FamilyMemberHistory'),
    status: z.string(),
    patient: reference.optional(),
    name: words,
    relationship: concept.optional(),
    date: date.optional(),
    deceasedBoolean: z.boolean().optional(),
    condition: z
      .array(z.looseObject({ code: concept.optional(), outcome: concept.optional(), note: annotation }))
      .optional(),
  }),
  MedicationStatement: z.looseObject({
    ...common,
    ...medication,
    resourceType: z.literal('MedicationStatement'),
    status: z.string(),
    subject: reference.optional(),
    effectiveDateTime: date.optional(),
    effectivePeriod: period.optional(),
    dosage,
  }),
  MedicationRequest: z.looseObject({
    ...common,
    ...medication,
    resourceType: z.literal('MedicationRequest'),
    status: z.string(),
    intent: words,
    doNotPerform: z.boolean().optional(),
    subject: reference.optional(),
    authoredOn: date.optional(),
    dosageInstruction: dosage,
  }),
  Medication: z.looseObject({ ...common, resourceType: z.literal('Medication'), code: concept.optional() }),
  Practitioner: z.looseObject({
    ...common,
    resourceType: z.literal('Practitioner'),
    name: z.array(humanName).optional(),
  }),
};

/** The type of a resource that is read. */
export type ResourceType = keyof typeof RESOURCES;
/** A resource of a type that is read. */
export type Resource<T extends ResourceType> = z.infer<(typeof RESOURCES)[T]>;
export type Concept = z.infer<typeof concept>;
export type Reference = z.infer<typeof reference>;
export type Quantity = z.infer<typeof quantity>;
export type HumanName = z.infer<typeof humanName>;
export type Dosage = NonNullable<z.infer<typeof dosage>>[number];
/** What an observation, or a part of one, says. */
export type Observed = z.infer<z.ZodObject<typeof observed>>;

/** A Bundle of any type: resources, each by itself held against its own schema. An entry may hold none, as one that was deleted. */
export const BundleSchema = z.looseObject({
  resourceType: z.literal('Bundle'),
  type: z.string(),
  timestamp: words,
  entry: z
    .array(
      z.looseObject({
        fullUrl: words,
        resource: z.looseObject({ resourceType: z.string(), id: words }).optional(),
      }),
    )
    .max(100_000)
    .default([]),
});
