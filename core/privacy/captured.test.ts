import fs from 'node:fs';
import path from 'node:path';
import { expect, test } from '@jest/globals';
import { searchWords } from '#core/finder';
import { plainPassage } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { HELD_OUT, KNOWN, TRIED } from '../testing';
import { captureForBank, personalFinder } from './index';

const TODAY = '2026-11-25';
const detail = (at: string, words: string) => ({
  path: at,
  value: { kind: 'text', text: words } as const,
  source: 'Patient details',
  asOf: TODAY,
});
const measured = (code: string, value: number, unit: string, day: string) => ({
  ...{ code, label: code === 'weight' ? 'Weight' : 'Temperature', value, unit, measured: day },
  ...{ minute: null, by: null, source: 'Measurement' },
});
const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    ...[detail('name', 'Bramble'), detail('species', 'hedgehog'), detail('number', 'HL-2207')],
    detail('clinician', 'Imke Tarrow'),
    {
      path: 'admitted',
      value: { kind: 'date', date: '2026-11-16' },
      source: 'Admission',
      asOf: '2026-11-16',
    },
  ],
  measurements: [
    measured('weight', 412, 'g', '2026-11-16'),
    measured('weight', 455, 'g', '2026-11-19'),
    measured('weight', 512, 'g', '2026-11-23'),
    measured('temperature', 34.2, '°C', '2026-11-16'),
  ],
};

/** The words that the demo's bank writes small, as an open page knows them. */
function ordinaryWords(): Set<string> {
  const folder = path.join(import.meta.dirname, '../../demo/bank');
  const files = fs.readdirSync(folder, { recursive: true, encoding: 'utf8' });
  const texts = files
    .filter((file) => file.endsWith('.txt'))
    .map((file) => fs.readFileSync(path.join(folder, file), 'utf8'));
  return new Set(searchWords(texts.join(' ')).filter((word) => word === word.toLowerCase()));
}
const find = personalFinder(KNOWN, ordinaryWords());

/** What the slip of captured words tells of a sentence, by its words. A species is a detail, but nobody's. */
function told(text: string): string[] {
  const { particulars, personal } = captureForBank(
    plainPassage(text),
    { placements: {}, record, today: TODAY },
    find,
  );
  return [...particulars.filter(({ key }) => key !== 'species'), ...personal].map(({ words }) => words);
}

/** How much of what is there is told, and how much of what is told is there, as shares. */
function shares(sentences: string) {
  let [right, wanted, found] = [0, 0, 0];
  const lines = sentences.trim().split('\n');
  for (const line of lines) {
    const there = [...line.matchAll(/\[([^\]]+)\]/g)].map(([, words]) => words!);
    const got = told(line.replace(/\[([^\]]+)\]/g, '$1'));
    right += there.filter((words) => got.includes(words)).length;
    wanted += there.length;
    found += got.length;
  }
  return { lines: lines.length, recall: right / wanted, precision: right / found };
}

test('of 300 sentences that the finding was not made with, nearly all details are told, and little else', () => {
  const { lines, recall, precision } = shares(HELD_OUT);
  expect(lines).toBe(300);
  expect(recall).toBeGreaterThanOrEqual(0.97);
  expect(precision).toBeGreaterThanOrEqual(0.92);
});

test('of those it was mended with, all are told', () => {
  const { lines, recall, precision } = shares(TRIED);
  expect({ lines, recall }).toEqual({ lines: 150, recall: 1 });
  expect(precision).toBeGreaterThanOrEqual(0.97);
});
