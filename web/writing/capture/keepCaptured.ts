import { useMutation } from '@tanstack/react-query';
import type { Collection, Entry } from '#contracts';
import { wordingFor, wordingReplaced, type EntryContent } from '#core/entry';
import { call } from '#client/api';
import { keepEntry } from '#client/waiting';
import { takeKept, newCollection } from '../../api';
import { useShell } from '../../shell';
import type { BankIndex } from '#core/bank';

/** What is on the slip, to be kept. */
export interface Slip {
  content: EntryContent;
  collection: Collection | undefined;
  /** The name of a collection that is to be made for it, like the one at hand; null where there is one. */
  fresh: string | null;
  /** Names what is kept: sent again, since the answer was lost, it is no second entry. */
  key: string;
  /** The entry whose wording gives way to this one; null for a new entry. */
  replacing: Entry | null;
}

/** An entry with what was captured in place of one of its wordings: which, what it then holds, and what nothing needs any more. */
export function replaced(entry: Entry, { collection, content }: Pick<Slip, 'collection' | 'content'>) {
  const wording = wordingFor(entry.content, collection?.language ?? 'en-GB');
  const captured = { passage: content.wordings[0]!.parts[0]!.passage, fields: content.fields };
  return { wording, ...wordingReplaced(entry.content, wording.id, captured) };
}

/** Sends the slip to the bank, and shows the entry on this page without waiting for the live event. */
export function useKeep(close: (kept: Entry) => void, collectionMade: (made: Collection) => void) {
  const { member } = useShell();
  return useMutation({
    mutationFn: async (slip: Slip) => {
      const { replacing, fresh } = slip;
      if (replacing)
        return call('saveEntry', {
          params: { entry: replacing.id },
          version: replacing.revision,
          body: { content: replaced(replacing, slip).content, reason: 'Saved again from a leaf' },
        });
      const made = fresh === null ? null : await newCollection(fresh, null, slip.collection ?? null);
      // Made, it is there, whatever becomes of the entry: a second try goes into it.
      if (made) collectionMade(made);
      const body = {
        collection: made?.id ?? slip.collection?.id ?? '',
        content: slip.content,
        reason: 'Saved from a leaf',
        key: slip.key,
      };
      return (await keepEntry(member.id, body)).entry;
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
