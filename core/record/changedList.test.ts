import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { changedList, emptyRecord, putBack, type CaseRecord, type Measurement, type Medicine } from '.';

const BY = { by: 'Written by Imke', at: '2026-11-27T10:00:00.000Z', on: '2026-11-27' };
const weighed = (value: number, measured: string, more: Partial<Measurement> = {}): Measurement => ({
  ...{ code: 'weight', label: 'Weight', value, unit: 'g', measured, minute: null, by: null },
  ...{ source: 'Observation', ...more },
});
const record: CaseRecord = {
  ...emptyRecord(),
  measurements: [weighed(412, '2026-11-17'), weighed(512, '2026-11-25')],
};
const changed = (of: CaseRecord, had: Measurement | null, now: Measurement | null, by = BY) => {
  const result = changedList(of, { list: 'measurements', had, now }, by);
  if (typeof result === 'string') throw new Error(result);
  return result;
};

test('what is added says who wrote it and when; added again it is there once', () => {
  const added = changed(record, null, weighed(530, '2026-11-27', { source: '' }));
  expect(added.measurements.at(-1)).toEqual(
    weighed(530, '2026-11-27', { source: BY.by, byHand: true, writtenAt: BY.at }),
  );
  expect(changed(added, null, weighed(530, '2026-11-27', { source: '' }))).toBe(added);
});

test('corrected, it remembers what the source said, through a second correction, until it is corrected to that', () => {
  const once = changed(record, record.measurements[1]!, weighed(521, '2026-11-25'));
  expect(once.measurements[1]).toMatchObject({ value: 521, byHand: true, said: { value: 512 } });
  const twice = changed(once, once.measurements[1]!, weighed(522, '2026-11-25'));
  expect(twice.measurements[1]).toMatchObject({ value: 522, said: { value: 512, source: 'Observation' } });
  expect(changed(twice, twice.measurements[1]!, weighed(512, '2026-11-25'))).toEqual(record);
});

test('what was written by hand alone remembers nothing of a source', () => {
  const added = changed(record, null, weighed(530, '2026-11-27'));
  const again = changed(added, added.measurements[2]!, weighed(531, '2026-11-27'));
  expect(again.measurements[2]).not.toHaveProperty('said');
});

describe('taken out', () => {
  const out = changed(record, record.measurements[0]!, null);

  test('it is in no list, and remembered with who took it out', () => {
    expect(out.measurements).toEqual([record.measurements[1]]);
    expect(out.removed).toEqual([
      { list: 'measurements', item: record.measurements[0], by: BY.by, on: BY.on },
    ]);
  });

  test('it is put back as it was, once', () => {
    const [gone] = out.removed!;
    const back = putBack(out, gone!) as CaseRecord;
    expect(back).not.toHaveProperty('removed');
    expect(back.measurements).toEqual(expect.arrayContaining(record.measurements));
    expect(putBack(back, gone!)).toBe(back);
  });

  test('taken out again it stays so; corrected, it is told that somebody changed it', () => {
    expect(changed(out, record.measurements[0]!, null)).toBe(out);
    const change = {
      list: 'measurements',
      had: record.measurements[0]!,
      now: weighed(1, '2026-11-17'),
    } as const;
    expect(changedList(out, change, BY)).toBe('moved-on');
  });
});

test('of two who correct one item the second is told, unless they say the same', () => {
  const had = record.measurements[0]!;
  const first = changed(record, had, weighed(414, '2026-11-17'));
  const second = (value: number) =>
    changedList(first, { list: 'measurements', had, now: weighed(value, '2026-11-17') }, BY);
  expect(second(415)).toBe('moved-on');
  expect(second(414)).toBe(first);
});

test('a full list takes no more', () => {
  const medicine = (name: string): Medicine => ({
    ...{ name, dose: null, status: 'active', since: null, until: null, source: '' },
  });
  const full = { ...emptyRecord(), medicines: Array.from({ length: 1000 }, (_, at) => medicine(`m${at}`)) };
  expect(changedList(full, { list: 'medicines', had: null, now: medicine('one more') }, BY)).toBe('full');
});

test('whatever is changed and taken back again, the record says what it said', () => {
  const value = fc.integer({ min: 1, max: 4 });
  fc.assert(
    fc.property(fc.uniqueArray(value, { minLength: 1 }), fc.nat(), fc.option(value), (values, at, to) => {
      const items = values.map((one) => weighed(one, '2026-11-01'));
      const before = { ...emptyRecord(), measurements: items };
      const had = items[at % items.length]!;
      const now = to === null ? null : weighed(to, '2026-11-02');
      const after = changed(before, had, now);
      const back =
        now === null
          ? putBack(after, after.removed![0]!)
          : changed(
              after,
              after.measurements.find(({ byHand }) => byHand)!,
              had,
            );
      const said = (of: CaseRecord) => of.measurements.map((one) => one.value).sort();
      expect(said(back as CaseRecord)).toEqual(said(before));
      expect((back as CaseRecord).measurements.every(({ byHand }) => !byHand)).toBe(true);
    }),
  );
});
