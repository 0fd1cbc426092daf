import type { Collection } from '#contracts';

const RIGHTS: Record<Collection['right'], string> = {
  read: 'You may use it',
  contribute: 'You may use it and propose changes',
  keep: 'You keep it',
};

/** What one may do in a collection, in words. */
export const rightInWords = ({ own, right }: Collection): string => (own ? 'Only you see it' : RIGHTS[right]);
