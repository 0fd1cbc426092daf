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
const coding = z.looseObject({
  system: z.string().optional(),
  code: z.string().optional(),
  display: z.string().optional(),
});
const concept = z.looseObject({ coding: z.array(coding).optional(), text: z.string().optional() });
const reference = z.looseObject({ reference: z.string().optional(), display: z.string().optional() });
const period = z.looseObject({ start: date.optional(), end: date.optional() });
const quantity = z.looseObject({
  value: z.number(),
  unit: z.string().optional(),
  code: z.string().optional(),
});
const identifier = z.looseObject({ value: z.string().optional() });
const humanName = z.looseObject({
  text: z.string().optional(),
  given: z.array(z.string()).optional(),
  family: z.string().optional(),
  prefix: z.array(z.string()).optional(),
});
const extensionPart = z.looseObject({ url: z.string(), valueCodeableConcept: concept.optional() });
const extension = z.looseObject({ url: z.string(), extension: z.array(extensionPart).optional() });
const common = { id: z.string().optional() };
const dosage = z.array(z.looseObject({ text: z.string().optional() })).optional();
const medication = {
  medicationCodeableConcept: concept.optional(),
  medicationReference: reference.optional(),
};

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
    identifier: z.array(identifier).optional(),
    subject: reference.optional(),
    period: period.optional(),
    reasonCode: z.array(concept).optional(),
    location: z.array(z.looseObject({ location: reference })).optional(),
    participant: z.array(z.looseObject({ individual: reference.optional() })).optional(),
  }),
  Observation: z.looseObject({
    ...common,
    resourceType: z.literal('Observation'),
    status: z.string(),
    code: concept,
    subject: reference.optional(),
    effectiveDateTime: date.optional(),
    effectivePeriod: period.optional(),
    performer: z.array(reference).optional(),
    valueQuantity: quantity.optional(),
    valueString: z.string().optional(),
  }),
  Condition: z.looseObject({
    ...common,
    resourceType: z.literal('Condition'),
    clinicalStatus: concept.optional(),
    code: concept.optional(),
    subject: reference.optional(),
    onsetDateTime: date.optional(),
    recordedDate: date.optional(),
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
    subject: reference.optional(),
    authoredOn: date.optional(),
    dosageInstruction: dosage,
  }),
  Medication: z.looseObject({ ...common, resourceType: z.literal('Medication'), code: concept.optional() }),
  ServiceRequest: z.looseObject({
    ...common,
    resourceType: z.literal('ServiceRequest'),
    status: z.string(),
    code: concept.optional(),
    subject: reference.optional(),
    authoredOn: date.optional(),
    occurrenceTiming: z
      .looseObject({
        repeat: z
          .looseObject({
            boundsPeriod: period.optional(),
            period: z.number().optional(),
            periodUnit: z.string().optional(),
          })
          .optional(),
      })
      .optional(),
  }),
  Procedure: z.looseObject({
    ...common,
    resourceType: z.literal('Procedure'),
    status: z.string(),
    code: concept.optional(),
    subject: reference.optional(),
    basedOn: z.array(reference).optional(),
    performedDateTime: date.optional(),
    performedPeriod: period.optional(),
  }),
  Immunization: z.looseObject({
    ...common,
    resourceType: z.literal('Immunization'),
    status: z.string(),
    vaccineCode: concept.optional(),
    patient: reference.optional(),
    occurrenceDateTime: date.optional(),
  }),
  Practitioner: z.looseObject({
    ...common,
    resourceType: z.literal('Practitioner'),
    name: z.array(humanName).optional(),
  }),
};

/** The type of a resource that is read. */
export type ResourceType = keyof typeof RESOURCES;
export type Resource<T extends ResourceType> = z.infer<(typeof RESOURCES)[T]>;
/** A resource of any type that is read. */
export type AnyResource = { [T in ResourceType]: Resource<T> }[ResourceType];
export type Concept = z.infer<typeof concept>;
export type Reference = z.infer<typeof reference>;
export type HumanName = z.infer<typeof humanName>;

/** A Bundle: resources of any type, each by itself held against its own schema. */
export const BundleSchema = z.looseObject({
  resourceType: z.literal('Bundle', {
    error: 'this is not a FHIR Bundle: its resourceType must be "Bundle"',
  }),
  type: z.string(),
  timestamp: z.string().optional(),
  entry: z
    .array(
      z.looseObject({
        fullUrl: z.string().optional(),
        resource: z.looseObject({ resourceType: z.string(), id: z.string().optional() }),
      }),
    )
    .max(20_000),
});
