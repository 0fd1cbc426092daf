/** A file name from a title: no characters that a system forbids. */
export const fileName = (title: string, ending: string) =>
  `${
    title
      .replace(/[\\/:*?"<>|\p{C}]+/gu, ' ')
      .replace(/\s+/g, ' ')
      .trim()
      .slice(0, 100) || 'Draft'
  }.${ending}`;

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
