export { readFhir, readingFhir } from './fromFhir';
export type { ReadCase } from './fromFhir';
export { noteBundle, type ClinicalNote } from './toFhir';
export type { FhirFile } from './bundle';
