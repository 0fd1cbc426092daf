import { expect, test } from '@jest/globals';
import { kindOfDetail, lookUp, CaseRecordSchema } from '#core/record';
import { KIND_IDS, KINDS } from './kinds';
import { practiceRecord } from './practiceCase';

test.each(KIND_IDS)('a made-up case of %s answers all that its cases are asked for', (kind) => {
  const record = practiceRecord(kind, '2026-03-01');
  expect(CaseRecordSchema.safeParse(record).success).toBe(true);
  for (const path of KINDS[kind].details)
    expect([path, lookUp(record, path, '2026-03-01')?.value.kind]).toEqual([path, kindOfDetail(path)]);
});

test('its days are counted from today', () => {
  const admitted = (today: string) => lookUp(practiceRecord('admission', today), 'admitted', today)?.value;
  expect(admitted('2026-03-02')).toEqual({ kind: 'date', date: '2026-02-27' });
});
