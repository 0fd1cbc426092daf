import type { NewCase } from '#contracts';

/** A leaf of no case, to be made: nothing is asked, and without a title it is called by what is written on it. */
export const newLeaf = (more: Partial<Pick<NewCase, 'title' | 'document'>> = {}): NewCase => ({
  ...{ id: crypto.randomUUID(), kind: 'leaf', title: '', number: null },
  ...{ details: [], given: [] },
  ...more,
});
