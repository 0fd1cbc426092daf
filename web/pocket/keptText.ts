/** Under this name a tab keeps the text of the pocket. */
export const KEPT = 'pocket';
