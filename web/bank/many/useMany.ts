import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import type { Entry } from '#contracts';
import type { EntryContent } from '#core/entry';
import { call } from '../../api/client';
import { KEYS, queryClient } from '../../api/queries';

/** What was done to many, in words, and what takes it back. */
export interface DoneToMany {
  said: string;
  undo: () => Promise<unknown>;
}

const countInWords = (count: number) => (count === 1 ? 'One entry' : `${count} entries`);

const idsOf = (entries: readonly Pick<Entry, 'id'>[]) => entries.map(({ id }) => id);

async function move(entries: readonly Entry[], to: string, name: string): Promise<DoneToMany> {
  await call('moveEntries', { body: { entries: idsOf(entries), to } });
  const homes = [...new Set(entries.map(({ collection }) => collection))].filter((home) => home !== to);
  return {
    said: `${countInWords(entries.length)} moved to “${name}”.`,
    undo: async () => {
      for (const home of homes) {
        const back = entries.filter(({ collection }) => collection === home);
        await call('moveEntries', { body: { entries: idsOf(back), to: home } });
      }
    },
  };
}

async function change(
  entries: readonly Entry[],
  said: string,
  to: (content: EntryContent) => EntryContent,
): Promise<DoneToMany> {
  const changed = entries.filter(({ content }) => JSON.stringify(to(content)) !== JSON.stringify(content));
  if (changed.length === 0) return { said: 'They are so already.', undo: () => Promise.resolve() };
  const changes = changed.map(({ id, revision, content }) => ({ entry: id, revision, content: to(content) }));
  await call('changeEntries', { body: { changes, reason: said } });
  const back = changed.map(({ id, revision, content }) => ({ entry: id, revision: revision + 1, content }));
  return {
    said: `${countInWords(changed.length)} changed: ${said.toLowerCase()}.`,
    undo: () => call('changeEntries', { body: { changes: back, reason: `Taken back: ${said}` } }),
  };
}

async function remove(entries: readonly Entry[]): Promise<DoneToMany> {
  const { id } = await call('deleteEntries', { body: { entries: idsOf(entries) } });
  return {
    said: `${countInWords(entries.length)} put into the wastebasket.`,
    undo: () => call('restore', { params: { deletion: id }, body: { entries: null } }),
  };
}

const tagged = (tag: string) => (content: EntryContent) =>
  content.tags.includes(tag) ? content : { ...content, tags: [...content.tags, tag] };

function withRetired({ retired: _, ...content }: EntryContent, retired: boolean): EntryContent {
  return retired ? { ...content, retired } : content;
}

const withLead = (lead: string) => (content: EntryContent) => ({
  ...content,
  cues: content.cues.map((cue) => (cue.as ? cue : { ...cue, text: lead + cue.text })),
});

/** What can be done to many entries at once. */
export const ACTS = {
  move,
  remove,
  tag: (entries: readonly Entry[], tag: string) => change(entries, `Tagged ${tag}`, tagged(tag)),
  retire: (entries: readonly Entry[]) =>
    change(entries, 'Taken out of use', (content) => withRetired(content, true)),
  takeUp: (entries: readonly Entry[]) =>
    change(entries, 'In use again', (content) => withRetired(content, false)),
  putBefore: (entries: readonly Entry[], lead: string) =>
    change(entries, `${lead} put before their cues`, withLead(lead)),
};

const settled = () => {
  for (const queryKey of [KEYS.bank, KEYS.wastebasket]) void queryClient.invalidateQueries({ queryKey });
};

/** Does things to many entries; keeps what takes the last of them back. */
export function useMany(after: () => void) {
  const [done, setDone] = useState<DoneToMany | null>(null);
  const act = useMutation({
    mutationFn: (work: () => Promise<DoneToMany>) => work(),
    onSuccess: (what) => {
      setDone(what);
      after();
    },
    onSettled: settled,
  });
  const back = useMutation({
    mutationFn: (what: DoneToMany) => what.undo(),
    onSuccess: () => setDone(null),
    onSettled: settled,
  });
  return {
    done,
    run: (work: () => Promise<DoneToMany>) => {
      back.reset();
      act.mutate(work);
    },
    undo: () => done && back.mutate(done),
    pending: act.isPending || back.isPending,
    error: act.error ?? back.error,
  };
}
