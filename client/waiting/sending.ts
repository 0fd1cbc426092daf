import type { Draft, Entry } from '#contracts';
import { keepDraft, type WaitingAct } from '#client/atHand';
import { ApiProblem, call, isProblem } from '#client/api';
import {
  alsoSent,
  copiesOf,
  dropCopy,
  hasArrived,
  isBeingSent,
  keepCopy,
  readCopy,
  type LocalCopy,
} from '#client/drafts';
import { tellKeptUses } from '#client/offers';
import { dropWaiting, noteRefused, tellWaiting, waitingActs } from './acts';
import { openLeaves, sendAlone } from './leafLocks';

/** What was sent, as it is to be shown from now on. */
export interface Sent {
  entries: Entry[];
  /** The cases on which something was begun or written. */
  cases: string[];
}

async function sendAct(act: WaitingAct, sent: Sent): Promise<void> {
  if (act.kind === 'entry') {
    sent.entries.push(await call('makeEntry', { body: act.entry }));
    return;
  }
  if (act.case) await call('makeCase', { body: act.case });
  await call('beginDraft', { params: { case: act.of }, body: act.draft });
  sent.cases.push(act.of);
}

/** A refusal that will stand however often it is sent; others end the sending until another time. */
const isFinal = (error: unknown): error is ApiProblem =>
  error instanceof ApiProblem && error.problem.status < 500 && !isProblem(error, 'not-signed-in');

async function sendActs(member: string, sent: Sent): Promise<void> {
  for (const act of await waitingActs(member)) {
    if (act.refused !== null) continue;
    try {
      await sendAct(act, sent);
      await dropWaiting(act);
    } catch (error) {
      if (!isFinal(error)) throw error;
      await noteRefused(act, error.message);
    }
  }
}

/** Sends what this computer kept of a draft: over the version it was written on alone, or over a text of its own that arrived unanswered. */
async function sendCopy(member: string, draft: string, copy: LocalCopy): Promise<Draft> {
  const { document, version, sent = [] } = copy;
  const send = (on: number) => call('saveDraft', { params: { draft }, body: { document }, version: on });
  keepCopy(member, draft, { ...copy, sent: alsoSent(sent, document) });
  return send(version).catch((error: unknown) => {
    const current = isProblem(error, 'moved-on') ? (error.problem.current as Draft) : null;
    if (!current || !hasArrived(alsoSent(sent, document), current.document)) throw error;
    return send(current.version);
  });
}

/** Sends texts of leaves that are not open anywhere; others are sent where they are written. What another computer saved meanwhile is for its member to choose from. */
async function sendTexts(member: string, sent: Sent): Promise<void> {
  const open = await openLeaves();
  const begun = new Set(
    (await waitingActs(member)).flatMap((act) => (act.kind === 'leaf' ? [act.draft.id] : [])),
  );
  for (const draft of copiesOf(member)) {
    const isSentElsewhere = open.has(draft) || begun.has(draft) || isBeingSent(member, draft);
    const copy = isSentElsewhere ? null : readCopy(member, draft);
    if (!copy || copy.on) continue;
    try {
      const saved = await sendCopy(member, draft, copy);
      dropCopy(member, draft);
      tellWaiting();
      await keepDraft(saved);
      sent.cases.push(saved.case);
    } catch (error) {
      if (!isFinal(error)) throw error;
    }
  }
}

/**
 * Sends what a member made and wrote while the server could not be reached, in its order and each once: what was begun and kept first,
 * then the texts of leaves that are open nowhere. What is refused stays with its reason. Stops without a word where the server cannot
 * be reached once more, and does nothing where the browser cannot tell what its other windows do.
 */
export async function sendWaiting(member: string): Promise<Sent> {
  const sent: Sent = { entries: [], cases: [] };
  await sendAlone(async () => {
    await sendActs(member, sent);
    await sendTexts(member, sent);
    await tellKeptUses(member);
  })?.catch(() => undefined);
  return sent;
}

/** Sees to it that the server has a draft before its text is sent: one that was begun here waits until then. */
export async function sendFirst(member: string, draft: string): Promise<Sent | null> {
  const waits = async () =>
    (await waitingActs(member)).some((act) => act.kind === 'leaf' && act.draft.id === draft);
  return (await waits()) ? sendWaiting(member) : null;
}
