import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { mailShapes, ownText, type SentMail } from './mailShapes';
import { wordsOfCell } from './intakeTable';

const HOURS = 'We open at ten on weekdays, and at noon on Sundays.';
const HEDGEHOG = 'A hedgehog that is out by day is often ill: keep it warm and ring us.';
const mail = (...paragraphs: string[]): SentMail => ({
  subject: 'Re: Your question',
  text: paragraphs.join('\n\n'),
});
const wordings = (mails: readonly SentMail[]) =>
  mailShapes(mails)
    .find(({ id }) => id === 'passages')
    ?.table.rows.map(([words]) => wordsOfCell(words));

describe('what somebody wrote themselves', () => {
  test.each([
    ['what is answered', 'Thank you.\n\n> What time?\n> And where?', 'Thank you.'],
    [
      'what is answered, with the line above it',
      'Thank you.\n\nOn 3 Nov 2026 at 10:00 Ada Reed wrote:\n> What time?',
      'Thank you.',
    ],
    ['the same in German', 'Danke.\n\nAm 03.11.2026 um 10:00 schrieb Ada Reed:\n> Wann?', 'Danke.'],
    ['a mail that is answered whole', 'Thank you.\n\n-----Original Message-----\nFrom: Ada', 'Thank you.'],
    ['a signature', 'Thank you.\n-- \nRuan\nHollin Animal Hospital', 'Thank you.'],
    ['nothing else', 'First -- second.\n- one\n- two', 'First -- second.\n- one\n- two'],
  ])('is without %s', (_, text, own) => {
    expect(ownText(text)).toBe(own);
  });
});

describe('passages that repeat', () => {
  test('are told whole, with their marks, and those that stand once are not', () => {
    const found = wordings([
      mail('Dear Ada,', HOURS, 'The swan is well again and swims.'),
      mail('Dear Tom,', 'I looked at the pictures that came in.', HOURS),
      mail(HEDGEHOG, 'Yours'),
      mail('Good morning.', HEDGEHOG),
    ]);
    expect(new Set(found)).toEqual(new Set([HOURS, HEDGEHOG]));
  });

  test('what differs from mail to mail is a sign: a number, a choice', () => {
    const found = wordings([
      mail('The visit costs 12 pounds for each adult who comes.'),
      mail('The visit costs 15 pounds for each adult who comes.'),
    ]);
    expect(found).toEqual(['The visit costs [number] pounds for each adult who comes']);
    const choice = wordings([
      mail('Please bring the hedgehog in a box with holes in it.'),
      mail('Please bring the swan in a box with holes in it.'),
      mail('Please bring the hedgehog in a box with holes in it.'),
      mail('Please bring the swan in a box with holes in it.'),
    ]);
    expect(choice).toEqual(['Please bring the [hedgehog/swan] in a box with holes in it']);
  });

  test('quoted words are those of others', () => {
    expect(wordings([mail(`> ${HOURS}`), mail(`> ${HOURS}`)])).toBeUndefined();
  });

  test('whatever is written, every passage is in at least two of the mails', () => {
    const sentence = fc.constantFrom(
      HOURS,
      HEDGEHOG,
      'The swan swims.',
      'Dear Ada,',
      '> quoted words of six and more here',
    );
    fc.assert(
      fc.property(fc.array(fc.array(sentence, { maxLength: 5 }), { maxLength: 6 }), (all) => {
        const mails = all.map((paragraphs) => mail(...paragraphs));
        for (const words of wordings(mails) ?? []) {
          if (words.includes('[')) continue;
          const bare = words.replace(/^[“"‘'(]+|[.,:!?…)”"’']+$/g, '');
          expect(mails.filter(({ text }) => ownText(text).includes(bare)).length).toBeGreaterThanOrEqual(2);
        }
      }),
    );
  });
});

test('each mail may be an entry too, under its subject without what mail programs put before it', () => {
  const shape = mailShapes([
    { subject: 'AW: Re: Opening hours', text: HOURS },
    { subject: 'x', text: '> y' },
  ]);
  expect(shape.map(({ id }) => id)).toEqual(['mails']);
  expect(shape[0]!.table.rows).toEqual([['Opening hours', HOURS]]);
  expect(shape[0]!.columns.map(({ role }) => role)).toEqual(['title', 'wording']);
});
