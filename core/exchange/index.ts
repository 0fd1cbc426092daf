export { toHtml, toHtmlPage } from './toHtml';
export { withAddresses } from './withAddresses';
export { toMarkdown } from './toMarkdown';
export { sheetTable } from './sheetTable';
export type { SheetTableRow } from './sheetTable';
export {
  abbreviationList,
  bankCsv,
  bankHtmlPage,
  bankMarkdown,
  bankPassage,
  bankTable,
  csvOf,
  type AbbreviationForm,
} from './bankFiles';
export type { BankRow } from './bankRows';
