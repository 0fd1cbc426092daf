import { expose } from 'comlink';
import type { EntryContent } from '#core/entry';
import type { PlaceRequest } from '#core/fill';
import { seeded, tryBranches, type Trial } from '#core/workbench';

/** So many branches are tried; what more would tell is not worth the wait. */
const MOST_TRIED = 400;

/** What is to be tried; all of it plain data, as it goes to another thread. */
export interface TrialRequest extends Pick<PlaceRequest, 'record' | 'today' | 'now' | 'writer'> {
  content: EntryContent;
  /** The id of the wording that is tried. */
  wording: string;
  /** The contents of the entries that it includes, by their ids. */
  within: Record<string, EntryContent>;
}

/** Tries the branches of a wording away from the thread that takes keys. */
export class BranchTrier {
  try({ content, wording, within, ...setting }: TrialRequest): Trial {
    const found = content.wordings.find(({ id }) => id === wording) ?? content.wordings[0]!;
    // The same sample each time, so that what is told does not flicker while one writes.
    const random = seeded(1);
    return tryBranches(content, found, { ...setting, find: (id) => within[id], most: MOST_TRIED, random });
  }
}

expose(new BranchTrier());
