export { filesPacked, isArchive, listArchive, withParts, xmlParts, zipped } from './archive';
export { decodedText } from './decodedText';
export type { ReadDocument } from './readers';

/** What reads documents, with the editor's schema and the libraries for it: fetched only by those who drop one. */
export const documentReaders = () => import('./readers');
