export {
  filesPacked,
  IS_MAIL,
  isArchive,
  listArchive,
  mailFiles,
  textFiles,
  withParts,
  xmlParts,
  zipped,
} from './archive';
export { documentKind } from './documentKind';
export { decodedText } from './decodedText';
export { isPdf } from './pdf/isPdf';
export { pictureKind } from './pictureKind';
export type { ReadDocument } from './readers';

export { workbook } from './workbook';
export { isWorkbook } from './isWorkbook';

/** What reads tables, with its libraries: fetched only by those who bring one. */
export const tableReader = () => import('./tables');

/** What reads documents, with the editor's schema and the libraries for it: fetched only by those who drop one. */
export const documentReaders = () => import('./readers');

/** What opens PDFs, with its library: fetched only by those who have one. */
export const pdfReader = () => import('./pdf/reader');

/** What writes comments into PDFs, with its library: fetched only by those who take one away. */
export const pdfWriter = () => import('./pdf/annotatePdf');

/** What reads tables, documents and lists that entries are made of, with its libraries: fetched only by those who bring one in. */
export const intakeReader = () => import('./intake');
export type { Intake } from './intake';

/** What reads files to be named, with its libraries: fetched only by those who have a tray. */
export const paperReader = () => import('./paper/reader');
export type { ReadPaper } from './paper/readPaper';

/** What opens pages to be marked, with its library: fetched only by those who mark one. */
export const pageSources = () => import('./pdf/pageSource');
export type { PageNote } from './pdf/pdfPages';
export type { PagePart, PageSize, PageSource } from './pdf/pageSource';

/** What writes markings into pages, with its library: fetched only by those who take one away. */
export const pageWriter = () => import('./pdf/markPdf');
export type { MarkedAs, MarkingOut, PagePicture } from './pdf/markPdf';
