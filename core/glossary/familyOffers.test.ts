import { describe, expect, test } from '@jest/globals';
import { Offering, SMALL_WORDS, type OffersAsked, type UsedThing } from '.';

const TODAY = '2026-11-24';
const asked = (line: string): OffersAsked => ({ line, today: TODAY, language: 'en-GB', taken: false });

function offering(used: UsedThing[] = []): Offering {
  const all = new Offering();
  const terms = ['which', 'what', 'where', 'when', 'while', 'whole', 'is', 'it'].map((text, at) => ({
    ...{ text, cue: '', note: '' },
    weight: 90 - at,
  }));
  all.setList({ id: 'words', priority: 0, careful: false, terms });
  all.setReach(['words']);
  all.setSmallWords('en-GB');
  all.setUsed(used);
  return all;
}
const offered = (line: string, used: UsedThing[] = []) =>
  offering(used)
    .ask(asked(line))
    .offers.map(({ text }) => text);
const use = (term: string, times = 1): UsedThing => ({ source: 'term', list: SMALL_WORDS, term, times });

describe('small words are offered by their first letters', () => {
  test('first where no word begins so, in the order of how often they occur', () => {
    expect(offered('Yesterday hw').slice(0, 3)).toEqual(['he was', 'he will', 'he would']);
    const [first] = offering().ask(asked('Yesterday hw')).offers;
    expect(first).toMatchObject({ by: 'family', from: 10, list: SMALL_WORDS });
  });

  test('behind the first words that begin so', () => {
    expect(offered('wh').slice(0, 7)).toEqual([
      ...['which', 'what', 'where'],
      ...['we have', 'what had', 'we had'],
      'when',
    ]);
  });

  test('one that this person takes comes before what they take less', () => {
    expect(offered('wh', [use('we had', 2)])[0]).toBe('we had');
    expect(offered('hw', [use('he would')])[0]).toBe('he would');
  });

  test('where the letters are a word as they are, only what this person takes', () => {
    expect(offered('is')).toEqual([]);
    expect(offered('is', [use('I should')])).toEqual(['I should']);
  });

  test.each(['thw', 'x-hw', '12hw', 'h w', '.hw', 'h'])(
    'not within what is no word of its own: “%s”',
    (line) => {
      expect(offered(line).filter((text) => text === 'he was')).toEqual([]);
    },
  );

  test('not where nobody wants them', () => {
    const all = offering();
    all.setSmallWords(null);
    expect(all.ask(asked('hw')).offers).toEqual([]);
  });

  test('a glossary’s own families too, while it is in reach', () => {
    const all = offering();
    const terms = [{ text: '{the swan|the gull} {was|is}{| not}', cue: '', note: '', weight: 5 }];
    all.setList({ id: 'birds', priority: 1, careful: false, terms });
    const texts = () => all.ask(asked('tsw')).offers.map(({ text }) => text);
    expect(texts()).toEqual([]);
    all.setReach(['words', 'birds']);
    expect(texts()).toEqual(['the swan was']);
    expect(all.isKnown('gull')).toBe(true);
  });
});
