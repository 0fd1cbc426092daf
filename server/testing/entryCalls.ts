import type { Entry, Problem } from '#contracts';
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

/** An entry of one wording that somebody keeps in a collection, perhaps with a cue. */
export const keptEntry = async (
  who: Caller,
  collection: string,
  title: string,
  words: string,
  cue?: string,
) => (await keep(who, collection, wording(title, words, cue)).expect(201)).body as Entry;
