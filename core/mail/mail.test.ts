import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { messageParts, plainSubject } from '.';

const kinds = (message: string) => messageParts(message).map(({ kind, text }) => [kind, text.trim()]);

describe('the parts of a message', () => {
  test('what is said alone', () => {
    expect(kinds('Hello,\n\nthere is an owlet.\n')).toEqual([['said', 'Hello,\n\nthere is an owlet.']]);
  });

  test('quoted lines, with who wrote them; an answer between two of them', () => {
    const message =
      'Yes.\n\nOn 3 November 2026 Odile Brandt wrote:\n> Is it hurt?\n>\n> Where?\n\nBy the church.\n> Thanks\n';
    expect(kinds(message)).toEqual([
      ['said', 'Yes.'],
      ['quoted', 'On 3 November 2026 Odile Brandt wrote:\n> Is it hurt?\n>\n> Where?'],
      ['said', 'By the church.'],
      ['quoted', '> Thanks'],
      ['said', ''],
    ]);
  });

  test('who wrote it on two lines', () => {
    const message =
      'Danke!\n\nAm Dienstag, dem 3. November 2026, um 10:00 schrieb Odile\nBrandt <odile@hollin.example>:\n\n> Gern.';
    expect(kinds(message)[1]).toEqual([
      'quoted',
      'Am Dienstag, dem 3. November 2026, um 10:00 schrieb Odile\nBrandt <odile@hollin.example>:\n\n> Gern.',
    ]);
  });

  test.each([
    ['-----Original Message-----\nFrom: Odile <odile@hollin.example>\nSent: Tuesday\n\nIs it hurt?'],
    [
      '________________________________\n\nVon: Odile <odile@hollin.example>\nGesendet: Dienstag\n\nVerletzt?',
    ],
    ['From: Odile <odile@hollin.example>\nSent: Tuesday\nTo: Petra\n\nIs it hurt?'],
  ])('an earlier message whole beneath the answer', (earlier) => {
    expect(kinds(`It is.\n\n${earlier}`)).toEqual([
      ['said', 'It is.'],
      ['quoted', earlier],
    ]);
  });

  test.each([
    'Name: Petra\nTown: Hollin\nAge: 40',
    'I ask:\n- one\n- two',
    'To do: nothing',
    '--\nno, more dashes',
  ])('what only looks like one is said: %s', (message) => {
    expect(kinds(`${message}\n`).filter(([kind]) => kind === 'quoted')).toEqual([]);
  });

  test('a signature, to its end or to what is quoted beneath it', () => {
    expect(kinds('Thank you\n-- \nPetra Lindow\nMarsh Lane\n\n> Hello')).toEqual([
      ['said', 'Thank you'],
      ['signature', '-- \nPetra Lindow\nMarsh Lane'.trim()],
      ['quoted', '> Hello'],
    ]);
  });

  test('of whatever message no line is lost, and none stands twice', () => {
    const line = fc.constantFrom(
      '',
      'Hello',
      '> quoted',
      '>> twice',
      '-- ',
      'On Tuesday X wrote:',
      'From: a@b.example',
      'Sent: now',
      'To: me',
      '-----Original Message-----',
      '  ',
    );
    fc.assert(
      fc.property(fc.array(line, { maxLength: 30 }), (lines) => {
        const parts = messageParts(lines.join('\n'));
        expect(parts.map(({ text }) => text).join('\n')).toBe(lines.join('\n'));
        for (const [at, { kind }] of parts.entries()) expect(kind).not.toBe(parts[at - 1]?.kind);
      }),
    );
  });
});

test.each([
  ['Re: Owlet', 'Owlet'],
  ['AW: Re: WG: Eule  im Garten', 'Eule im Garten'],
  ['RE[2]: Owlet', 'Owlet'],
  ['Ateb: Tylluan', 'Tylluan'],
  ['Regarding an owlet', 'Regarding an owlet'],
  ['Re:', ''],
])('“%s” is about “%s”', (subject, about) => {
  expect(plainSubject(subject)).toBe(about);
});
