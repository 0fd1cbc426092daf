import type { Entry, Step } from '#contracts';
import { isSame } from '#core/difference';
import { withLead, withRetired, withTag, type EntryContent } from '#core/entry';
import { call } from '#client/api';
import type { DoneToMany } from './lastDone';

/** One entry is called by its title, several by their number. */
const named = (entries: readonly Entry[]) =>
  entries.length === 1 ? `“${entries[0]!.content.title}”` : `${entries.length} entries`;

const idsOf = (entries: readonly Pick<Entry, 'id'>[]) => entries.map(({ id }) => id);

/** Takes steps that belong together: all of them, or none. Throws what `call` does. */
export const sendSteps = (steps: Step[]) => call('takeSteps', { body: { steps } });

/** The step that takes back one change of each of some entries, which they had at these revisions. */
export const takingBack = (changed: readonly Pick<Entry, 'id' | 'revision'>[], reason: string): Step => ({
  do: 'revert',
  entries: changed.map(({ id, revision }) => ({ entry: id, revision: revision + 1, to: revision })),
  reason: `Taken back: ${reason}`.slice(0, 300),
});

async function move(entries: readonly Entry[], to: string, name: string): Promise<DoneToMany> {
  await sendSteps([{ do: 'move', entries: idsOf(entries), to }]);
  const homes = [...new Set(entries.map(({ collection }) => collection))].filter((home) => home !== to);
  return {
    said: `${named(entries)} moved to “${name}”.`,
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
  if (changed.length === 0) return { said: 'Nothing to change.', undo: [] };
  const changes = changed.map(({ id, revision, content }) => ({ entry: id, revision, content: to(content) }));
  await sendSteps([{ do: 'change', changes, reason: said }]);
  return {
    said: `${named(changed)} changed: ${said.toLowerCase()}.`,
    undo: [takingBack(changed, said)],
  };
}

async function remove(entries: readonly Entry[]): Promise<DoneToMany> {
  const { deletions } = await sendSteps([{ do: 'delete', entries: idsOf(entries) }]);
  return {
    said: `${named(entries)} moved to the wastebasket.`,
    undo: deletions.map((deletion) => ({ do: 'restore', deletion })),
  };
}

/** What can be done to many entries at once. */
export const MANY_ACTS = {
  move,
  remove,
  tag: (entries: readonly Entry[], tag: string) =>
    change(entries, `Tagged ${tag}`, (content) => withTag(content, tag)),
  retire: (entries: readonly Entry[]) =>
    change(entries, 'Taken out of use', (content) => withRetired(content, true)),
  takeUp: (entries: readonly Entry[]) =>
    change(entries, 'In use again', (content) => withRetired(content, false)),
  putBefore: (entries: readonly Entry[], lead: string) =>
    change(entries, `${lead} put before their cues`, (content) => withLead(content, lead)),
};
