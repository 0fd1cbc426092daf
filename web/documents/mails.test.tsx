import { expect, test } from '@jest/globals';
import { intakeOf, intakeOfMails } from './intake';
import { isMail, readMails } from './mails';

const bytes = (text: string) => new TextEncoder().encode(text);
const HOURS = 'We open at ten on weekdays, and at noon on Sundays.';
const eml = (subject: string, text: string, head = '') =>
  `From: Ruan Pellow <ruan@hollin.example>\r\nTo: ada@hollin.example\r\nSubject: ${subject}\r\nDate: Tue, 24 Nov 2026 10:00:00 +0000\r\n${head}\r\n${text}\r\n`;

test('a mailbox is read mail by mail, whatever each is encoded in; a line that begins as a border is put right', async () => {
  const box = [
    `From ruan@hollin.example Tue Nov 24 10:00:00 2026\r\n${eml('One', HOURS)}`,
    `From ruan@hollin.example Tue Nov 24 11:00:00 2026\r\n${eml(
      'Two',
      'Gr=C3=BC=C3=9Fe =E2=80=94 caf=C3=A9',
      'MIME-Version: 1.0\r\nContent-Type: text/plain; charset=utf-8\r\nContent-Transfer-Encoding: quoted-printable\r\n',
    )}`,
    `From ruan@hollin.example Tue Nov 24 12:00:00 2026\r\n${eml('Three', '>From here on it rains.')}`,
  ].join('\r\n');
  expect(await readMails(bytes(box))).toEqual([
    { subject: 'One', text: HOURS },
    { subject: 'Two', text: 'Grüße — café' },
    { subject: 'Three', text: 'From here on it rains.' },
  ]);
});

test.each([
  ['a mail by its name', 'anything', 'x.eml', true],
  ['a mail by its head', eml('One', HOURS), 'message', true],
  [
    'a mailbox by how it begins',
    `From ruan@hollin.example Tue Nov 24 10:00:00 2026\n${eml('One', HOURS)}`,
    'Sent',
    true,
  ],
  ['no list of names and words', 'From: a word\nTo: another', 'words.txt', false],
  ['no letter', 'From Tuesday on we are open.\nYours', 'letter.txt', false],
])('%s', (_, text, name, is) => {
  expect(isMail(bytes(text), name)).toBe(is);
});

test('of several mails the passages that repeat are proposed first; one mail is one entry; none is told in words', async () => {
  const both = await intakeOfMails(
    [bytes(eml('One', `Dear Ada,\n\n${HOURS}`)), bytes(eml('Two', HOURS))],
    '2 mails',
  );
  expect(both.shapes.map(({ id }) => id)).toEqual(['passages', 'mails']);
  expect(both.shapes[0]!.table.rows.map(([words]) => words)).toEqual([HOURS]);
  const one = await intakeOf(bytes(eml('Opening hours', HOURS)), 'sent.eml');
  expect(one.shapes.map(({ id }) => id)).toEqual(['mails']);
  await expect(intakeOf(bytes('no mail'), 'broken.eml')).rejects.toThrow(
    'There is no wording in broken.eml. Nothing was brought in.',
  );
});
