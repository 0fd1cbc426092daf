import type { BatchRow } from '#contracts';
import {
  cellIn,
  columnFilling,
  Decider,
  faultsOfRow,
  hasChangedSince,
  hasMovedOn,
  letterState,
  recordOfRow,
  rowLetter,
  sealOf,
  type BatchSetup,
  type LetterState,
  type RowFault,
} from '#core/batch';
import { entryIn, type BankIndex } from '#core/bank';
import type { DraftDocument } from '#core/draft';
import type { EntryContent } from '#core/entry';
import { finishedPassage, gapsOf, type Gap } from '#core/fill';
import { headOf, messageOf, usualHead, type Head } from '#core/letter';
import { plainText } from '#core/passage';
import type { CaseRecord } from '#core/record';
import type { Writer } from '#core/signing';

/** The letter of a row, with all that is known of it. */
export interface Letter {
  row: BatchRow;
  /** Who it is to, else what the row begins with. */
  name: string;
  state: LetterState;
  /** The entry decided on, by hand or by a rule; null for none, and where it is not in reach. */
  entry: string | null;
  title: string | null;
  /** As the row and the wording make it; null where nothing was decided. */
  fresh: DraftDocument | null;
  /** As it goes out: as it was changed by hand, else fresh. */
  document: DraftDocument | null;
  head: Head | null;
  gaps: readonly Gap[];
  faults: readonly RowFault[];
  seal: string;
  /** It was checked, and reads otherwise by now. */
  hasChanged: boolean;
  /** It was changed by hand, and its wording or its row has become another since. */
  hasMovedOn: boolean;
}

/** What a letter is known by: all that its reader gets. */
const sealOfLetter = (document: DraftDocument, head: Head): string =>
  sealOf(JSON.stringify([head.to, head.cc, head.subject, plainText(messageOf(finishedPassage(document)))]));

interface Source {
  setup: Pick<BatchSetup, 'columns' | 'rules' | 'day'>;
  index: BankIndex;
  /** Who signs letters of an entry. */
  writerOf: (entry: string) => Writer;
}

/** Makes the letters of a batch, each once for as long as its row stays what it is. */
export class LetterMaker {
  private readonly decider: Decider;
  private readonly made = new WeakMap<BatchRow, Letter>();

  constructor(private readonly source: Source) {
    this.decider = new Decider(source.setup);
  }

  /** Whether the letter of a row was made already. */
  has(row: BatchRow): boolean {
    return this.made.has(row);
  }

  /** The letter of a row. */
  of(row: BatchRow): Letter {
    let letter = this.made.get(row);
    if (!letter) this.made.set(row, (letter = this.make(row)));
    return letter;
  }

  /** What the record of a row says. */
  recordOf(row: BatchRow): CaseRecord {
    const { setup, index } = this.source;
    const { entry } = this.decided(row);
    const content = entry === null ? undefined : entryIn(index, entry)?.content;
    return recordOfRow(setup, row.cells, content?.wordings.map(({ language }) => language) ?? []);
  }

  /** Who the letter of a row is to, else what its row begins with. */
  nameOf({ cells }: BatchRow): string {
    const { setup } = this.source;
    const named = columnFilling(setup, 'customer') ?? columnFilling(setup, 'name');
    return cellIn(setup, cells, named).trim() || cells.find((cell) => cell.trim() !== '') || '';
  }

  private decided(row: BatchRow): { entry: string | null; wording: string | null } {
    if (row.entry !== null) return { entry: row.entry, wording: null };
    return this.decider.ruleFor(row.cells) ?? { entry: null, wording: null };
  }

  private fresh(row: BatchRow, entry: string, wording: string | null): DraftDocument | null {
    const { setup, index, writerOf } = this.source;
    const found = entryIn(index, entry);
    if (!found) return null;
    const { id, revision, content } = found;
    const find = (one: string): EntryContent | undefined => entryIn(index, one)?.content;
    return rowLetter(row.cells, row.position, {
      ...{ setup, entry: { id, revision, content }, wording, find, writer: writerOf(entry) },
    });
  }

  private make(row: BatchRow): Letter {
    const { setup, index } = this.source;
    const { entry, wording } = this.decided(row);
    const fresh = entry === null ? null : this.fresh(row, entry, wording);
    const document = row.byHand?.document ?? fresh;
    const head = document && headOf(document, usualHead(this.recordOf(row), setup.day, false));
    const gaps = document ? gapsOf(document) : [];
    const seal = document && head ? sealOfLetter(document, head) : '';
    const { isHeld, checked, gone, sending } = row;
    return {
      ...{ row, fresh, document, head, gaps, seal, name: this.nameOf(row) },
      entry: fresh ? entry : null,
      title: entry === null ? null : (entryIn(index, entry)?.content.title ?? null),
      faults: faultsOfRow(setup, row.cells),
      hasChanged: hasChangedSince({ checked, seal }),
      hasMovedOn: row.byHand !== null && fresh !== null && hasMovedOn(row.byHand, fresh),
      state: letterState({
        ...{ isDecided: document !== null, isHeld, checked, seal, gaps: gaps.length, gone },
        sending: sending?.state ?? null,
      }),
    };
  }
}
