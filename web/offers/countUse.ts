import type { Member, OwnUses, Use } from '#contracts';
import { KEYS, queryClient } from '../api';
import { tellUse, withUse } from '#client/offers';

/** Counts a use of something from the bank or a glossary: it is told to the server, and offered sooner here at once. */
export function countUse(kind: string, counted: Use): void {
  const member = queryClient.getQueryData<Member | null>(KEYS.session);
  if (member) tellUse(member.id, kind, counted);
  queryClient.setQueryData<OwnUses>(KEYS.ownUses, (own) => own && withUse(own, kind, counted));
}
