import type { Member } from '#contracts';

/** Whether a member may change or delete a glossary, and bring it back: who made it, and owners. */
export const keepsGlossary = ({ madeBy }: { madeBy: string | null }, { id, role }: Member): boolean =>
  role === 'owner' || madeBy === id;
