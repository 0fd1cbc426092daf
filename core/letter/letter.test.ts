import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { emptyDraft, type DraftDocument } from '#core/draft';
import { mailboxInWords, readAddresses } from '#core/mail';
import { plainPassage, type Block } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { doubtsOf, headOf, letterOf, usualHead } from '.';

const TODAY = '2026-11-24';
const record = (details: Record<string, string>): CaseRecord => ({
  ...emptyRecord(),
  details: Object.entries(details).map(([path, text]) => ({
    path: path as 'topic',
    value: { kind: 'text' as const, text },
    source: 'said',
    asOf: null,
  })),
});
const paragraph = (text: string): Block => ({ type: 'paragraph', content: [{ type: 'text', text }] });
const box = (name: string, text: string): Block => ({
  type: 'box',
  attrs: { name },
  content: [text === '' ? { type: 'paragraph' } : paragraph(text)],
});
const draft = (blocks: Block[], envelope?: DraftDocument['attrs']['envelope']): DraftDocument => ({
  type: 'doc',
  attrs: { placements: {}, ...(envelope && { envelope }) },
  content: blocks,
});
const PETRA = { customer: 'Petra Lindow', email: 'petra.lindow@marsh.example', topic: 'Re: An owlet' };

describe('addresses as they are typed', () => {
  test.each([
    ['petra@marsh.example', ['petra@marsh.example'], []],
    [
      'Petra Lindow <petra@marsh.example>; ilse@marsh.example',
      ['petra@marsh.example', 'ilse@marsh.example'],
      [],
    ],
    ['petra@marsh.example, PETRA@marsh.example', ['petra@marsh.example'], []],
    ['"Lindow, Petra" <petra@marsh.example>', ['petra@marsh.example'], []],
    ['Petra Lindow', [], ['Petra Lindow']],
    ['petra@marsh', [], ['petra@marsh']],
    ['petra at marsh.example', [], ['petra at marsh.example']],
    ['a@b.example\r\nBcc: c@d.example', ['a@b.example', 'c@d.example'], []],
    ['', [], []],
  ])('%j', (typed, addresses, faults) => {
    const read = readAddresses(typed);
    expect(read.mailboxes.map(({ address }) => address)).toEqual(addresses);
    expect(read.faults).toEqual(faults);
  });

  test('what is read of a mailbox as it is written is that mailbox, whatever its name', () => {
    const name = fc.string({ minLength: 1, maxLength: 30, unit: fc.constantFrom(...'abÉ ,;"<>@().\'-') });
    fc.assert(
      fc.property(name, (said) => {
        const written = mailboxInWords({ name: said.trim(), address: 'a@b.example' });
        expect(readAddresses(written).mailboxes.map(({ address }) => address)).toEqual(['a@b.example']);
      }),
    );
  });
});

describe('the head of a letter', () => {
  test('is what is usual, till its writer or its text says otherwise', () => {
    const usual = usualHead(record(PETRA), TODAY, true);
    expect(usual).toEqual({
      to: 'Petra Lindow <petra.lindow@marsh.example>',
      cc: '',
      subject: 'Re: An owlet',
    });
    expect(usualHead(record({}), TODAY, true)).toEqual({ to: '', cc: '', subject: '' });
    expect(usualHead(record({ topic: 'An owlet' }), TODAY, false).subject).toBe('An owlet');
    expect(headOf(draft([paragraph('Hello')], { subject: 'Mine' }), usual).subject).toBe('Mine');
    const boxed = draft([box('Subject', 'Of the\nwording'), paragraph('Hello')], { subject: 'Mine' });
    expect(headOf(boxed, usual)).toMatchObject({ to: usual.to, subject: 'Of the wording' });
  });

  test('boxes that are lines of it are no part of the message, other boxes are', () => {
    const letter = letterOf(
      draft([
        box('To', 'ilse@marsh.example'),
        box('cc', 'ilse@marsh.example, o@marsh.example'),
        box('Note', 'Seen.'),
        paragraph('Hello'),
      ]),
      usualHead(record(PETRA), TODAY, true),
    );
    expect(letter.to.map(({ address }) => address)).toEqual(['ilse@marsh.example']);
    expect(letter.cc.map(({ address }) => address)).toEqual(['o@marsh.example']);
    expect(letter.text).toBe('Note: Seen.\n\nHello');
    expect(letter.html).not.toContain('marsh.example');
  });

  test('no line break gets into it, by whatever way', () => {
    const odd = fc.string({ unit: fc.constantFrom(...'ab\r\n: ,@'), maxLength: 40 });
    fc.assert(
      fc.property(odd, odd, odd, (to, cc, subject) => {
        const letter = letterOf(
          draft([box('Subject', subject), paragraph('x')], { to, cc }),
          usualHead(record({ topic: to }), TODAY, true),
        );
        for (const said of [
          letter.subject,
          ...[...letter.to, ...letter.cc].flatMap(({ name, address }) => [name, address]),
        ])
          expect(said).not.toMatch(/[\r\n]/);
      }),
    );
  });
});

describe('what is doubtful about a letter', () => {
  const doubts = (text: string, over: { subject?: string; files?: number; others?: string[] } = {}) =>
    doubtsOf(
      { subject: over.subject ?? 'Owlet', text, files: Array(over.files ?? 0).fill({}) as never[] },
      ['Petra Lindow'],
      over.others ?? [],
    ).map(({ kind, words }) => `${kind} ${words}`.trim());

  test.each([
    ['Dear Petra Lindow,\n\nLeave it.', []],
    ['Dear Ms Lindow,\n\nLeave it.', []],
    ['Dear Petra,\n\nLeave it.', []],
    ['Dear Sir or Madam,\n\nLeave it.', []],
    ['Sehr geehrte Damen und Herren,\n\nalles gut.', []],
    ['Hello there,\n\nLeave it.', []],
    ['Liebe Frau Lindow,\n\nalles gut.', []],
    ['Dear Ilse,\n\nLeave it.', ['other-name Ilse']],
    ['Annwyl Ilse Brandt,\n\nDiolch.', ['other-name Ilse Brandt']],
    ['The form is attached.', ['no-attachment attached']],
    ['Das Formular finden Sie im Anhang.', ['no-attachment Anhang']],
    ['Mae’r ffurflen ynghlwm.', ['no-attachment ynghlwm']],
    ['> The photo is attached.\n\nThank you for it.', []],
    ['She is detached and unattached.', []],
  ])('%j', (text, found) => expect(doubts(text)).toEqual(found));

  test('what is there, who is oneself and one name alone raise none', () => {
    expect(doubts('The form is attached.', { files: 1 })).toEqual([]);
    expect(doubts('As Tomos Hale wrote', { others: ['Tomos Hale', 'Ilse'] })).toEqual([
      'other-name Tomos Hale',
    ]);
    expect(doubts('So Petra Lindow and Ilse', { others: ['petra lindow', 'Ilse'] })).toEqual([]);
    expect(doubts('Tomos Halewood came', { others: ['Tomos Hale'] })).toEqual([]);
    expect(doubts('Hello', { subject: '' })).toEqual(['no-subject']);
  });
});

test('a text without anything is a letter without words', () => {
  expect(letterOf(emptyDraft(), usualHead(record(PETRA), TODAY, true)).text).toBe('');
  expect(
    letterOf({ ...plainPassage('One\nTwo'), attrs: { placements: {} } }, usualHead(record({}), TODAY, false))
      .text,
  ).toContain('One');
});
