import type { CalendarDate } from '#core/calendar';
import { DETAILS } from './details';
import { isSameJson } from './isSameJson';
import type { CaseRecord, RecordDetail } from './record';
import type { Value } from './value';

/** Worked out of the rest of a record, or measured: nothing that is put right by writing over it. */
const NOT_WRITTEN = new Set(['age', 'weighed', 'blood pressure']);

/** The details that can be corrected by hand: words and days that are written down as they are. */
export const CORRECTABLE: readonly string[] = DETAILS.filter(
  ({ path, kind }) => (kind === 'text' || kind === 'date') && !NOT_WRITTEN.has(path),
).map(({ path }) => path);

/** What a record has written down under a path; null for nothing. */
export const writtenDetail = ({ details }: CaseRecord, path: string): RecordDetail | null =>
  details.find((detail) => detail.path === path) ?? null;

/** What a source said of a detail that was corrected or taken away by hand; null where nothing was. */
export const saidBySource = ({ said = [] }: CaseRecord, path: string): RecordDetail | null =>
  said.find((detail) => detail.path === path) ?? null;

/**
 * The record with one detail corrected by hand, added, or taken away (null). What its source said of it is remembered, and is
 * what stands again, source and day and all, once it is corrected to that.
 * @param by who corrects it, as it is told beside the value
 */
export function correctedRecord(
  record: CaseRecord,
  { path, value }: { path: string; value: Value | null },
  { by, on }: { by: string; on: CalendarDate },
): CaseRecord {
  const now = writtenDetail(record, path);
  const source = saidBySource(record, path);
  const byHand = (detail: RecordDetail) => detail.byHand === true;
  const first = source ?? (now && !byHand(now) ? now : null);
  const isBack = value !== null && first !== null && isSameJson(first.value, value);
  const next: RecordDetail | null =
    value === null
      ? null
      : isBack
        ? first
        : { path, ...(now?.label ? { label: now.label } : {}), value, source: by, asOf: on, byHand: true };
  const others = record.details.filter((detail) => detail.path !== path);
  const at = record.details.findIndex((detail) => detail.path === path);
  const details = next ? others.toSpliced(at < 0 ? others.length : at, 0, next) : others;
  const said = (record.said ?? []).filter((detail) => detail.path !== path);
  const { said: _, ...rest } = record;
  const kept = first && !isBack ? [...said, first] : said;
  return { ...rest, details, ...(kept.length > 0 ? { said: kept } : {}) };
}
