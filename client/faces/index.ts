/** The book face as it goes into files: which part of it has which signs, and the files of these parts. */
export { faceOf, missingSigns, runsOfFaces, type Face } from './faces';

/** The address of each part of the book face, in each look. Apart: only who writes files with it needs them. */
export const bookFaces = () => import('./bookFaces').then(({ BOOK_FACES }) => BOOK_FACES);
