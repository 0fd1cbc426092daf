import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Entry } from '#contracts';
import { isSame } from '#core/difference';
import { withoutUnusedConditions, type EntryContent } from '#core/entry';
import { call, isProblem } from '#client/api';
import { takeKept } from '../api/bank';
import { KEYS, queryClient } from '../api/queries';

/** A change to an entry that is not saved yet: what it holds, the revision it was made to, and why. */
export interface EntryChange {
  base: number;
  content: EntryContent;
  reason: string;
  /** Names a new entry once it was sent: sent again, since the answer was lost, it is no second one. */
  sent?: string;
  /** The proposal that is being amended: saving accepts it so. */
  proposal?: string;
}

const PREFIX = 'elderleaf.entry.';

/** Where a member's unsaved change of an entry is kept; of a new one, without an id. */
export const unsavedKey = (member: string, entry: string | undefined) => `${member}.${entry ?? 'new'}`;

/** Unsaved changes stay on this computer: clicking away loses nothing. Wording holds no personal details. */
export function readUnsaved(key: string): EntryChange | null {
  try {
    return JSON.parse(localStorage.getItem(PREFIX + key) ?? 'null') as EntryChange | null;
  } catch {
    return null;
  }
}

/** Puts a change where the page of its entry takes it up. */
export function keepUnsaved(key: string, change: EntryChange): void {
  localStorage.setItem(PREFIX + key, JSON.stringify(change));
}

/** Lets go of an unsaved change for good. */
export const dropUnsaved = (key: string) => localStorage.removeItem(PREFIX + key);

/** A long entry is compared only when the keys rest. */
const AT_REST_MS = 400;

/** Whether a change says nothing that is not kept already: the same words, whatever the order in which a store gives them back. */
export const saysNothing = (
  { content, reason, base, proposal, sent }: EntryChange,
  start: Pick<EntryChange, 'content' | 'base'>,
): boolean => reason === '' && base === start.base && !proposal && !sent && isSame(content, start.content);

/** Written and taken back again, there is nothing to save: the change goes once the keys rest. */
function useLettingGoOfNothing(
  change: EntryChange | null,
  { content, base }: EntryChange,
  setChange: (change: null) => void,
): void {
  useEffect(() => {
    if (!change) return;
    const rest = setTimeout(() => saysNothing(change, { content, base }) && setChange(null), AT_REST_MS);
    return () => clearTimeout(rest);
  }, [change, content, base, setChange]);
}

/** Where a new entry goes, or which entry is changed. */
export type Target = { entry: Entry } | { collection: string };

/**
 * The change being made to an entry. It follows the entry while nothing is changed here; once something is,
 * it stays as it is, and `theirs` is what someone else has saved meanwhile.
 */
export function useEntryChange(
  member: string,
  target: Target,
  fresh: EntryContent,
  /** Whether it can only be proposed to those who keep the entry. */
  isProposal: boolean,
  told: { saved: (entry: Entry) => void; proposed: () => void },
) {
  const entry = 'entry' in target ? target.entry : null;
  const key = unsavedKey(member, entry?.id);
  const start: EntryChange = { base: entry?.revision ?? 0, content: entry?.content ?? fresh, reason: '' };
  const [change, setChange] = useState<EntryChange | null>(() => readUnsaved(key));
  const [setAside, setSetAside] = useState<EntryChange | null>(null);
  const now = change ?? start;
  useEffect(() => {
    try {
      if (change) localStorage.setItem(PREFIX + key, JSON.stringify(change));
      else localStorage.removeItem(PREFIX + key);
    } catch {
      // No room on this computer: the page itself still holds the change.
    }
  }, [change, key]);
  useLettingGoOfNothing(change, start, setChange);
  const put = (next: EntryChange) => setChange(next);

  const save = useMutation({
    mutationFn: async (base: number) => {
      const body = { content: withoutUnusedConditions(now.content), reason: now.reason };
      if (entry && isProposal) {
        await call('propose', { params: { entry: entry.id }, body: { ...body, base } });
        return null;
      }
      if (now.proposal) {
        const accept = { content: body.content, revision: base };
        const params = { proposal: now.proposal };
        return (await call('answerProposal', { params, body: { accept, answer: now.reason } })).entry;
      }
      if (entry) return call('saveEntry', { params: { entry: entry.id }, body, version: base });
      const sent = now.sent ?? crypto.randomUUID();
      put({ ...now, sent });
      const collection = 'collection' in target ? target.collection : '';
      return call('makeEntry', { body: { ...body, collection, key: sent } });
    },
    onSuccess: (kept) => {
      setChange(null);
      setSetAside(null);
      void queryClient.invalidateQueries({ queryKey: KEYS.proposals });
      if (!kept) return told.proposed();
      takeKept(kept);
      told.saved(kept);
    },
  });
  const refusedFor = isProblem(save.error, 'moved-on') ? (save.error.problem.current as Entry) : null;
  const theirs = change && entry && entry.revision > change.base ? entry : refusedFor;
  return {
    ...now,
    isChanged: change !== null,
    setContent: (content: EntryContent) => put({ ...now, content }),
    setReason: (reason: string) => put({ ...now, reason }),
    bringBack: (content: EntryContent, revision: number) =>
      put({ ...now, content, reason: `Revision ${revision} brought back` }),
    save: () => {
      // Nothing makes no revision.
      if (saysNothing(now, start)) setChange(null);
      else save.mutate(now.base);
    },
    saving: save.isPending,
    error: refusedFor ? null : save.error,
    /** What someone else saved since this change was begun; null when nobody did. */
    theirs: change ? theirs : null,
    saveOverTheirs: () => theirs && save.mutate(theirs.revision),
    /** Goes on with the change made one with theirs, as a change to what they saved. */
    takeMerged: (content: EntryContent, base: number) => {
      put({ ...now, content, base });
      save.reset();
    },
    /** Lets go of the change: it can be brought back until the page is left. */
    letGo: () => {
      setSetAside(change);
      setChange(null);
      save.reset();
    },
    setAside,
    takeUpAgain: () => {
      // As a change of one's own: the proposal it came from may have been answered meanwhile.
      setChange(setAside && { ...setAside, base: entry?.revision ?? 0, proposal: undefined });
      setSetAside(null);
    },
  };
}

export type EntryChanging = ReturnType<typeof useEntryChange>;
