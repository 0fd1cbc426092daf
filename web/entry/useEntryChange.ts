import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Entry } from '#contracts';
import { digestOf } from '#core/difference';
import { withoutEmptySigns, withoutUnusedConditions, type EntryContent } from '#core/entry';
import { call, isProblem } from '#client/api';
import {
  arrivedChange,
  dropUnsaved,
  keepUnsaved,
  readUnsaved,
  saysNothing,
  unsavedKey,
  type UnsavedEntryChange,
} from '#client/unsaved';
import { keepEntry, type KeptEntry } from '#client/waiting';
import { useIsWriting } from '../shell';
import { takeKept, KEYS, queryClient } from '../api';

/** A long entry is compared only when the keys rest. */
const AT_REST_MS = 400;

/** Written and taken back again, there is nothing to save: the change goes once the keys rest. */
function useLettingGoOfNothing(
  change: UnsavedEntryChange | null,
  { content, base }: UnsavedEntryChange,
  setChange: (change: null) => void,
): void {
  useEffect(() => {
    if (!change) return;
    const rest = setTimeout(() => saysNothing(change, { content, base }) && setChange(null), AT_REST_MS);
    return () => clearTimeout(rest);
  }, [change, content, base, setChange]);
}

/** What is written of an entry and not saved, as this computer keeps it; null for nothing. */
function useUnsaved(member: string, entry: Entry | null, start: UnsavedEntryChange) {
  const key = unsavedKey(member, entry?.id);
  const [change, setChange] = useState<UnsavedEntryChange | null>(() => readUnsaved(key));
  const arrived = change && entry && arrivedChange(change, entry, member);
  if (arrived) setChange(saysNothing(arrived, start) ? null : arrived);
  useIsWriting(change !== null);
  useEffect(() => {
    // With no room on this computer the page itself still holds the change.
    if (change) keepUnsaved(key, change);
    else dropUnsaved(key);
  }, [change, key]);
  useLettingGoOfNothing(change, start, setChange);
  return [change, setChange] as const;
}

/** Where a new entry goes, or which entry is changed. */
export type Target = { entry: Entry } | { collection: string };

interface Sending {
  member: string;
  target: Target;
  isProposal: boolean;
  now: UnsavedEntryChange;
  /** Keeps the change with the name that it is sent under. */
  put: (next: UnsavedEntryChange) => void;
}

/** Sends a change as what it is: a proposal, an answer to one, a revision, or a new entry. Gives the entry as it was kept; null for a proposal. */
async function sendChange(
  { member, target, isProposal, now, put }: Sending,
  base: number,
): Promise<KeptEntry | null> {
  const body = { content: withoutEmptySigns(withoutUnusedConditions(now.content)), reason: now.reason };
  if ('entry' in target && isProposal) {
    await call('propose', { params: { entry: target.entry.id }, body: { ...body, base } });
    return null;
  }
  if (now.proposal) {
    const accept = { content: body.content, revision: base };
    const params = { proposal: now.proposal };
    const { entry } = await call('answerProposal', { params, body: { accept, answer: now.reason } });
    return entry && { entry, waits: false };
  }
  if ('entry' in target) {
    put({ ...now, digest: digestOf(body.content) });
    const entry = await call('saveEntry', { params: { entry: target.entry.id }, body, version: base });
    return { entry, waits: false };
  }
  const sent = now.sent ?? crypto.randomUUID();
  put({ ...now, sent });
  return keepEntry(member, { ...body, collection: target.collection, key: sent });
}

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
  told: { saved: (kept: KeptEntry) => void; proposed: () => void },
) {
  const entry = 'entry' in target ? target.entry : null;
  const start: UnsavedEntryChange = {
    base: entry?.revision ?? 0,
    content: entry?.content ?? fresh,
    reason: '',
  };
  const [change, setChange] = useUnsaved(member, entry, start);
  const [setAside, setSetAside] = useState<UnsavedEntryChange | null>(null);
  const now = change ?? start;
  const put = (next: UnsavedEntryChange) => setChange(next);

  const save = useMutation({
    mutationFn: (base: number) => sendChange({ member, target, isProposal, now, put }, base),
    onSuccess: (kept) => {
      setChange(null);
      setSetAside(null);
      void queryClient.invalidateQueries({ queryKey: KEYS.proposals });
      if (!kept) return told.proposed();
      takeKept(kept.entry);
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
    // What arrived though its answer was lost is saved.
    error: refusedFor || !change ? null : save.error,
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
