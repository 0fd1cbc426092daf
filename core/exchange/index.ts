export { readFhirBundle } from './fromFhir';
export type { FhirReading, ReadCase } from './fromFhir';
export type { Fault } from './fault';
export { toHtml, toHtmlPage } from './toHtml';
export { withAddresses } from './withAddresses';
export { toMarkdown } from './toMarkdown';
export { sheetTable } from './sheetTable';
export type { SheetTableRow } from './sheetTable';
