export { readFhir, readingFhir } from './fromFhir';
export type { FhirReading, ReadCase } from './fromFhir';
export type { FhirFile } from './bundle';
export type { Fault } from './fault';
