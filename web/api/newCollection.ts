import type { Collection } from '#contracts';
import { DEFAULT_CUE_MAKING, DEFAULT_CUE_RULES } from '#core/cue';
import { call } from '#client/api';
import { KEYS, queryClient } from './queries';

/** Makes a collection, at the top or within another, with the lead-in and rules of one that is like it. */
export async function newCollection(
  name: string,
  parent: string | null,
  like: Collection | null,
): Promise<Collection> {
  const made = await call('makeCollection', {
    body: {
      name,
      parent,
      leadIn: like?.leadIn ?? ';',
      cueRules: like?.cueRules ?? DEFAULT_CUE_RULES,
      cuesBy: like?.cuesBy ?? DEFAULT_CUE_MAKING,
      kindsOfWork: like?.kindsOfWork ?? [],
      language: like?.language ?? 'en-GB',
    },
  });
  await queryClient.invalidateQueries({ queryKey: KEYS.bank });
  return made;
}
