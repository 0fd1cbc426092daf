import { MOST_SENT_BYTES, type Import } from '#contracts';
import { call, isProblem, Unreachable } from '#client/api';
import { includedIn } from '#core/fill';
import { MOST_IN_A_PIECE, type TakeOverBody } from '#core/takeover';

type Coming = TakeOverBody['entries'];

/** Entries that are sent at once: the server takes their words apart between other requests. */
const AT_ONCE = Math.min(200, MOST_IN_A_PIECE);
/** Half of what one request takes: what else is in it has room beside. */
const MOST_BYTES = MOST_SENT_BYTES / 2;

/** Entries in pieces, none of too many or of too many bytes. */
function piecesOf(entries: Coming): Coming[] {
  const pieces: Coming[] = [];
  let bytes = 0;
  for (const entry of entries) {
    const size = JSON.stringify(entry).length * 2;
    const last = pieces.at(-1);
    if (!last || last.length >= AT_ONCE || bytes + size > MOST_BYTES) {
      pieces.push([entry]);
      bytes = size;
    } else {
      last.push(entry);
      bytes += size;
    }
  }
  return pieces;
}

const withinOf = (entries: Coming): Set<string> =>
  new Set(entries.flatMap(({ content }) => content.wordings.flatMap(includedIn)));

/**
 * The sending of an import, piece by piece: nothing of it is seen before all of it is there. After a lost connection it goes on where it
 * was (`run` again); each piece is taken once.
 */
export class ImportSending {
  private readonly pieces: Coming[];
  private readonly fresh: ReadonlySet<string>;
  private id: string | null = null;
  private next = 0;
  private asked: 'keep' | 'drop' | null = null;

  constructor(
    private readonly body: TakeOverBody,
    private readonly name: string,
  ) {
    this.pieces = piecesOf(body.entries);
    this.fresh = new Set(body.entries.flatMap(({ id, replaces }) => (replaces === null ? [id] : [])));
  }

  /** Asks it to stop after the piece that is on its way: with what has come kept, or dropped. */
  stop(how: 'keep' | 'drop'): void {
    this.asked = how;
  }

  /** Gives the import, or null where it was dropped. Throws what `call` does: but for a lost connection nothing is left of it then. */
  async run(progress: (sent: number, of: number) => void = () => undefined): Promise<Import | null> {
    try {
      return await this.going(progress);
    } catch (error) {
      // Of what was refused nothing may wait hidden; what a lost connection holds up goes on later.
      if (!(error instanceof Unreachable) && !isProblem(error, 'internal')) await this.drop();
      throw error;
    }
  }

  private async drop(): Promise<void> {
    const id = this.id;
    [this.id, this.next] = [null, 0];
    if (id !== null) await call('dropImport', { params: { import: id } }).catch(() => undefined);
  }

  private async going(progress: (sent: number, of: number) => void): Promise<Import | null> {
    const { collections, places, entries, known } = this.body;
    this.id ??= (await call('beginImport', { body: { name: this.name, collections, places } })).id;
    const params = { import: this.id };
    let sent = this.pieces.slice(0, this.next).reduce((sum, { length }) => sum + length, 0);
    for (; this.next < this.pieces.length && this.asked === null; this.next += 1) {
      progress(sent, entries.length);
      const piece = this.pieces[this.next]!;
      const within = [...withinOf(piece)];
      await call('sendImportPiece', {
        params,
        body: {
          entries: piece,
          known: Object.fromEntries(within.flatMap((id) => (known[id] ? [[id, known[id]]] : []))),
          coming: within.filter((id) => this.fresh.has(id)),
        },
      });
      sent += piece.length;
    }
    progress(sent, entries.length);
    if (this.asked === 'drop') {
      await this.drop();
      return null;
    }
    return call('finishImport', { params });
  }
}
