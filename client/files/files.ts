import { fileFormat, type FormatName } from '#core/exchange';
import { alikeKey, safeStem } from '#core/naming';

/** A title may be longer than the name of a file is read. */
const MOST = 100;

/** The name of a file that is taken away, from a title; one that no system minds. */
export const fileName = (title: string, format: FormatName): string =>
  `${safeStem(title, MOST) || 'Draft'}.${fileFormat(format).ending}`;

/** Names of files that go into one archive: each is given once, whatever titles are alike, and however long they are. */
export class ArchiveNames {
  private readonly taken = new Set<string>();

  /** The name of the next file, from its title: with the first free number behind it where another has it already. */
  take(title: string, format: FormatName): string {
    for (let count = 1; ; count += 1) {
      const behind = count === 1 ? '' : ` ${count}`;
      const stem = safeStem(title, MOST - behind.length) || 'Draft';
      const name = `${stem}${behind}.${fileFormat(format).ending}`;
      if (this.taken.has(alikeKey(name))) continue;
      this.taken.add(alikeKey(name));
      return name;
    }
  }
}

/** What stands in a file, as a file of a format. */
export const fileOf = (format: FormatName, content: string | Uint8Array): Blob => {
  const { media } = fileFormat(format);
  return typeof content === 'string'
    ? new Blob([content], { type: `${media};charset=utf-8` })
    : new Blob([content as Uint8Array<ArrayBuffer>], { type: media });
};

/** Hands a file to the browser's own download. */
export function offerFile(blob: Blob, name: string): void {
  const link = document.createElement('a');
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  // Given back once the browser has surely begun to read it.
  setTimeout(() => URL.revokeObjectURL(link.href), 60_000);
}

/** Hands what stands in a file of a format to the browser's own download, named by its title. */
export const offerAs = (format: FormatName, content: string | Uint8Array | Blob, title: string): void =>
  offerFile(content instanceof Blob ? content : fileOf(format, content), fileName(title, format));
