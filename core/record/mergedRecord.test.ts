import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  CaseRecordSchema,
  changedList,
  correctedRecord,
  emptyRecord,
  mergedRecord,
  type CaseRecord,
  type HistoryItem,
  type Measurement,
} from '.';

const CAME = { at: '2026-11-24T10:00:00.000Z', on: '2026-11-24' };
const BY = { by: 'Written by Odile Brandt', at: '2026-11-23T10:00:00.000Z', on: '2026-11-23' };

const weight = (value: number, measured: string, key?: string): Measurement => ({
  ...{ code: 'weight', label: 'Weight', value, unit: 'g', measured, minute: null, by: null },
  source: 'Measurement',
  ...(key !== undefined && { key }),
});
const allergy = (label: string, note: string | null, key?: string): HistoryItem => ({
  ...{ label, note, status: 'active', since: null, until: null, source: 'Allergy list' },
  ...(key !== undefined && { key }),
});
const of = (more: Partial<CaseRecord>): CaseRecord => ({ ...emptyRecord(), ...more });
const named = (name: string, source = 'Patient details') => ({
  path: 'name',
  value: { kind: 'text' as const, text: name },
  source,
  asOf: null,
});
const merge = (ours: CaseRecord, theirs: CaseRecord, withdrawn: string[] = []) =>
  mergedRecord(ours, { record: theirs, withdrawn }, CAME);

describe('a record brought up to date', () => {
  test('what is new is added, and says when it came', () => {
    const { record, added } = merge(
      of({ measurements: [weight(412, '2026-11-16', 'a')] }),
      of({
        measurements: [weight(412, '2026-11-16', 'a'), weight(430, '2026-11-18', 'b')],
        allergies: [allergy('Iodine', null)],
      }),
    );
    expect(record.measurements.map(({ value, cameAt }) => [value, cameAt])).toEqual([
      [412, undefined],
      [430, CAME.at],
    ]);
    expect(added.map(({ list }) => list)).toEqual(['measurements', 'allergies']);
    expect(record.allergies).toMatchObject([{ label: 'Iodine', cameAt: CAME.at }]);
  });

  test('what changed is changed and told, by the name its source gives it, else by what it is', () => {
    const { record, changed } = merge(
      of({ measurements: [weight(412, '2026-11-16', 'a')], allergies: [allergy('Iodine', 'rash')] }),
      of({ measurements: [weight(421, '2026-11-15', 'a')], allergies: [allergy('iodine', 'hives', 'x')] }),
    );
    expect(record.measurements).toMatchObject([{ value: 421, measured: '2026-11-15' }]);
    expect(record.allergies).toMatchObject([{ note: 'hives' }]);
    expect(changed.map(({ was, now }) => [was, now])).toMatchObject([
      [{ value: 412 }, { value: 421 }],
      [{ note: 'rash' }, { note: 'hives' }],
    ]);
  });

  test('what a person corrected stays as they wrote it, and knows what its source says now', () => {
    const had = weight(412, '2026-11-16', 'a');
    const ours = changedList(
      of({ measurements: [had] }),
      { list: 'measurements', had, now: weight(421, '2026-11-16') },
      BY,
    ) as CaseRecord;
    expect(merge(ours, of({ measurements: [had] }))).toMatchObject({ kept: [], changed: [], added: [] });
    const { record, kept } = merge(ours, of({ measurements: [weight(418, '2026-11-16', 'a')] }));
    expect(record.measurements).toMatchObject([{ value: 421, byHand: true, said: { value: 418 } }]);
    expect(kept).toHaveLength(1);
  });

  test('what a person took out does not come back', () => {
    const had = weight(412, '2026-11-16', 'a');
    const ours = changedList(
      of({ measurements: [had] }),
      { list: 'measurements', had, now: null },
      BY,
    ) as CaseRecord;
    const { record, added } = merge(ours, of({ measurements: [had] }));
    expect([record.measurements, added]).toEqual([[], []]);
  });

  test('what was entered in error goes where it can be put back; what a person corrected stays', () => {
    const [wrong, corrected] = [weight(9, '2026-11-16', 'a'), weight(8, '2026-11-17', 'b')];
    const ours = changedList(
      of({ measurements: [wrong, corrected] }),
      { list: 'measurements', had: corrected, now: weight(480, '2026-11-17') },
      BY,
    ) as CaseRecord;
    const { record, withdrawn } = merge(ours, emptyRecord(), ['a', 'b']);
    expect(record.measurements).toMatchObject([{ value: 480 }]);
    expect(record.removed).toMatchObject([{ item: { value: 9 }, by: 'Measurement: entered in error' }]);
    expect(withdrawn).toHaveLength(1);
  });

  test('a detail that a person corrected stays, and the source’s newest stands beside it', () => {
    const by = { by: BY.by, on: BY.on };
    const ours = correctedRecord(
      of({ details: [named('Brambel')] }),
      { path: 'name', value: { kind: 'text', text: 'Bramble' } },
      by,
    );
    const still = merge(ours, of({ details: [named('Bramle')] }));
    expect(still.record).toMatchObject({
      details: [{ value: { text: 'Bramble' } }],
      said: [{ value: { text: 'Bramle' } }],
    });
    const agreed = merge(ours, of({ details: [named('Bramble')] }));
    expect(agreed.record.details).toEqual([named('Bramble')]);
    expect(agreed.record.said).toBeUndefined();
  });

  test('care that is new or told otherwise is told, and goes by its source', () => {
    const worming = (done: string | null) => ({
      ...{
        label: 'Worming',
        every: { count: 3, step: 'months' as const },
        done,
        from: '2026-11-01',
        source: 'Plan',
      },
    });
    const weighing = { ...worming(null), label: 'Weighing' };
    const ours = of({ care: [worming(null), weighing] });
    const { record, care } = merge(ours, of({ care: [worming('2026-11-20')] }));
    expect([record.care, care]).toEqual([[weighing, worming('2026-11-20')], ['Worming']]);
    expect(merge(record, of({ care: [worming('2026-11-20')] })).care).toEqual([]);
  });

  test('a detail nobody touched follows its source, and that is told', () => {
    const { record, details } = merge(of({ details: [named('Ash')] }), of({ details: [named('Asher')] }));
    expect(record.details).toEqual([named('Asher')]);
    expect(details).toMatchObject([{ was: { value: { text: 'Ash' } }, now: { value: { text: 'Asher' } } }]);
  });
});

const anyMeasurement = (isNamed: boolean) =>
  fc
    .record({
      value: fc.integer({ min: 1, max: 9 }),
      day: fc.integer({ min: 10, max: 14 }),
      key: fc.constantFrom('a', 'b', 'c', 'd'),
    })
    .map(({ value, day, key }) => weight(value, `2026-11-${day}`, isNamed ? key : undefined));
const anyRecord = (isNamed: boolean) =>
  fc
    .uniqueArray(anyMeasurement(isNamed), { selector: ({ key, measured }) => key ?? measured, maxLength: 6 })
    .map((measurements) => of({ measurements }));
/** A record, what its source sends anew, and what a person writes: a source names all that it tells of, or nothing. */
const anyUpdate = fc
  .boolean()
  .chain((isNamed) => fc.tuple(anyRecord(isNamed), anyRecord(isNamed), anyMeasurement(false)));

test('sent again, nothing changes; what a person wrote is never lost; it stays a record', () => {
  fc.assert(
    fc.property(anyUpdate, ([ours, theirs, own]) => {
      const written = changedList(ours, { list: 'measurements', had: null, now: own }, BY);
      if (typeof written === 'string') return;
      const byHand = written.measurements.filter((one) => one.byHand);
      const once = merge(written, theirs).record;
      for (const one of byHand)
        expect(once.measurements).toContainEqual(
          expect.objectContaining({ value: one.value, measured: one.measured, byHand: true }),
        );
      expect(merge(once, theirs)).toMatchObject({ added: [], changed: [], kept: [], details: [] });
      expect(CaseRecordSchema.safeParse(once).success).toBe(true);
    }),
    { numRuns: 300 },
  );
});
