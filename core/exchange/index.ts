export { toHtml } from './toHtml';
export { toMarkdown } from './toMarkdown';
export { FILE_FORMATS, fileFormat, type FileFormat, type FormatName } from './formats';
export { asPlain, TEXT_FORMATS, writtenAs } from './writtenAs';
export { csvOf } from './csv';
export { sheetTable } from './sheetTable';
export type { SheetTableRow } from './sheetTable';
export {
  abbreviationList,
  bankCsv,
  bankHtmlPage,
  bankMarkdown,
  bankPassage,
  bankTable,
  type AbbreviationForm,
} from './bankFiles';
export type { BankRow } from './bankRows';
