import { jest } from '@jest/globals';
import type { Draft } from '#contracts';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { plainPassage, plainText } from '#core/passage';
import { ApiProblem, Unreachable } from '#client/api';
import { DraftKeeper, readCopy, type Keeping, type LocalCopy } from '../drafts';
import { keptHere } from './keptHere';

/** A draft of plain words. */
export const draftOf = (words: string): DraftDocument => ({
  ...plainPassage(words),
  attrs: { placements: {} },
});
/** What the server says where it refuses. */
export const problem = (code: string, status: number, current?: Draft) =>
  new ApiProblem({ type: '', title: '', detail: '', code, status, current });

/** A server that has one draft, and answers as it is told. */
function serverAt(at: number) {
  const over: boolean[] = [];
  const aside: string[] = [];
  const server = {
    version: at,
    text: at === 1 ? '' : 'theirs',
    down: null as Error | null,
    isMute: false,
    saves: 0,
    asked: 0,
  };
  let gate: Promise<void> | null = null;
  /** The text as the server gives it at this moment. */
  const answer = () => ({ id: 'd', version: server.version, document: draftOf(server.text) }) as Draft;
  const save = async (id: string, document: DraftDocument, version: number, isOver: boolean) => {
    server.saves += 1;
    over.push(isOver);
    await gate;
    if (server.down) throw server.down;
    if (version !== server.version) throw problem('moved-on', 412, answer());
    server.version += 1;
    server.text = plainText(document);
    if (server.isMute) throw new Unreachable();
    return { id, version: server.version, document, savedAt: 'now' } as Draft;
  };
  /** Asks for the text as the server has it. */
  const ask = async () => {
    server.asked += 1;
    await gate;
    return { ...answer(), savedAt: 'now' };
  };
  /** Holds back what is saved and asked for, until it is let go. */
  const holdSaves = () => {
    let letGo = (): void => undefined;
    gate = new Promise((open) => (letGo = open));
    return () => {
      gate = null;
      letGo();
    };
  };
  const setAside = (_: string, document: DraftDocument) => Promise.resolve(aside.push(plainText(document)));
  return { server, over, aside, answer, save, ask, holdSaves, setAside };
}

/** A computer that keeps, a server that answers as it is told, and a page with some words on it. */
export function begin({
  at = 1,
  copyOf = 1,
  on,
}: { at?: number; copyOf?: number; on?: LocalCopy['on'] } = {}) {
  keptHere();
  const { server, over, aside, answer, save, ask, holdSaves, setAside } = serverAt(at);
  const told: Keeping['kind'][] = [];
  const draft = { id: 'd', version: server.version, document: emptyDraft() };
  const tell = ({ kind }: Keeping) => told.push(kind);
  const elsewhere: string[] = [];
  const savedElsewhere = () => elsewhere.push(server.text);
  const host = { member: 'm', save, setAside, tell, savedElsewhere, ...(on && { on }) };
  const written = (one: DraftKeeper, words: string) => {
    one.open();
    one.readFrom(() => draftOf(words));
    const type = (text: string) => {
      words += text;
      one.changed();
    };
    /** Hears that a version was saved; what is on the page then is a change of it, as the editor tells it. */
    const follow = (version: number | null = null) =>
      one.follow(version, ask, ({ document }) => {
        words = plainText(document);
        one.changed();
      });
    return { keeper: one, type, follow, says: () => words };
  };
  const { keeper, type, follow, says } = written(
    copyOf === at ? new DraftKeeper(host, draft) : new DraftKeeper(host, draft, { version: copyOf }),
    '',
  );
  /** The same text, opened again in the same window with what was not sent. */
  const again = (from: LocalCopy) => {
    const { document } = from;
    const second = written(new DraftKeeper(host, { ...draft, document }, from), plainText(document));
    second.keeper.changed();
    return second;
  };
  /** The same text in another window, as the server has it now. */
  const beside = () => {
    const there = { ...draft, version: server.version, document: draftOf(server.text) };
    return written(new DraftKeeper(host, there), server.text);
  };
  const copy = () => {
    const found = readCopy('m', 'd');
    return found && plainText(found.document);
  };
  const page = { keeper, type, follow, says };
  return { ...page, server, told, copy, aside, over, elsewhere, again, beside, answer, holdSaves };
}

/** Lets so many milliseconds pass. */
export const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);
