import { proposeCue, type CueMaking } from '#core/cue';
import { entryDifference } from '#core/difference';
import type { EntryContent } from '#core/entry';
import { renamedIncludes } from '#core/fill';

/** An entry as a file of another team brings it; its id means something within that file. */
export interface Arriving {
  id: string;
  content: EntryContent;
}

/** An entry that is there already. */
export interface Standing extends Arriving {
  revision: number;
}

/** What an arriving entry finds: nothing like it, its like word for word, or one of its title that reads otherwise. */
export interface EntryArrival extends Arriving {
  state: 'new' | 'same' | 'differs';
  standing: Standing | null;
}

const titleOf = ({ content }: Arriving) => content.title.trim().toLowerCase();

/**
 * What each arriving entry finds among those that stand there: it is the one with its id, else the first of its title that no
 * other has been taken for. Entries within entries are told by what they are taken for, so that the same text is the same
 * whatever the ids were where it came from.
 */
export function compareArriving(arriving: readonly Arriving[], there: readonly Standing[]): EntryArrival[] {
  const free = new Map(there.map((one) => [one.id, one]));
  const takenFor = new Map<string, Standing>();
  const take = (id: string, standing: Standing | undefined) => {
    if (!standing) return;
    takenFor.set(id, standing);
    free.delete(standing.id);
  };
  for (const { id } of arriving) take(id, free.get(id));
  const byTitle = new Map<string, Standing[]>();
  for (const one of free.values()) byTitle.set(titleOf(one), [...(byTitle.get(titleOf(one)) ?? []), one]);
  for (const one of arriving) if (!takenFor.has(one.id)) take(one.id, byTitle.get(titleOf(one))?.shift());
  return arriving.map(({ id, content }) => {
    const standing = takenFor.get(id) ?? null;
    if (!standing) return { id, content, state: 'new', standing };
    const here = renamedIncludes(content, (one) => takenFor.get(one)?.id ?? one);
    const differs = entryDifference(standing.content, here).length > 0;
    return { id, content, state: differs ? 'differs' : 'same', standing };
  });
}

/** An entry's cues where some are taken: of those that are typed a free one stands in for each, others are left out. */
export interface SettledCues {
  content: EntryContent;
  /** Cues that were taken, each with the one in its stead; null for none. */
  changed: { cue: string; now: string | null }[];
}

/** The content with cues that none of `taken` (in lower case) has; made by the rule that its new team makes cues by. */
export function settleCues(content: EntryContent, taken: ReadonlySet<string>, by?: CueMaking): SettledCues {
  const used = new Set(taken);
  const changed: SettledCues['changed'] = [];
  const cues = content.cues.flatMap((cue) => {
    if (!used.has(cue.text.toLowerCase())) {
      used.add(cue.text.toLowerCase());
      return [cue];
    }
    const now = cue.as ? null : proposeCue(content.title, [...used], by);
    changed.push({ cue: cue.text, now });
    if (now === null) return [];
    used.add(now.toLowerCase());
    return [{ ...cue, text: now }];
  });
  return { content: changed.length === 0 ? content : { ...content, cues }, changed };
}
