import type { CalendarDate } from '#core/calendar';
import { isSameItem, plainItem } from './changedList';
import { isSameJson } from './isSameJson';
import { nameOfItem } from './itemParts';
import {
  itemsOf,
  LIST_LIMITS,
  RECORD_LISTS,
  type CaseRecord,
  type RecordDetail,
  type RecordItem,
  type RecordList,
  type RemovedItem,
  type WrittenItem,
} from './record';

/** What a source tells of anew, against what a record had. */
export interface MergedRecord {
  record: CaseRecord;
  added: WrittenItem[];
  changed: { list: RecordList; was: RecordItem; now: RecordItem }[];
  /** What the source has taken back: it was entered in error. */
  withdrawn: WrittenItem[];
  details: { path: string; was: RecordDetail | null; now: RecordDetail }[];
  /** Items that the source tells of otherwise than a person wrote them here: what was written here stays. */
  kept: { list: RecordList; ours: RecordItem; theirs: RecordItem }[];
  /** Care that comes round and is new, or told otherwise: what it is called. */
  care: string[];
  /** Items for which the record has no room. */
  full: number;
}

/** A record as it came from a source, with what the source says was entered in error, by its keys. */
export interface Incoming {
  record: CaseRecord;
  withdrawn?: readonly string[];
}

/** When it came: an instant (ISO 8601), and the day where the server is. */
interface Came {
  at: string;
  on: CalendarDate;
}

const keyOf = (item: RecordItem): string | undefined => item.said?.key ?? item.key;

/** By what an item is known again that its source gives no name: what it is, and of which day. */
function likenessOf(list: RecordList, item: RecordItem): string {
  if ('measured' in item) return `${list} ${item.code} ${item.measured} ${item.minute ?? ''}`;
  return `${list} ${nameOfItem(item).toLowerCase()} ${item.since ?? ''}`;
}

/** Where the items of a list are, by what their source calls them and by what they are. Each place is found once. */
class Places {
  private readonly byKey = new Map<string, number>();
  private readonly byLikeness = new Map<string, number[]>();
  private readonly found = new Set<number>();

  constructor(
    private readonly list: RecordList,
    private readonly items: readonly RecordItem[],
  ) {
    items.forEach((item, at) => {
      const key = keyOf(item);
      if (key !== undefined) this.byKey.set(key, at);
      const likenesses = [item, ...(item.said ? [item.said as RecordItem] : [])].map((one) =>
        likenessOf(list, one),
      );
      for (const likeness of new Set(likenesses))
        this.byLikeness.set(likeness, [...(this.byLikeness.get(likeness) ?? []), at]);
    });
  }

  /** The place of what an item tells of anew; -1 for something new. */
  of(item: RecordItem): number {
    const at = (item.key === undefined ? undefined : this.byKey.get(item.key)) ?? this.alike(item);
    this.found.add(at);
    return at;
  }

  /** Of what is like it. Two that their source tells apart are two, however alike: a value measured twice in a minute. */
  private alike(item: RecordItem): number {
    const places = this.byLikeness.get(likenessOf(this.list, item)) ?? [];
    const isOther = (at: number) => item.key !== undefined && keyOf(this.items[at]!) !== undefined;
    return places.find((at) => !this.found.has(at) && !isOther(at)) ?? -1;
  }
}

/** Brings one list up to date. */
function mergeList(
  merged: MergedRecord,
  list: RecordList,
  incoming: readonly RecordItem[],
  { at }: Came,
): void {
  const items = [...itemsOf(merged.record, list)];
  const places = new Places(list, [...items]);
  const removed = (merged.record.removed ?? []).filter((one) => one.list === list).map(({ item }) => item);
  const gone = new Places(list, removed);
  for (const item of incoming) {
    const place = places.of(item);
    const had = items[place];
    if (!had) {
      // What a person took out is not put back behind their back.
      if (gone.of(item) >= 0) continue;
      if (items.length >= LIST_LIMITS[list]) merged.full += 1;
      else {
        items.push({ ...item, cameAt: at });
        merged.added.push({ list, item } as WrittenItem);
      }
    } else if (had.byHand) {
      const before = had.said;
      if (isSameItem(had, item) || (before && isSameItem(before, item))) continue;
      items[place] = { ...had, said: plainItem(item) } as RecordItem;
      merged.kept.push({ list, ours: had, theirs: item });
    } else if (!isSameItem(had, item)) {
      items[place] = { ...item, cameAt: at };
      merged.changed.push({ list, was: had, now: item });
    }
  }
  if (incoming.length > 0) merged.record = { ...merged.record, [list]: items };
}

/** Takes out what its source says was entered in error, unless a person corrected it here; it can be put back. */
function withdraw(merged: MergedRecord, keys: ReadonlySet<string>, { on }: Came): void {
  for (const list of RECORD_LISTS) {
    const items = itemsOf(merged.record, list);
    const wrong = items.filter((item) => !item.byHand && item.key !== undefined && keys.has(item.key));
    if (wrong.length === 0) continue;
    const gone = wrong.map((item) => ({ list, item, by: `${item.source}: entered in error`, on }));
    merged.record = {
      ...merged.record,
      [list]: items.filter((item) => !wrong.includes(item)),
      removed: [...(merged.record.removed ?? []), ...(gone as RemovedItem[])].slice(-500),
    };
    merged.withdrawn.push(...wrong.map((item) => ({ list, item }) as WrittenItem));
  }
}

/** Brings the details up to date: what a person wrote stays, and remembers what its source says now. */
function mergeDetails(merged: MergedRecord, incoming: readonly RecordDetail[]): void {
  for (const detail of incoming) {
    const { details, said = [] } = merged.record;
    const at = details.findIndex(({ path }) => path === detail.path);
    const had = details[at];
    const ofSource = said.findIndex(({ path }) => path === detail.path);
    if (had?.byHand || ofSource >= 0) {
      const others = said.filter(({ path }) => path !== detail.path);
      const isAgreed = had && isSameJson(had.value, detail.value);
      merged.record = { ...merged.record, said: isAgreed ? others : [...others, detail] };
      if (isAgreed) merged.record = { ...merged.record, details: details.with(at, detail) };
    } else if (!had || !isSameJson(had.value, detail.value)) {
      merged.record = {
        ...merged.record,
        details: had ? details.with(at, detail) : [...details, detail],
      };
      merged.details.push({ path: detail.path, was: had ?? null, now: detail });
    }
  }
  if (merged.record.said?.length === 0) delete merged.record.said;
}

/** Care that a source tells of and a record has not, or has otherwise. */
const newCare = ({ care: ours = [] }: CaseRecord, { care = [] }: CaseRecord): string[] =>
  care.filter((one) => !ours.some((other) => isSameJson(one, other))).map(({ label }) => label);

/** Recurring care as the source has it now: nobody writes it by hand. What it does not tell of stays. */
function mergeCare(record: CaseRecord, { care = [], identifiers = [] }: CaseRecord): CaseRecord {
  const named = new Set(care.map(({ label }) => label.toLowerCase()));
  const all = [...(record.care ?? []).filter(({ label }) => !named.has(label.toLowerCase())), ...care];
  const ids = [...new Set([...(record.identifiers ?? []), ...identifiers])].slice(0, 50);
  return {
    ...record,
    ...(all.length > 0 ? { care: all.slice(0, 500) } : {}),
    ...(ids.length > 0 ? { identifiers: ids } : {}),
  };
}

/**
 * A record brought up to date with what a source tells of the same person or animal. What is new is added, what changed is changed,
 * both are told; nothing that a person wrote or took out here is lost. Sent again it changes nothing. What the source does not speak
 * of stays: a file may hold part of a record.
 */
export function mergedRecord(
  ours: CaseRecord,
  { record: theirs, withdrawn = [] }: Incoming,
  came: Came,
): MergedRecord {
  const merged: MergedRecord = {
    ...{ record: ours, added: [], changed: [], withdrawn: [], details: [], kept: [], care: [], full: 0 },
  };
  mergeDetails(merged, theirs.details);
  for (const list of RECORD_LISTS) mergeList(merged, list, itemsOf(theirs, list), came);
  withdraw(merged, new Set(withdrawn), came);
  merged.care = newCare(merged.record, theirs);
  merged.record = mergeCare(merged.record, theirs);
  return merged;
}
