import fs from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Fhir } from 'fhir';
import { finishedPassage } from '#core/fill';
import { passageFrom } from '#core/notation';
import type { Passage } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { anyEntry } from '#core/testing';
import { noteBundle, readFhir, type ClinicalNote } from '.';

const DEMO = path.join(import.meta.dirname, '../../demo');
const recordFrom = (file: string): CaseRecord => {
  const reading = readFhir([
    { name: file, values: [JSON.parse(fs.readFileSync(path.join(DEMO, file), 'utf8'))] },
  ]);
  if (!reading.ok) throw new Error(JSON.stringify(reading.faults));
  return reading.read[0]!.record;
};

let count = 0;
const newId = () => `00000000-0000-4000-8000-${String(count++).padStart(12, '0')}`;
const note = (passage: Passage, record: CaseRecord = emptyRecord()): ClinicalNote => ({
  ...{ title: 'Dune, grey seal', passage, language: 'en-GB', writtenAt: '2026-11-27T10:00:00.000Z' },
  ...{ author: 'Imke Tarrow', record },
});

/** What is wrong with a resource by HL7's own definitions of R4, as another's validator reads them. */
const faultsOf = (bundle: object) =>
  new Fhir()
    .validate(bundle)
    .messages.filter(({ severity }) => ['error', 'fatal'].includes(String(severity)))
    .map(({ location, message }) => `${location}: ${message}`);

interface Sent {
  entry: { fullUrl: string; resource: { resourceType: string; section?: { text: { div: string } }[] } }[];
}
const divOf = (passage: Passage) =>
  (noteBundle(note(passage), newId) as unknown as Sent).entry[0]!.resource.section![0]!.text.div;

describe('a note as a document of FHIR R4', () => {
  test('another’s validator finds nothing wrong with it, and finds what is', () => {
    const record = recordFrom('work/admission/fhir/seal-dune.json');
    const bundle = noteBundle(note(passageFrom('**Plan:** rest.\n\n- one\n- two'), record), newId);
    expect(faultsOf(bundle)).toEqual([]);
    const broken = JSON.parse(JSON.stringify(bundle)) as { entry: [{ resource: Record<string, unknown> }] };
    broken.entry[0].resource.status = 'done';
    delete broken.entry[0].resource.author;
    expect(faultsOf(broken)).toEqual([
      'Composition.status: Code "done" not found in value set',
      'Composition.author: Missing property',
    ]);
  });

  test('it is read back as the same patient, and its note as something that is not read', () => {
    const record = recordFrom('work/admission/fhir/seal-dune.json');
    const reading = readFhir([
      { name: 'a', values: [noteBundle(note(passageFrom('Seen.'), record), newId)] },
    ]);
    expect(reading).toMatchObject({
      ok: true,
      read: [{ title: 'Dune, grey seal', record: { identifiers: record.identifiers } }],
      remarks: ['Left out: 1 Composition, Elderleaf does not read these.'],
    });
  });

  test('of a record of which hardly anything is known nothing is made up', () => {
    const bundle = noteBundle(note(passageFrom('Seen.')), newId) as unknown as Sent;
    expect(bundle.entry[1]!.resource).toEqual({ resourceType: 'Patient' });
    expect(faultsOf(bundle)).toEqual([]);
  });

  test.each([
    ['signs that mean something', 'a < b & c', '<p>a &lt; b &amp; c</p>'],
    ['a break', 'one\ntwo', '<p>one<br/>two</p>'],
    ['what XML has no place for', 'a\u0001b', '<p>ab</p>'],
  ])('its narrative is well-formed: %s', (_what, text, html) => {
    const content = text
      .split('\n')
      .flatMap((words, at) => [
        ...(at > 0 ? [{ type: 'hardBreak' as const }] : []),
        { type: 'text' as const, text: words },
      ]);
    expect(divOf({ type: 'doc', content: [{ type: 'paragraph', content }] })).toBe(
      `<div xmlns="http://www.w3.org/1999/xhtml">${html}</div>`,
    );
  });

  test('whatever is written, each element that is opened is closed in its turn', () => {
    fc.assert(
      fc.property(anyEntry, ({ wordings }) => {
        const passage = finishedPassage(wordings[0]!.parts.at(-1)!.passage);
        const bundle = noteBundle(note(passage), newId) as unknown as Sent;
        for (const { text } of bundle.entry[0]!.resource.section ?? []) expect(openIn(text.div)).toEqual([]);
      }),
      { numRuns: 200 },
    );
  });
});

/** The elements of well-formed XML that are still open at its end; throws where one is closed out of turn, or a sign stands by itself. */
function openIn(xml: string): string[] {
  const open: string[] = [];
  const piece = /<(\/?)([a-z][a-z0-9]*)((?: [a-z]+="[^"<]*")*)(\/?)>|&(?:amp|lt|gt|quot|#39);|[^<&]/gy;
  let at = 0;
  while (at < xml.length) {
    piece.lastIndex = at;
    const found = piece.exec(xml);
    if (!found) throw new Error(`not well-formed at ${at}: ${xml.slice(at, at + 20)}`);
    const [all, closing, name, , empty] = found;
    if (name && closing && open.pop() !== name) throw new Error(`${name} is closed out of turn`);
    if (name && !closing && !empty) open.push(name);
    at += all.length;
  }
  return open;
}
