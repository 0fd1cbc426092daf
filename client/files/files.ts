import { safeStem } from '#core/naming';

/** A title may be longer than the name of a file is read. */
const MOST = 100;

/** The name of a file that is taken away, from a title, with an ending; one that no system minds. */
export const fileName = (title: string, ending: string) => `${safeStem(title, MOST) || 'Draft'}.${ending}`;

/** Hands a file to the browser's own download. */
export function offerFile(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // Given back once the browser has surely begun to read it.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Words as a file of a media type. */
export const textFile = (content: string, type: string) =>
  new Blob([content], { type: `${type};charset=utf-8` });
