import type { CalendarDate } from '#core/calendar';
import { isSameJson } from './isSameJson';
import {
  itemsOf,
  LIST_LIMITS,
  type CaseRecord,
  type ListChange,
  type RecordItem as Item,
  type RecordList,
  type RemovedItem,
} from './record';

/** Who changes it, as it is told beside it, and when: an instant (ISO 8601), and the day it is taken out on. */
interface By {
  by: string;
  at: string;
  on: CalendarDate;
}

/** More than these taken out are not remembered; the oldest is forgotten first. */
const MOST_REMOVED = 500;

/** The record with one of its lists as given. */
const withList = (record: CaseRecord, list: RecordList, items: readonly Item[]): CaseRecord => ({
  ...record,
  [list]: items,
});

/** An item as a source says it: without what is known of how it was changed by hand. */
export function plainItem<One extends Item>(
  item: One,
): Omit<One, 'said' | 'byHand' | 'writtenAt' | 'cameAt'> {
  const { said: _said, byHand: _byHand, writtenAt: _at, cameAt: _cameAt, ...plain } = item;
  return plain;
}

/** Where it comes from and by what name, and not what it says. */
const NOT_SAID = ['source', 'key'];

/** Whether two items say the same, whoever says it. */
export function isSameItem(a: Item, b: Item): boolean {
  const [left, right] = [plainItem(a), plainItem(b)] as Record<string, unknown>[];
  const keys = new Set([...Object.keys(left!), ...Object.keys(right!)]);
  for (const key of NOT_SAID) keys.delete(key);
  return [...keys].every((key) => isSameJson(left![key], right![key]));
}

/** Where an item stands in a list of a record; -1 where it does not. */
export const placeOf = (record: CaseRecord, list: RecordList, item: Item): number =>
  itemsOf(record, list).findIndex(
    (one) => one.source === item.source && one.byHand === item.byHand && isSameItem(one, item),
  );

/** An item written by hand in the place of another, which remembers what its source said; that again, where it is the same. */
function written(now: Item, before: Item | null, { by, at }: By): Item {
  const said = before?.said ?? (before && !before.byHand ? plainItem(before) : undefined);
  if (said && isSameItem(said as Item, now)) return said as Item;
  // What a person writes has no name with a source; what the source said has.
  const { key: _, ...plain } = plainItem(now);
  return { ...plain, source: by, byHand: true, writtenAt: at, ...(said && { said }) } as Item;
}

/** Why a list was not changed: somebody else changed the item meanwhile, or the list is full. */
export type NotChanged = 'moved-on' | 'full';

/**
 * The record with an item of one of its lists added, corrected or taken out by hand. What a source said is remembered, and stands
 * again, source and all, once it is corrected to that. Done already, as when it is sent again, it is the very same record.
 */
export function changedList(
  record: CaseRecord,
  { list, had, now }: ListChange,
  by: By,
): CaseRecord | NotChanged {
  const items = itemsOf(record, list);
  const isThere = now !== null && items.some((item) => isSameItem(item, now));
  if (had === null) {
    if (now === null || isThere) return record;
    if (items.length >= LIST_LIMITS[list]) return 'full';
    return withList(record, list, [...items, written(now, null, by)]);
  }
  const at = placeOf(record, list, had);
  if (at < 0) {
    const isGone = !items.some((item) => isSameItem(item, had));
    return now === null ? (isGone ? record : 'moved-on') : isThere ? record : 'moved-on';
  }
  if (now !== null) return withList(record, list, items.with(at, written(now, items[at]!, by)));
  const removed = [
    ...(record.removed ?? []),
    { list, item: items[at]!, by: by.by, on: by.on } as RemovedItem,
  ];
  return { ...withList(record, list, items.toSpliced(at, 1)), removed: removed.slice(-MOST_REMOVED) };
}

/** The record with what was taken out put back as it was; the very same where it is there already. */
export function putBack(record: CaseRecord, back: RemovedItem): CaseRecord | NotChanged {
  const removed = record.removed ?? [];
  const at = removed.findIndex(
    ({ list, item, by, on }) =>
      list === back.list && by === back.by && on === back.on && isSameItem(item, back.item),
  );
  if (at < 0) return placeOf(record, back.list, back.item) >= 0 ? record : 'moved-on';
  const items = itemsOf(record, back.list);
  if (items.length >= LIST_LIMITS[back.list]) return 'full';
  const { removed: _, ...rest } = withList(record, back.list, [...items, removed[at]!.item]);
  const left = removed.toSpliced(at, 1);
  return left.length > 0 ? { ...rest, removed: left } : rest;
}
