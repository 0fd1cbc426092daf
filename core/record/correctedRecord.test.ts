import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { CaseRecordSchema, correctedRecord, CORRECTABLE, emptyRecord, saidBySource, writtenDetail } from '.';
import type { CaseRecord, RecordDetail, Value } from '.';

const text = (words: string): Value => ({ kind: 'text', text: words });
const fromSource = (path: string, words: string): RecordDetail => ({
  path,
  value: text(words),
  source: 'Patient',
  asOf: '2026-11-16',
});
const record = (...details: RecordDetail[]): CaseRecord => ({ ...emptyRecord(), details });
const IMKE = { by: 'Written by Imke', on: '2026-11-27' };
const ODILE = { by: 'Written by Odile', on: '2026-11-28' };
const correct = (one: CaseRecord, path: string, value: Value | null, who = IMKE) =>
  correctedRecord(one, { path, value }, who);

describe('a record corrected by hand', () => {
  const start = record(fromSource('name', 'Brambel'), fromSource('species', 'hedgehog'));

  test('says who wrote it and when, in the place it had, and remembers what its source said', () => {
    const now = correct(start, 'name', text('Bramble'));
    expect(now.details.map(({ path }) => path)).toEqual(['name', 'species']);
    expect(writtenDetail(now, 'name')).toEqual({
      ...{ path: 'name', value: text('Bramble'), source: 'Written by Imke', asOf: '2026-11-27' },
      byHand: true,
    });
    expect(saidBySource(now, 'name')).toEqual(fromSource('name', 'Brambel'));
  });

  test('corrected again, it is still the source that is remembered, not what was written in between', () => {
    const twice = correct(correct(start, 'name', text('Bramble')), 'name', text('Brambly'), ODILE);
    expect(writtenDetail(twice, 'name')!.source).toBe('Written by Odile');
    expect(saidBySource(twice, 'name')!.value).toEqual(text('Brambel'));
  });

  test('put back to what its source said, it is as it was read', () => {
    expect(correct(correct(start, 'name', text('Bramble')), 'name', text('Brambel'))).toEqual(start);
  });

  test('taken away it is nowhere, and can be brought back', () => {
    const gone = correct(start, 'species', null);
    expect([writtenDetail(gone, 'species'), saidBySource(gone, 'species')!.value]).toEqual([
      null,
      text('hedgehog'),
    ]);
    expect(writtenDetail(correct(gone, 'species', text('hedgehog')), 'species')!.source).toBe('Patient');
  });

  test('what was added by hand leaves nothing behind', () => {
    const added = correct(start, 'ward', text('Two'));
    expect(saidBySource(added, 'ward')).toBeNull();
    expect(correct(added, 'ward', null)).toEqual(start);
  });

  test('whatever is corrected in whatever order, the rest stays, it is a record, and all can be put back', () => {
    const path = fc.constantFrom('name', 'species', 'ward');
    const value = fc.option(fc.string({ minLength: 1, maxLength: 5 }).map(text));
    fc.assert(
      fc.property(fc.array(fc.tuple(path, value), { maxLength: 12 }), (corrections) => {
        const end = corrections.reduce((now, [at, to]) => correct(now, at, to), start);
        expect(CaseRecordSchema.parse(end)).toEqual(end);
        const last = new Map(corrections);
        for (const [at, to] of last) expect(writtenDetail(end, at)?.value ?? null).toEqual(to);
        const back = [...last.keys()].reduce(
          (now, at) => correct(now, at, writtenDetail(start, at)?.value ?? null),
          end,
        );
        const inOrder = (one: CaseRecord) => [...one.details].sort((a, b) => a.path.localeCompare(b.path));
        expect([inOrder(back), back.said]).toEqual([inOrder(start), undefined]);
      }),
    );
  });

  test('what is worked out or measured is not written over', () => {
    for (const path of ['age', 'weight', 'days in care', 'weighed', 'measurements'])
      expect(CORRECTABLE).not.toContain(path);
    expect(CORRECTABLE).toEqual(expect.arrayContaining(['name', 'born', 'admitted', 'customer']));
  });
});
