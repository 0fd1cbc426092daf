import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { slips } from '#core/difference';
import {
  DEFAULT_PREFERENCES,
  isInReach,
  LookAlikes,
  broughtTogether,
  newTerm,
  Offering,
  OWN_LIST,
  switchedTo,
  withReachSet,
  type OfferEntry,
} from '.';

const TODAY = '2026-11-25';

const entry = (id: string, title: string, cue: string, leadIn = ','): OfferEntry => ({
  id,
  title,
  cues: [{ entry: id, typed: leadIn + cue, rules: { ...DEFAULT_CUE_RULES, fires: 'last' } }],
  leadIn,
  beginnings: [],
  whole: null,
});

function offering(): Offering {
  const all = new Offering();
  const words = (texts: string) => texts.split(' ').map(newTerm);
  all.setList({
    id: 'english',
    priority: 0,
    careful: false,
    terms: words('aimed hedge hedgehog hedged bandage bandaged bandages was'),
  });
  all.setList({
    id: 'medicines',
    priority: 3,
    careful: true,
    terms: ['ketamine 50 mg/ml', 'ketamine 100 mg/ml', 'meloxicam', 'ketoprofen'].map(newTerm),
  });
  all.setReach(['english', 'medicines']);
  all.setEntries([entry('adm', 'Hedgehog admission', 'adm'), entry('wt', 'Weight today', 'wt')]);
  return all;
}

const asked = (line: string, taken = false) => ({ line, taken, today: TODAY, language: 'en-GB' });
const texts = (line: string, taken = false) =>
  offering()
    .ask(asked(line, taken))
    .offers.map(({ text, by }) => `${text} (${by})`);

test.each([
  [
    'entries come first where a sentence begins',
    'Hedg',
    ['Hedgehog admission (beginning)', 'hedged (beginning)'],
  ],
  [
    'and after terms within one',
    'The hedg',
    ['hedged (beginning)', 'hedgehog (beginning)', 'Hedgehog admission (beginning)'],
  ],
  ['a slip in a cue', ',amd', ['Hedgehog admission (mistyped)']],
  ['a slip told after the space', 'Seen. ,adn ', ['Hedgehog admission (mistyped)']],
  ['a forgotten lead-in', 'wt', ['Weight today (cue)']],
  ['a forgotten lead-in, told after the space', 'Seen wt ', ['Weight today (no-lead-in)']],
  ['a word is no forgotten cue', 'It was ', []],
  ['a date', 'on 4mar', ['4 March 2027 (date)', '04/03/2027 (date)', '2027-03-04 (date)']],
  ['endings of a whole word', 'bandage', ['bandages (ending)', 'bandaged (ending)']],
])('%s', (_name, line, expected) => {
  const found = texts(line);
  expect(found.slice(0, expected.length)).toEqual(expected);
  if (expected.length === 0) expect(found).toEqual([]);
});

test('after a term was taken, its endings alone are offered', () => {
  expect(texts('a bandage', true)).toEqual(['bandages (ending)', 'bandaged (ending)']);
  expect(texts('xyz', true)).toEqual([]);
});

test('a list out of reach, or let go, offers nothing', () => {
  const all = offering();
  all.setReach(['medicines']);
  expect(all.ask(asked('It hedg')).offers.map(({ text }) => text)).toEqual(['Hedgehog admission']);
  all.dropList('medicines');
  expect(all.ask(asked('a keta')).offers).toEqual([]);
});

test('what is used in this work comes first at once', () => {
  const all = offering();
  all.setUsed([{ source: 'term', list: 'english', term: 'hedged', times: 3 }]);
  expect(all.ask(asked('It was hedg')).offers[0]).toMatchObject({ text: 'hedged', times: 3 });
});

test('a term of the text alone comes before what was used, and before what other lists have', () => {
  const all = offering();
  all.setUsed([{ source: 'term', list: 'english', term: 'bandaged', times: 9 }]);
  all.setList({ id: OWN_LIST, priority: 0, careful: false, terms: ['Bandley Wharf'].map(newTerm) });
  all.setReach(['english', OWN_LIST]);
  const offered = (line: string) => all.ask(asked(line)).offers.map(({ text }) => text);
  expect(offered('the band').slice(0, 2)).toEqual(['Bandley Wharf', 'bandaged']);
  all.dropList(OWN_LIST);
  expect(offered('the band')[0]).toBe('bandaged');
});

test.each([
  { letters: [], found: { melox: [], mlx: [], kfm: [], np: ['neap tide'] } },
  { letters: ['beginning'], found: { melox: ['meloxicam'], mlx: [], kfm: [], np: ['neap tide'] } },
  { letters: ['consonants'], found: { melox: [], mlx: ['meloxicam'], kfm: [], np: ['neap tide'] } },
  { letters: ['initials'], found: { melox: [], mlx: [], kfm: ['ketamine for mammals'], np: ['neap tide'] } },
] as const)('a list whose terms are found by $letters alone', ({ letters, found }) => {
  const terms = [
    ...['meloxicam', 'ketamine for mammals'].map(newTerm),
    { ...newTerm('neap tide'), cue: 'np' },
  ];
  const all = new Offering();
  all.setList({ id: 'some', priority: 1, careful: false, letters, terms });
  all.setReach(['some']);
  // What one has used is found by the same letters.
  for (const used of [
    [],
    terms.map(({ text }) => ({ source: 'term' as const, list: 'some', term: text, times: 2 })),
  ]) {
    all.setUsed(used);
    for (const [typed, texts] of Object.entries(found))
      expect(all.ask(asked(`gave ${typed}`)).offers.map(({ text }) => text)).toEqual(texts);
  }
  expect(all.isKnown('meloxicam')).toBe(true);
});

test('a careful list tells what a term could be taken for', () => {
  const read = offering().ask(asked('gave ketamine 5')).offers[0]!.readBack;
  expect(read).toEqual({ strengths: ['100 mg/ml'], names: [], note: '' });
  expect(offering().ask(asked('gave melox')).offers[0]!.readBack).toBeNull();
});

test('words typed in full that a cue would have brought are told', () => {
  const all = offering();
  all.setEntries([{ ...entry('rest', 'Rest', 'rs'), whole: 'Kept warm and left to rest.' }]);
  expect(all.ask(asked('Seen. kept warm and left to rest.')).missed).toBe('rest');
  expect(all.ask(asked('Kept warm and left to')).missed).toBeNull();
});

test('the words of the lists are what cues may clash with', () => {
  const { lexicon } = offering();
  expect([lexicon.isWord('was'), lexicon.isWord('wa')]).toEqual([true, false]);
  expect([lexicon.longer('hedg'), lexicon.longer('hedgehog')]).toEqual(['hedge', null]);
  expect([lexicon.endingIn('hog'), lexicon.endingIn('hedgehog')]).toEqual(['hedgehog', null]);
});

describe('look-alikes', () => {
  test.each([
    ['cefalexin', 'cefazolin', true],
    ['medetomidine', 'dexmedetomidine', true],
    ['amoxicillin', 'ampicillin', true],
    ['meloxicam', 'metronidazole', false],
    ['iron', 'zinc', false],
  ])('%s and %s: %s', (a, b, isAlike) => {
    expect(new LookAlikes([a, b]).of(a)?.names ?? []).toEqual(isAlike ? [b] : []);
  });

  test('none is missed, however the list is looked through', () => {
    const name = fc.string({
      unit: fc.constantFrom('a', 'e', 'i', 'l', 'n', 'o', 'x', 'z'),
      minLength: 4,
      maxLength: 12,
    });
    fc.assert(
      fc.property(fc.uniqueArray(name, { minLength: 2, maxLength: 5 }), (names) => {
        const list = new LookAlikes(names);
        for (const one of names) {
          const told = list.of(one)?.names ?? [];
          for (const other of names) {
            const isSlip = other !== one && Math.min(one.length, other.length) >= 5 && slips(one, other) <= 2;
            expect(told.includes(other) || !isSlip).toBe(true);
            const isWithin = other.length >= 8 && one !== other && one.includes(other);
            expect(told.includes(other) || !isWithin).toBe(true);
          }
        }
      }),
    );
  });

  test('a term that is not of the list, or stands alone in it, is not read back', () => {
    const list = new LookAlikes(['iron', 'ketamine 50 mg/ml', 'ketamine 100 mg/ml']);
    expect([list.of('zinc'), list.of('iron')]).toEqual([null, null]);
    expect(list.of('ketamine 50 mg/ml')).toEqual({ strengths: ['100 mg/ml'], names: [] });
  });
});

test('a list switched in or out is remembered for that work, and forgotten when it is back as it was meant', () => {
  const list = { id: 'a', kindsOfWork: ['reply'] };
  const once = switchedTo(DEFAULT_PREFERENCES, list, 'admission', true);
  expect(isInReach(list, 'admission', once.reach.admission)).toBe(true);
  expect(isInReach(list, 'reply', once.reach.reply)).toBe(true);
  const twice = switchedTo(once, list, 'admission', false);
  expect(twice.reach.admission).toEqual({ in: [], out: [] });
  const out = switchedTo(DEFAULT_PREFERENCES, list, 'reply', false);
  expect(isInReach(list, 'reply', out.reach.reply)).toBe(false);
});

test('a set comes into reach together, and nothing else stays; kept again under its name it is another', () => {
  const all = [
    { id: 'ward', kindsOfWork: ['admission'] },
    { id: 'archive', kindsOfWork: ['transcript'] },
    { id: 'english', kindsOfWork: [] },
  ];
  const names = (preferences: typeof DEFAULT_PREFERENCES) =>
    all.filter((list) => isInReach(list, 'transcript', preferences.reach.transcript)).map(({ id }) => id);
  const kept = withReachSet(DEFAULT_PREFERENCES, { name: 'Hearings', lists: ['ward', 'english', 'gone'] });
  const brought = broughtTogether(kept, kept.reachSets![0]!, all, 'transcript');
  expect(names(brought)).toEqual(['ward', 'english']);
  expect(brought.reach.admission).toBeUndefined();
  const again = withReachSet(brought, { name: 'hearings', lists: ['archive'] });
  expect(again.reachSets).toEqual([{ name: 'hearings', lists: ['archive'] }]);
  expect(names(broughtTogether(again, again.reachSets![0]!, all, 'transcript'))).toEqual(['archive']);
});
