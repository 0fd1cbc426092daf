import Handlebars from 'handlebars';
import Mustache from 'mustache';
import { newEntry, readCompact, type EntryContent, type Field } from '#core/entry';
import { fillWording } from '#core/fill';
import { plainText } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { measure, type Measured } from './measure';

/** A letter of 120 words and twelve fields, one of them several choices joined as prose. */
const WORDING = `Dear {customer},

Thank you for bringing in {name}, the {species} you found at {place} on {found|long}. It weighed {weight} when it came to us and is now in {ward}, where {clinician} looks after it.

On examination we saw {signs}. We have given it {treatment}, and we expect that it will stay with us for about {weeks}. Hedgehogs that come in so late in the year often spend the winter in care, since they need a good weight before they can sleep through the cold.

You are welcome to ask how it is doing: give the number {number} when you ring. If all goes well we shall release it close to where it was found, on a dry evening in spring, and you may come along.

With kind regards from all at Hollin Marsh`;

const words = (id: string): Field => ({
  id,
  name: id,
  question: '',
  hint: '',
  required: true,
  kind: 'text',
  starting: '',
});
const detail = (id: string): Field => ({
  id,
  name: id,
  question: '',
  hint: '',
  required: true,
  kind: 'detail',
  path: id,
});
const SIGNS = ['ticks', 'fleas', 'a wound to the left flank'];

const content: EntryContent = {
  ...newEntry('Thanks to a finder', 'en-GB', readCompact(WORDING)),
  fields: [
    ...['customer', 'name', 'species', 'place', 'weight', 'ward', 'clinician', 'number'].map(detail),
    { ...detail('found'), kind: 'detail', path: 'admitted' },
    ...['treatment', 'weeks'].map(words),
    {
      ...words('signs'),
      kind: 'choice',
      many: true,
      join: 'and',
      options: SIGNS.map((label, at) => ({ id: String(at), label, words: null })),
    },
  ],
};

const text = (value: string) => ({ kind: 'text', text: value }) as const;
const VALUES: Record<string, string> = {
  customer: 'Petra Lindow',
  name: 'Bramble',
  species: 'hedgehog',
  place: 'Marsh Lane churchyard',
  ward: 'the hedgehog ward',
  clinician: 'Imke Tarrow',
  number: 'HH-1186',
};

const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    ...Object.entries(VALUES).map(([path, value]) => ({
      path,
      value: text(value),
      source: 'Case',
      asOf: null,
    })),
    { path: 'admitted', value: { kind: 'date', date: '2026-11-14' }, source: 'Case', asOf: null },
    { path: 'weight', value: { kind: 'quantity', value: 412, unit: 'g' }, source: 'Case', asOf: null },
  ],
};

const REQUEST = {
  entry: { id: 'thanks', revision: 1, content },
  record,
  today: '2026-11-25',
  answers: {
    treatment: text('fluids and warmth'),
    weeks: text('ten weeks'),
    signs: { kind: 'chosen' as const, options: ['0', '1', '2'] },
  },
};

/** What the others are given: every value as words already, as they cannot look anything up or join a list. */
const READY = {
  ...VALUES,
  found: '14 November 2026',
  weight: '412 g',
  signs: 'ticks, fleas and a wound to the left flank',
  treatment: 'fluids and warmth',
  weeks: 'ten weeks',
};

/** Filling the letter to rich text, details looked up and tidied; the others fill ready words into plain text. */
export function benchFilling(): Measured[] {
  const template = WORDING.replace(/\{(\w+)(?:\|\w+)?\}/g, '{{$1}}');
  const handlebars = Handlebars.compile(template, { noEscape: true });
  Mustache.parse(template);
  const mustache = () => Mustache.render(template, READY, undefined, { escape: String });
  const ours = plainText(fillWording(REQUEST));
  if (handlebars(READY) !== ours || mustache() !== ours) throw new Error('They do not say the same.');
  const work = 'a letter of 120 words, 12 fields';
  return [
    measure('filling', work, 'Elderleaf, to rich text', () => fillWording(REQUEST)),
    measure('filling', work, 'handlebars, ready words to plain text', () => handlebars(READY)),
    measure('filling', work, 'mustache, ready words to plain text', mustache),
  ];
}
