import type { TrayLine } from '#contracts';
import { paperReader, type ReadPaper } from '../../documents';
import type { TrayFiles } from './here/trayFiles';

/** How far the reading of a tray's files has come. */
export interface Reading {
  read: number;
  of: number;
}

/** What was read of a tray's files: the one in hand first, then those that come after it, one by one. */
export class PaperShelf {
  private readonly papers = new Map<string, ReadPaper>();
  private readonly asked = new Map<string, Promise<ReadPaper | null>>();
  private queue: TrayLine[] = [];
  private isRunning = false;
  private isOver = false;
  private readonly hear = new Set<() => void>();
  private turn = 0;

  constructor(private readonly files: TrayFiles) {}

  readonly subscribe = (listener: () => void): (() => void) => {
    this.hear.add(listener);
    return () => this.hear.delete(listener);
  };
  /** Changes with each paper that was read. */
  readonly snapshot = (): number => this.turn;

  /** What was read of a line's file; undefined as long as it was not. */
  of(line: string): ReadPaper | undefined {
    return this.papers.get(line);
  }

  /** How many of some lines were read. */
  progress(lines: readonly TrayLine[]): Reading {
    return { read: lines.filter(({ id }) => this.papers.has(id)).length, of: lines.length };
  }

  /** Reads the files of lines in this order, in place of what was to be read before; those that were read stay. */
  wanted(lines: readonly TrayLine[]): void {
    this.queue = lines.filter(({ id }) => !this.papers.has(id));
    if (!this.isRunning) void this.run();
  }

  /** Nothing more is read. */
  end(): void {
    this.isOver = true;
    this.queue = [];
  }

  private async read(line: TrayLine): Promise<ReadPaper | null> {
    const file = await this.files.file(line).catch(() => null);
    if (!file) return null;
    const { readPaper } = await paperReader();
    return readPaper(file);
  }

  private async run(): Promise<void> {
    this.isRunning = true;
    for (let line = this.queue.shift(); line && !this.isOver; line = this.queue.shift()) {
      const asked = this.asked.get(line.id) ?? this.read(line);
      this.asked.set(line.id, asked);
      const paper = await asked;
      if (paper) this.papers.set(line.id, paper);
      else this.asked.delete(line.id);
      this.turn += 1;
      for (const listener of this.hear) listener();
    }
    this.isRunning = false;
  }
}
