import { useMutation } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { Entry, Step } from '#contracts';
import { isSame } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { call } from '#client/api';
import { KEYS, queryClient } from '../../api/queries';
import { quietly, releaseDone, setDone, useLastDone, type DoneToMany } from './lastDone';

const countInWords = (count: number) => (count === 1 ? 'One entry' : `${count} entries`);

const idsOf = (entries: readonly Pick<Entry, 'id'>[]) => entries.map(({ id }) => id);

/** Takes steps that belong together: all of them, or none. Throws what `call` does. */
export const takeSteps = (steps: Step[]) => call('takeSteps', { body: { steps } });

/** The step that takes back one change of each of some entries, which they had at these revisions. */
export const takingBack = (changed: readonly Pick<Entry, 'id' | 'revision'>[], reason: string): Step => ({
  do: 'revert',
  entries: changed.map(({ id, revision }) => ({ entry: id, revision: revision + 1, to: revision })),
  reason: `Taken back: ${reason}`.slice(0, 300),
});

async function move(entries: readonly Entry[], to: string, name: string): Promise<DoneToMany> {
  await takeSteps([{ do: 'move', entries: idsOf(entries), to }]);
  const homes = [...new Set(entries.map(({ collection }) => collection))].filter((home) => home !== to);
  return {
    said: `${countInWords(entries.length)} moved to “${name}”.`,
    undo: homes.map((home) => ({
      do: 'move',
      entries: idsOf(entries.filter(({ collection }) => collection === home)),
      to: home,
    })),
  };
}

async function change(
  entries: readonly Entry[],
  said: string,
  to: (content: EntryContent) => EntryContent,
): Promise<DoneToMany> {
  const changed = entries.filter(({ content }) => !isSame(to(content), content));
  if (changed.length === 0) return { said: 'They are so already.', undo: [] };
  const changes = changed.map(({ id, revision, content }) => ({ entry: id, revision, content: to(content) }));
  await takeSteps([{ do: 'change', changes, reason: said }]);
  return {
    said: `${countInWords(changed.length)} changed: ${said.toLowerCase()}.`,
    undo: [takingBack(changed, said)],
  };
}

async function remove(entries: readonly Entry[]): Promise<DoneToMany> {
  const { deletions } = await takeSteps([{ do: 'delete', entries: idsOf(entries) }]);
  return {
    said: `${countInWords(entries.length)} put into the wastebasket.`,
    undo: deletions.map((deletion) => ({ do: 'restore', deletion })),
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

/** Takes back what was done last. */
function useTakingBack() {
  return useMutation({
    mutationFn: async ({ undo }: DoneToMany) => {
      if (undo.length > 0) await takeSteps(undo);
    },
    onSuccess: () => setDone(null),
    onSettled: settled,
  });
}

/** A part of the page that tells what was done by it, as long as it is there. */
class Teller {
  isHere = false;

  /** It is there; what comes back is done when it goes. */
  appear(): () => void {
    this.isHere = true;
    return () => {
      this.isHere = false;
      releaseDone(this);
    };
  }
}

/** Does things to many entries. What takes the last of them back is told here, and stays at hand when one goes elsewhere. */
export function useMany(after: () => void) {
  const [me] = useState(() => new Teller());
  const { done, toldBy } = useLastDone();
  useEffect(() => me.appear(), [me]);
  const back = useTakingBack();
  const act = useMutation({
    mutationFn: async (work: () => Promise<DoneToMany>) => {
      const again = quietly();
      try {
        return await work();
      } catch (error) {
        again();
        throw error;
      }
    },
    onSuccess: (what) => {
      // Done only after one has left, it is told by the page around.
      setDone(what, me.isHere ? me : null);
      after();
    },
    onSettled: settled,
  });
  const own = toldBy === me ? done : null;
  return {
    done: own,
    run: (work: () => Promise<DoneToMany>) => {
      back.reset();
      act.mutate(work);
    },
    undo: () => own && back.mutate(own),
    pending: act.isPending || back.isPending,
    error: act.error ?? back.error,
  };
}

/** What was done last by a part of a page that one has left, and its undo; done null where there is none. */
export function useDoneElsewhere() {
  const { done, toldBy } = useLastDone();
  const back = useTakingBack();
  const shown = toldBy === null ? done : null;
  return {
    done: shown,
    undo: () => shown && back.mutate(shown),
    pending: back.isPending,
    error: back.error,
    putAway: () => setDone(null),
  };
}
