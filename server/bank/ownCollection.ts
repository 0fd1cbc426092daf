import { DEFAULT_CUE_RULES } from '#core/cue';
import type { collections } from '../db';

/** The collection every member has for wording of their own: nobody else sees it. */
export function ownCollection(id: string, member: string): typeof collections.$inferInsert {
  return {
    id,
    name: 'My own wording',
    ownedBy: member,
    leadIn: ',',
    cueRules: DEFAULT_CUE_RULES,
    kindsOfWork: [],
    language: 'en-GB',
    position: 1000,
  };
}
