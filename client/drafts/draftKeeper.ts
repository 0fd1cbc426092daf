import type { Draft, Problem } from '#contracts';
import type { DraftDocument } from '#core/draft';
import { isSame } from '#core/difference';
import { copiedDraft } from '#core/fill';
import type { CaseRecord } from '#core/record';
import { ApiProblem, isProblem } from '#client/api';
import { alsoSent, hasArrived } from './draftDigest';
import { dropCopy, keepCopy, readCopy, type LocalCopy } from './localCopy';

/** Where the text stands: all of it on the server, or on its way there, or kept here because it cannot go. */
export type Keeping =
  | { kind: 'saved'; at: string }
  | { kind: 'saving' }
  | { kind: 'unreachable'; keptHere: boolean }
  | { kind: 'signed-out'; keptHere: boolean }
  | { kind: 'moved-on'; current: Draft }
  | { kind: 'refused'; problem: Problem; keptHere: boolean };

/** What the keeper needs of the world outside, so that its own rules can be seen alone. */
interface Host {
  member: string;
  /** `over`: another window's text is saved over, which its member has seen. */
  save: (id: string, document: DraftDocument, version: number, over: boolean) => Promise<Draft>;
  /** The text in what the server says that it has in place of the version that was sent; the document of a draft where this is left out. */
  textIn?: (current: Draft) => DraftDocument;
  /** Keeps a text that gives way to another among the draft's earlier states. */
  setAside: (id: string, document: DraftDocument) => Promise<unknown>;
  tell: (keeping: Keeping) => void;
  /** Where the text is written, where that is no leaf: what is kept of it on this computer says so. */
  on?: LocalCopy['on'];
  /** Called when the last words were saved only after another screen was opened, which may show this draft. */
  savedElsewhere: () => void;
}

/** So soon after a change a copy is kept on this computer, and so soon it is sent, however fast the keys go on. */
const COPY_AFTER_MS = 150;
const SEND_AFTER_MS = 700;
const RETRY_MS = [500, 1000, 2000, 4000];

/** Keepers whose text was left in this window before the server had all of it, by member and text. */
const left = new Map<string, DraftKeeper>();
const nameOf = (member: string, id: string) => `${member} ${id}`;

/**
 * What was written of a text that the server never got: by a keeper in this window that still sends it, or as this computer
 * kept it of an earlier time; null for nothing.
 */
export const unsentCopy = (member: string, id: string): LocalCopy | null =>
  left.get(nameOf(member, id))?.unsent ?? readCopy(member, id);

/** What the server gave back of the last words of texts that were left before it had them, by member and text. */
const sentSince = new Map<string, Draft>();

/**
 * A draft as the server has it, of an answer and what was sent from this window since its page was left: an answer that was on its
 * way while the last words were is older than they are.
 */
export function newestKnown(member: string, answer: Draft): Draft {
  const sent = sentSince.get(nameOf(member, answer.id));
  return sent && sent.version > answer.version ? sent : answer;
}

/** Whether a text was left in this window that is still being sent from here. */
export const isBeingSent = (member: string, id: string): boolean =>
  left.get(nameOf(member, id))?.isTrying ?? false;

/** Takes away what the server never got of a text, for good: nothing of it is sent from this window any more. */
export function dropUnsentText(member: string, id: string): void {
  void left.get(nameOf(member, id))?.giveWay();
  left.delete(nameOf(member, id));
  dropCopy(member, id);
}

/**
 * Sees to it that nothing written on a leaf is lost: every change is kept on this computer within a moment
 * and sent to the server one save at a time, again and again while it cannot be reached.
 */
export class DraftKeeper {
  /** False while another screen is shown. */
  private isOpen = true;
  private version: number;
  /** Digests of what was sent since that version and not answered: one of them may have arrived all the same. */
  private unanswered: string[];
  private read: () => DraftDocument;
  private changes = 0;
  private sent = 0;
  /** The change at which the server refused the text itself: sending it again unchanged is no use. */
  private refusedAt = -1;
  private keptHere = true;
  private failures = 0;
  private over = false;
  private copyTimer: ReturnType<typeof setTimeout> | undefined;
  private sendTimer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> | null = null;
  /** The keeper that the same text was left with, as long as something it sent may be on its way. */
  private earlier: Promise<DraftKeeper> | null = null;
  /** Another keeper has the text now, with all that was written. */
  private hasGivenWay = false;
  /** What another window wrote is on the page: what this text was opened with is not the last that anybody knows. */
  private hasFollowed = false;

  constructor(
    private readonly host: Host,
    private readonly draft: Pick<Draft, 'id' | 'version' | 'document'>,
    /** What the text on the page was written on: an older version, where this computer kept it. */
    private readonly from: Pick<LocalCopy, 'version' | 'sent'> = draft,
  ) {
    this.version = from.version;
    this.unanswered = from.sent ?? [];
    this.read = () => draft.document;
  }

  /** From here on the text is read so, as it is at the moment of saving. */
  readFrom(read: () => DraftDocument): void {
    this.read = read;
  }

  get draftId(): string {
    return this.draft.id;
  }

  /** The version the server has. */
  get savedVersion(): number {
    return this.version;
  }

  /** A copy of what is written, for another draft of a case with this record, begun on a day (ISO 8601). */
  copied(record: CaseRecord, today: string): DraftDocument {
    return copiedDraft(this.read(), { record, today });
  }

  /** True when the server has everything that was written. */
  get isSaved(): boolean {
    return this.sent === this.changes;
  }

  private get name(): string {
    return nameOf(this.host.member, this.draft.id);
  }

  /** It sends, or will in a moment. */
  get isTrying(): boolean {
    return this.running !== null || this.sendTimer !== undefined;
  }

  /** What is written, with the version the server has. */
  get unsent(): LocalCopy {
    const { version, host, unanswered } = this;
    const sent = unanswered.length > 0 && { sent: unanswered };
    return { version, document: this.read(), ...sent, ...(host.on && { on: host.on }) };
  }

  /** The text has changed. */
  changed(): void {
    this.changes += 1;
    this.copyTimer ??= setTimeout(() => this.copyNow(), COPY_AFTER_MS);
    if (this.running || this.failures > 0) return;
    this.sendSoon(SEND_AFTER_MS);
  }

  /** Keeps what is not yet saved on this computer, at once: the page is about to go. */
  copyNow(): void {
    clearTimeout(this.copyTimer);
    this.copyTimer = undefined;
    if (this.isSaved || this.hasGivenWay) return;
    this.keptHere = keepCopy(this.host.member, this.draft.id, this.unsent);
  }

  /** The draft is on the page. A keeper that it was left with gives way: this one was begun with what that had. */
  open(): void {
    this.isOpen = true;
    const earlier = left.get(this.name);
    left.delete(this.name);
    sentSince.delete(this.name);
    if (earlier && earlier !== this) this.earlier = earlier.giveWay();
  }

  /** Sends nothing from here on. Resolves to itself once what is on its way has arrived, or cannot. */
  async giveWay(): Promise<this> {
    this.hasGivenWay = true;
    clearTimeout(this.copyTimer);
    clearTimeout(this.sendTimer);
    await this.running;
    return this;
  }

  /** Another screen is shown: what is not yet saved stays on this computer, and is sent once more from here. */
  leave(): void {
    this.isOpen = false;
    this.copyNow();
    if (!this.isSaved) left.set(this.name, this);
    void this.flush();
  }

  /** Sends what is not yet saved and waits until it is; resolves in any case, see `isSaved`. */
  async flush(): Promise<void> {
    if (this.running) await this.running;
    if (!this.isSaved) await this.send();
  }

  /** Goes on from a version the server has meanwhile, as after finishing or signing in again. */
  goOnFrom(version: number): void {
    this.isAt(version);
    if (!this.isSaved) void this.flush();
  }

  /** Saves what stands here over what another window saved, which the server keeps among the earlier states. */
  saveOver(version: number): void {
    this.over = true;
    this.goOnFrom(version);
  }

  /** What the server has was taken in place of what stood here: nothing is left to save. */
  takenOver({ version, savedAt }: Pick<Draft, 'version' | 'savedAt'>, mine: DraftDocument): void {
    // It stays on this computer until the server has it among the earlier states.
    void this.host
      .setAside(this.draft.id, mine)
      .then(() => dropCopy(this.host.member, this.draft.id))
      .catch(() => undefined);
    this.isAt(version);
    this.sent = this.changes;
    this.host.tell({ kind: 'saved', at: savedAt });
  }

  /**
   * A version may have been saved in another window (null: any). Where the server has all that was written here, and a later version
   * than this page, `show` is to put that in the place of the text on the page, and it is gone on with from there; gives it, else null.
   * Where something is written here nothing is done: its saving tells.
   */
  async follow(
    version: number | null,
    ask: () => Promise<Draft>,
    show: (there: Draft) => void,
  ): Promise<Draft | null> {
    await this.running;
    const { changes } = this;
    const isAsWas = () => this.isOpen && !this.hasGivenWay && this.isSaved && this.changes === changes;
    if (!isAsWas() || (version !== null && version <= this.version)) return null;
    const there = await ask();
    await this.running;
    if (!isAsWas() || there.version <= this.version) return null;
    show(there);
    this.isAt(there.version);
    this.hasFollowed = true;
    // What the page was changed by is what the server has.
    for (const timer of [this.copyTimer, this.sendTimer]) clearTimeout(timer);
    this.copyTimer = this.sendTimer = undefined;
    this.sent = this.changes;
    this.host.tell({ kind: 'saved', at: there.savedAt });
    return there;
  }

  /** The server has this version, and nothing is on its way to it. */
  private isAt(version: number): void {
    if (version !== this.version) this.unanswered = [];
    this.version = version;
    this.failures = 0;
  }

  /** Whether the server has what was sent from here, or what this text was opened with: nobody else wrote on it. */
  private isOwn(there: DraftDocument): boolean {
    return (
      hasArrived(this.unanswered, there) ||
      (this.from === this.draft && !this.hasFollowed && isSame(there, this.draft.document))
    );
  }

  private textIn(current: Draft): DraftDocument {
    return this.host.textIn?.(current) ?? current.document;
  }

  private send(): Promise<void> {
    clearTimeout(this.sendTimer);
    this.sendTimer = undefined;
    if (this.hasGivenWay) return Promise.resolve();
    this.running ??= this.sendOnce().finally(() => {
      this.running = null;
      const more = !this.isSaved && this.changes !== this.refusedAt;
      if (more && this.failures === 0) this.sendSoon(SEND_AFTER_MS);
    });
    return this.running;
  }

  private sendSoon(wait: number): void {
    if (this.hasGivenWay) return;
    this.sendTimer ??= setTimeout(() => void this.send(), wait);
  }

  private async sendOnce(): Promise<void> {
    const upTo = this.changes;
    if (this.failures === 0) this.host.tell({ kind: 'saving' });
    const earlier = await this.earlier;
    this.earlier = null;
    if (earlier) this.version = Math.max(this.version, earlier.version);
    const document = this.read();
    this.unanswered = alsoSent(this.unanswered, document);
    // Should the page go before the answer comes, it is known what was sent.
    this.copyNow();
    try {
      const saved = await this.host.save(this.draft.id, document, this.version, this.over);
      this.over = false;
      const last = this.unanswered.slice(-1);
      this.isAt(saved.version);
      // What was saved last is one's own, whatever version this page takes it to have.
      this.unanswered = last;
      this.sent = upTo;
      if (!this.isOpen) {
        sentSince.set(this.name, saved);
        this.host.savedElsewhere();
      }
      if (this.isSaved) {
        if (left.get(this.name) === this) left.delete(this.name);
        if (!this.hasGivenWay) dropCopy(this.host.member, this.draft.id);
        this.host.tell({ kind: 'saved', at: saved.savedAt });
      }
    } catch (error) {
      await this.failed(error, upTo);
    }
  }

  private async failed(error: unknown, upTo: number): Promise<void> {
    this.copyNow();
    const { keptHere } = this;
    if (isProblem(error, 'moved-on')) {
      const current = error.problem.current as Draft;
      // What arrived though its answer did not is no one else's: from there it goes on.
      if (this.isOwn(this.textIn(current))) {
        this.isAt(current.version);
        return this.hasGivenWay ? undefined : this.sendOnce();
      }
      this.failures += 1;
      return this.host.tell({ kind: 'moved-on', current });
    }
    if (isProblem(error, 'not-signed-in')) {
      this.failures += 1;
      return this.host.tell({ kind: 'signed-out', keptHere });
    }
    if (error instanceof ApiProblem && error.problem.status < 500) {
      this.refusedAt = upTo;
      return this.host.tell({ kind: 'refused', problem: error.problem, keptHere });
    }
    this.failures += 1;
    this.host.tell({ kind: 'unreachable', keptHere });
    this.sendSoon(RETRY_MS[Math.min(this.failures, RETRY_MS.length) - 1]!);
  }
}
