import { expect, test } from '@jest/globals';
import { withSpeaker, type Speaker } from '#core/transcript';
import { asTurnsHere, asTurnsOf } from './turnsCopied';

const CAST = ['Wilf Ambry', 'Nesta Ambry'].reduce<Speaker[]>(
  (cast, name) => withSpeaker(cast, name[0]!, name),
  [],
);
const turn = (speaker: string, name: string, words: string) =>
  `<p data-speaker="${speaker}" data-at="900" data-speaker-name="${name}"><span data-turn-label="">${name}:\t</span>${words}</p>`;

test('turns of the cast come back without their labels, with their time', () => {
  expect(asTurnsOf(turn('W', 'Wilf Ambry', 'Six.'), CAST)).toBe(
    '<p data-speaker="W" data-at="900" data-speaker-name="Wilf Ambry">Six.</p>',
  );
});

test('on a leaf without their speakers they are paragraphs that begin with their label', () => {
  const pasted = asTurnsOf(turn('x', 'Hob Marrow', 'No.'), CAST);
  expect(pasted).toBe('<p data-speaker-name="Hob Marrow">Hob Marrow:\tNo.</p>');
});

test('in another transcript they are whose name they have, or somebody added once; their times go', () => {
  const html =
    turn('1', 'nesta ambry', 'Yes.') + turn('2', 'Hob Marrow', 'No.') + turn('2', 'Hob Marrow', 'Never.');
  let made = 0;
  const { html: here, cast } = asTurnsHere(html, CAST, () => `new${(made += 1)}`);
  expect(cast.map(({ id, name }) => `${id} ${name}`)).toEqual([
    ...['W Wilf Ambry', 'N Nesta Ambry', 'new1 Hob Marrow'],
  ]);
  const { body } = new DOMParser().parseFromString(asTurnsOf(here, cast), 'text/html');
  expect(
    [...body.querySelectorAll('p')].map(({ dataset, textContent }) => [
      dataset.speaker,
      dataset.at,
      textContent,
    ]),
  ).toEqual([
    ['N', undefined, 'Yes.'],
    ['new1', undefined, 'No.'],
    ['new1', undefined, 'Never.'],
  ]);
});

test('what is no turn is pasted as it came', () => {
  const html = '<p>One</p><p data-x="1">Two</p>';
  expect(asTurnsOf(html, CAST)).toBe(html);
  const here = asTurnsHere(html, CAST, () => 'x');
  expect([here.html, here.cast]).toEqual([html, CAST]);
  // A turn that says no name, as of a draft of an earlier day.
  expect(asTurnsHere('<p data-speaker="q">Hm</p>', CAST, () => 'x').cast).toBe(CAST);
});
