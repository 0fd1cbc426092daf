import { MOST_LINES_AT_ONCE, type FileInTray, type TrayLine } from '#contracts';
import { call, ForPeople } from '#client/api';
import { chosenFiles, keepTrayHere, trayHere } from '#client/atHand';
import { bytesOfFile } from '#client/files';
import { TRAY_LIMITS } from '#core/naming';
import { changeLines, putLines } from '../useTray';
import { filesIn, isPermitted, type FoundFile } from './fileSystem';
import { keyOf, knownAgain } from './knownAgain';

/** A file of a line on this computer. */
interface FileHere {
  get: () => Promise<File>;
  /** The folder that it is in, where that was opened: it can be renamed there. */
  within: FileSystemDirectoryHandle | null;
}

/** What is known of where files are; what a page shows follows it. */
export interface FilesHere {
  /** The folder that was opened; null for none. */
  folder: FileSystemDirectoryHandle | null;
  /** Whether the browser must be asked again before it opens that folder, or files that were dropped. */
  mustAsk: boolean;
  /** Lines whose files are at hand. */
  open: ReadonlySet<string>;
}

const asTold = (folder: string, file: File): FileInTray => ({
  ...{ id: crypto.randomUUID(), folder, name: file.name, bytes: file.size },
  changed: new Date(file.lastModified).toISOString(),
});

/** Files that were dropped elsewhere in this window, for a tray that is not open yet. */
const waiting = new Map<string, readonly File[]>();

/** Hands files on to the tray of a case: they are in it once it is opened in this window. */
export const handOnFiles = (of: string, files: readonly File[]): void => void waiting.set(of, files);

/** The files of a tray on this computer, by the lines that name them. Nothing of them is sent anywhere. */
export class TrayFiles {
  private readonly files = new Map<string, FileHere>();
  private readonly handles = new Map<string, FileSystemFileHandle>();
  private folder: FileSystemDirectoryHandle | null = null;
  private mustAsk = false;
  private readonly hear = new Set<() => void>();
  private told: FilesHere = { folder: null, mustAsk: false, open: new Set() };

  constructor(
    private readonly of: string,
    /** The lines as they are at the moment. */
    private readonly lines: () => readonly TrayLine[],
  ) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.hear.add(listener);
    return () => this.hear.delete(listener);
  };
  readonly snapshot = (): FilesHere => this.told;

  private tell(): void {
    this.told = { folder: this.folder, mustAsk: this.mustAsk, open: new Set(this.files.keys()) };
    for (const listener of this.hear) listener();
  }

  /** The file of a line; a copy that is kept with the case where it is not at hand here. Null where there is none. */
  async file(line: Pick<TrayLine, 'id' | 'name' | 'changed' | 'file'>): Promise<File | null> {
    const here = this.files.get(line.id);
    if (here) return here.get();
    if (line.file === null) return null;
    const bytes = await bytesOfFile(this.of, line.file, line.name);
    return new File([bytes as BlobPart], line.name, { lastModified: Date.parse(line.changed) });
  }

  /** The opened folder that a line's file is in; null where it is in none. */
  within(line: TrayLine): FileSystemDirectoryHandle | null {
    return this.files.get(line.id)?.within ?? null;
  }

  /** Takes the files that were dropped elsewhere for this tray. */
  private async takeWaiting(): Promise<void> {
    const files = waiting.get(this.of);
    if (!files) return;
    waiting.delete(this.of);
    await this.take(files.map((file) => ({ file, folder: '', handle: null })));
  }

  /** Opens again what was open when this computer showed the tray last, as far as the browser lets it without asking. */
  async again(): Promise<void> {
    await this.takeWaiting();
    for (const [line, file] of chosenFiles(this.of))
      this.files.set(line, { get: () => Promise.resolve(file), within: null });
    this.tell();
    const kept = await trayHere(this.of);
    if (!kept || this.folder) return;
    for (const [line, handle] of Object.entries(kept.files)) this.handles.set(line, handle);
    this.folder = kept.folder;
    await this.open(false);
  }

  /** Opens again with asking: right after a key or a button. */
  async ask(): Promise<void> {
    await this.open(true);
  }

  private async open(ask: boolean): Promise<void> {
    const wanted: FileSystemHandle[] = [...(this.folder ? [this.folder] : []), ...this.handles.values()];
    this.mustAsk = false;
    for (const handle of wanted) this.mustAsk ||= !(await isPermitted(handle, 'read', ask));
    if (!this.mustAsk) {
      for (const [line, handle] of this.handles)
        this.files.set(line, { get: () => handle.getFile(), within: null });
      if (this.folder) await this.look();
    }
    this.tell();
  }

  /** Opens a folder, and adds what is in it. Gives how many files are new. */
  async openFolder(folder: FileSystemDirectoryHandle): Promise<number> {
    this.folder = folder;
    this.mustAsk = false;
    await this.keep();
    return this.look();
  }

  /** Looks into the open folder again, for files that came meanwhile. Gives how many are new. */
  async look(): Promise<number> {
    if (!this.folder || this.mustAsk) return 0;
    const found = await filesIn(this.folder, TRAY_LIMITS.lines);
    for (const [id, { within }] of this.files) if (within) this.files.delete(id);
    const { ofLines, fresh, untold } = await knownAgain(found, this.lines());
    for (const [line, one] of ofLines)
      this.files.set(line, { get: () => one.handle.getFile(), within: one.within });
    const added: { told: FileInTray; one: FoundFile }[] = [];
    for (const one of fresh) {
      const file = await one.handle.getFile().catch(() => null);
      if (file) added.push({ told: asTold(one.folder, file), one });
    }
    for (const { told, one } of added)
      this.files.set(told.id, { get: () => one.handle.getFile(), within: one.within });
    await this.add(added.map(({ told }) => told));
    this.tell();
    if (untold.length > 0) await changeLines(this.of, untold);
    return added.length;
  }

  /** Adds files that were chosen or dropped; one that is in the tray already is known again. Gives how many are new. */
  async take(
    files: readonly { file: File; folder: string; handle: FileSystemFileHandle | null }[],
  ): Promise<number> {
    const known = new Map(
      this.lines().map((line) => [`${keyOf(line.folder, line.name)} ${line.bytes}`, line]),
    );
    const added: FileInTray[] = [];
    for (const { file, folder, handle } of files) {
      const line = known.get(`${keyOf(folder, file.name)} ${file.size}`);
      const told = asTold(folder, file);
      const id = line?.id ?? told.id;
      if (!line) added.push(told);
      if (handle) this.handles.set(id, handle);
      else chosenFiles(this.of).set(id, file);
      this.files.set(id, {
        get: handle ? () => handle.getFile() : () => Promise.resolve(file),
        within: null,
      });
    }
    await this.add(added);
    await this.keep();
    this.tell();
    return added.length;
  }

  private async add(files: readonly FileInTray[]): Promise<void> {
    const long = files.find(({ name }) => name.length > TRAY_LIMITS.name);
    if (long) throw new ForPeople(`${long.name.slice(0, 60)} … has too long a name. Nothing was added.`);
    for (let at = 0; at < files.length; at += MOST_LINES_AT_ONCE) {
      const body = { files: files.slice(at, at + MOST_LINES_AT_ONCE) };
      const { lines } = await call('addTrayLines', { params: { case: this.of }, body });
      putLines(this.of, lines);
    }
  }

  private async keep(): Promise<void> {
    await keepTrayHere({ case: this.of, folder: this.folder, files: Object.fromEntries(this.handles) });
  }
}
