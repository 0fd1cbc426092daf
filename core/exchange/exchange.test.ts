import fs from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';

import type { Passage } from '#core/passage';
import { careDue, detailsOf, valueInWords } from '#core/record';
import { readFhirBundle, toHtml, toMarkdown } from './index';
import { passageFrom } from '#core/notation';

const demo = (file: string) =>
  JSON.parse(fs.readFileSync(path.join(import.meta.dirname, '../../demo', file), 'utf8')) as {
    entry: { resource: Record<string, unknown> }[];
  };

/** The Bundle with a change made to its first resource of a type. */
function changed(type: string, change: (resource: Record<string, unknown>) => void) {
  const bundle = demo('work/admission/fhir/hedgehog-bramble.json');
  change(bundle.entry.find(({ resource }) => resource.resourceType === type)!.resource);
  return bundle;
}

describe('an HL7 FHIR R4 Bundle', () => {
  test('becomes a record: details, measurements in their order, medicines, problems', () => {
    const reading = readFhirBundle(demo('work/admission/fhir/hedgehog-bramble.json'));
    if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
    const { title, number, record } = reading.read;
    expect([title, number]).toEqual(['Bramble, hedgehog', 'HH-1186']);
    const { measured } = record.measurements.at(-1)!;
    const words = Object.fromEntries(
      detailsOf(record, measured).map(({ path: at, value }) => [at, valueInWords(value, 'en-GB')]),
    );
    expect(words).toMatchObject({
      name: 'Bramble',
      species: 'hedgehog',
      sex: 'female',
      weight: '512 g',
      'weight on admission': '412 g',
      problems: 'lungworm and wound to the left flank',
    });
    expect(record.medicines.map(({ status }) => status)).toContain('ended');
    const due = careDue(record, measured).map(({ label, done, due: on, state }) => [label, done, on, state]);
    expect(due).toEqual([
      ['Lungworm screening', '2026-11-10', '2026-11-17', 'overdue'],
      ['Wound check', '2026-11-23', '2026-11-25', 'due'],
    ]);
  });

  test.each([
    ['no Bundle', { resourceType: 'Patient' }, 'Bundle'],
    ['nothing', null, 'Bundle'],
    ['no Patient', changed('Patient', (patient) => (patient.resourceType = 'Practitioner')), 'Bundle.entry'],
    [
      'a weight in words',
      changed('Observation', (seen) => (seen.valueQuantity = { value: 'much' })),
      'Observation',
    ],
    [
      'a weight of nobody knows when',
      changed('Observation', (seen) => delete seen.effectiveDateTime),
      'effectiveDateTime',
    ],
    [
      'care that comes round every half a week',
      changed('ServiceRequest', (care) => {
        care.occurrenceTiming = { repeat: { period: 0.5, periodUnit: 'wk' } };
      }),
      'occurrenceTiming',
    ],
    [
      "another patient's condition",
      changed('Condition', (it) => (it.subject = { reference: 'Patient/x' })),
      'subject',
    ],
  ])('is refused with the place named: %s', (_what, bundle, place) => {
    const reading = readFhirBundle(bundle);
    expect(reading.ok).toBe(false);
    if (!reading.ok) expect(reading.faults.map((fault) => fault.place).join()).toContain(place);
  });
});

describe('a passage in open formats', () => {
  const passage: Passage = {
    type: 'doc',
    content: [
      { type: 'heading', attrs: { level: 2 }, content: [{ type: 'text', text: 'Day 1 <b>' }] },
      ...passageFrom('**Plan:** rest & *care*.\nThen out.\n\n- one\n- two').content,
      {
        type: 'table',
        content: [
          {
            type: 'tableRow',
            content: ['a|b', 'c'].map((text) => ({
              type: 'tableCell' as const,
              content: [{ type: 'paragraph' as const, content: [{ type: 'text' as const, text }] }],
            })),
          },
        ],
      },
    ],
  };

  test('HTML escapes every text', () => {
    expect(toHtml(passage)).toBe(
      '<h2>Day 1 &lt;b&gt;</h2><p><strong>Plan:</strong> rest &amp; *care*.<br>Then out.</p>' +
        '<ul><li><p>one</p></li><li><p>two</p></li></ul><table><tbody><tr><td><p>a|b</p></td><td><p>c</p></td></tr></tbody></table>',
    );
  });

  test('Markdown escapes what would be taken for marks', () => {
    expect(toMarkdown(passage)).toMatchSnapshot();
  });
});
