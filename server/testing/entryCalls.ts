import type { Entry, Problem, Stepped } from '#contracts';
import { newEntry } from '#core/entry';
import { passageFrom } from '#core/notation';
import type { Caller } from './testServer';

/** An entry's content: a title, its words in the compact notation, a cue. */
export const wording = (title: string, text: string, cue?: string) => ({
  ...newEntry(title, 'en-GB', passageFrom(text)),
  cues: cue ? [{ text: cue }] : [],
});
/** The problem document that an answer holds. */
export const problem = (response: { body: unknown }) => response.body as Problem;
/** Keeps new content in a collection. */
export const keep = (caller: Caller, collection: string, content: unknown) =>
  caller.post('/api/entries').send({ collection, content, reason: '' });
/** Saves content over a revision of an entry. */
export const saveAs = (caller: Caller, id: string, revision: number, content: unknown) =>
  caller.put(`/api/entries/${id}`).set('If-Match', `"${revision}"`).send({ content, reason: 'why' });

/** Takes steps that belong together. */
export const takeSteps = (caller: Caller, ...steps: object[]) =>
  caller.post('/api/entries/steps').send({ steps });
/** Puts entries into the wastebasket. */
export const deleting = (caller: Caller, entries: readonly string[]) =>
  takeSteps(caller, { do: 'delete', entries });
/** Moves entries to another collection. */
export const moving = (caller: Caller, entries: readonly string[], to: string) =>
  takeSteps(caller, { do: 'move', entries, to });
/** Changes many entries. */
export const changing = (caller: Caller, changes: readonly object[], reason = '') =>
  takeSteps(caller, { do: 'change', changes, reason });
/** The id by which what was just deleted is brought back. */
export const deletionIn = (response: { body: unknown }) => (response.body as Stepped).deletions[0]!;

/** An entry of one wording that somebody keeps in a collection, perhaps with a cue. */
export const keptEntry = async (
  who: Caller,
  collection: string,
  title: string,
  words: string,
  cue?: string,
) => (await keep(who, collection, wording(title, words, cue)).expect(201)).body as Entry;
