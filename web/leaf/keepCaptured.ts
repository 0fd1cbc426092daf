import { useMutation } from '@tanstack/react-query';
import type { Collection, Entry } from '#contracts';
import { newEntry, wordingFor, wordingReplaced, type EntryContent } from '#core/entry';
import type { Captured } from '#core/privacy';
import { call } from '../api/client';
import { takeKept } from '../api/bank';
import type { BankIndex } from '../bank/bankIndex';
import { newCollection } from '../collections/newCollection';

/** What is on the slip, to be kept. */
export interface Slip {
  title: string;
  cue: string;
  collection: Collection | undefined;
  captured: Captured;
  /** The name of a collection that is to be made for it, like the one at hand; null where there is one. */
  fresh: string | null;
  /** Names what is kept: sent again, since the answer was lost, it is no second entry. */
  key: string;
  /** The entry whose wording gives way to this one; null for a new entry. */
  replacing: Entry | null;
}

function contentOf({ title, cue, collection, captured }: Slip): EntryContent {
  return {
    ...newEntry(title.trim(), collection?.language ?? 'en-GB', captured.passage),
    fields: captured.fields,
    cues: cue.trim() === '' ? [] : [{ text: cue.trim() }],
  };
}

/** An entry with what was captured in place of one of its wordings: which, what it then holds, and what nothing needs any more. */
export function replaced(
  { content }: Entry,
  { collection, captured }: Pick<Slip, 'collection' | 'captured'>,
) {
  const wording = wordingFor(content, collection?.language ?? 'en-GB');
  return { wording, ...wordingReplaced(content, wording.id, captured) };
}

/** Sends the slip to the bank, and shows the entry on this page without waiting for the live event. */
export function useKeep(close: (kept: Entry) => void, collectionMade: (made: Collection) => void) {
  return useMutation({
    mutationFn: async (slip: Slip) => {
      const { replacing, fresh } = slip;
      if (replacing)
        return call('saveEntry', {
          params: { entry: replacing.id },
          version: replacing.revision,
          body: { content: replaced(replacing, slip).content, reason: 'Captured again from a leaf' },
        });
      const made = fresh === null ? null : await newCollection(fresh, null, slip.collection ?? null);
      // Made, it is there, whatever becomes of the entry: a second try goes into it.
      if (made) collectionMade(made);
      const body = {
        collection: made?.id ?? slip.collection?.id ?? '',
        content: contentOf(slip),
        reason: 'Kept from a leaf',
        key: slip.key,
      };
      return call('makeEntry', { body });
    },
    onSuccess: (entry) => {
      takeKept(entry);
      close(entry);
    },
  });
}

/** An entry of this title that the member keeps. */
export function titled({ bank, collections }: BankIndex, title: string): Entry | undefined {
  const wanted = title.trim().toLowerCase();
  return bank.entries.find(
    ({ content, collection }) =>
      content.title.toLowerCase() === wanted && collections.get(collection)?.right === 'keep',
  );
}
