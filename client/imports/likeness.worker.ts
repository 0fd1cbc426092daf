import { expose } from 'comlink';
import type { EntryContent } from '#core/entry';
import { nearlySame, type NearlySame } from '#core/takeover';

interface Compared {
  id: string;
  content: EntryContent;
}

/** Compares what arrives with what is here away from the thread that takes keys. */
export class LikenessSearch {
  find(arriving: readonly Compared[], here: readonly Compared[]): Map<string, NearlySame> {
    const work = nearlySame(arriving, here);
    let step = work.next();
    while (!step.done) step = work.next();
    return step.value;
  }
}

expose(new LikenessSearch());
