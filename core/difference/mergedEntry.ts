import type { EntryContent, Part, Wording } from '#core/entry';
import type { Chapter } from '#core/notation';
import { isSame } from './isSame';

/** Something that both changed, and differently. */
export type MergeClash = Pick<Chapter, 'about' | 'name'>;

/** Two changes of an entry made one, and what both changed. */
export interface MergedEntry {
  content: EntryContent;
  /** What both changed: there the content has mine. Empty where the two changes do not touch. */
  clashes: MergeClash[];
}

/** Of one thing: mine where I changed it, else theirs. `clash` is called where both did. */
function mergedOne<T>(base: T, mine: T, theirs: T, clash: () => void): T {
  if (isSame(mine, base)) return theirs;
  if (!isSame(theirs, base) && !isSame(mine, theirs)) clash();
  return mine;
}

type Resolve<T> = (base: T | undefined, mine: T | undefined, theirs: T | undefined) => T | undefined;

/** Of a list: theirs, with what I added put behind what it stood behind in mine, and without what I took out. */
function mergedList<T>(
  [base, mine, theirs]: readonly (readonly T[])[] & { length: 3 },
  keyOf: (item: T) => string,
  resolve: Resolve<T>,
): T[] {
  const find = (list: readonly T[], key: string) => list.find((item) => keyOf(item) === key);
  const order = theirs!.map(keyOf);
  // What is mine alone, or what they took out while I changed it.
  mine!.forEach((item, at) => {
    const key = keyOf(item);
    if (order.includes(key)) return;
    const before = mine!
      .slice(0, at)
      .map(keyOf)
      .findLast((one) => order.includes(one));
    order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, key);
  });
  return order.flatMap((key) => {
    const item = resolve(find(base!, key), find(mine!, key), find(theirs!, key));
    return item === undefined ? [] : [item];
  });
}

type Clashing = (about: MergeClash['about'], name?: string) => () => void;

const eachBy =
  <T>(of: (item: T) => () => void): Resolve<T> =>
  (was, my, their) =>
    mergedOne(was, my, their, of((my ?? their ?? was)!));

/** Two changes of one wording made one, part by part. */
function mergedWording(clash: Clashing): Resolve<Wording> {
  const part = (wording: string, isOnly: boolean) =>
    eachBy<Part>(({ name }) => clash('wording', isOnly ? wording : `${wording}, ${name}`));
  return (was, my, their) => {
    if (!my || !their) return mergedOne(was, my, their, clash('wording', (my ?? their ?? was)!.name));
    const [w, m, t] = [was ?? their, my, their];
    const parts = mergedList([w.parts, m.parts, t.parts], ({ id }) => id, part(m.name, m.parts.length === 1));
    const short = mergedOne(w.short, m.short, t.short, clash('short', m.name));
    const onPage = mergedOne(w.onPage, m.onPage, t.onPage, clash('page', m.name));
    const joins = mergedOne(w.joins, m.joins, t.joins, clash('joins', m.name));
    return {
      id: m.id,
      name: mergedOne(w.name, m.name, t.name, clash('wording', m.name)),
      language: mergedOne(w.language, m.language, t.language, clash('language', m.name)),
      ...(joins && { joins }),
      ...(short && { short }),
      ...(onPage && { onPage }),
      // A wording has a part at least.
      parts: parts.length > 0 ? parts : m.parts,
    };
  };
}

/**
 * Two changes of one entry made one: `mine` and `theirs` were both made from `base`. What only one of them changed is as
 * that one has it: title, purpose, each tag and cue, each field, condition and part of a wording on its own.
 */
export function mergedEntry(base: EntryContent, mine: EntryContent, theirs: EntryContent): MergedEntry {
  const clashes: MergeClash[] = [];
  const clash: Clashing =
    (about, name = '') =>
    () =>
      void clashes.push({ about, name });
  const three = <T>(get: (content: EntryContent) => readonly T[]) =>
    [get(base), get(mine), get(theirs)] as const;
  const wording = mergedWording(clash);
  const text = (about: 'title' | 'purpose' | 'note') =>
    mergedOne(base[about], mine[about], theirs[about], clash(about));
  const wordings = mergedList(
    three((content) => content.wordings),
    ({ id }) => id,
    wording,
  );
  const conditions = mergedList(
    three((content) => content.conditions ?? []),
    ({ id }) => id,
    eachBy(() => clash('condition')),
  );
  const files = mergedList(
    three((content) => content.files ?? []),
    ({ hash }) => hash,
    eachBy(() => clash('files')),
  );
  const { retired: _, files: __, comment: ___, ...others } = theirs;
  const retired = mergedOne(base.retired, mine.retired, theirs.retired, clash('state'));
  const comment = mergedOne(base.comment, mine.comment, theirs.comment, clash('comment'));
  return {
    content: {
      ...others,
      ...(comment && { comment }),
      ...(retired && { retired }),
      ...(files.length > 0 && { files }),
      title: text('title'),
      purpose: text('purpose'),
      note: text('note'),
      tags: mergedList(
        three((content) => content.tags),
        (tag) => tag,
        eachBy(() => clash('tags')),
      ),
      cues: mergedList(
        three((content) => content.cues),
        (cue) => cue.text,
        eachBy(() => clash('cues')),
      ),
      fields: mergedList(
        three((content) => content.fields),
        ({ id }) => id,
        eachBy(({ name }) => clash('field', name)),
      ),
      ...(conditions.length > 0 || theirs.conditions ? { conditions } : {}),
      wordings: wordings.length > 0 ? wordings : mine.wordings,
    },
    clashes,
  };
}
