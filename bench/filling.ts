import { Eta } from 'eta';
import Handlebars from 'handlebars';
import { Liquid } from 'liquidjs';
import Mustache from 'mustache';
import { newEntry, type EntryContent, type Field, type NamedCondition } from '#core/entry';
import { fillWording } from '#core/fill';
import { plainText } from '#core/passage';
import { emptyRecord, type CaseRecord } from '#core/record';
import { measureInTurns, type Measured } from './measure';
import { passageFrom } from '#core/notation';

/** A letter of 120 words, twelve fields and two conditions; one of the fields is several choices joined as prose. */
const WORDING = `Dear {customer},

Thank you for bringing in {name}, the {species} you found at {place} on {found|long}. It weighed {weight} when it came to us[when thin: , thin and cold,] and is now in {ward}, where {clinician} looks after it.

On examination we saw {signs}. We have given it {treatment}, and we expect that it will stay with us for about {weeks}. Hedgehogs that come in so late in the year often spend the winter in care, since they need a good weight before they can sleep through the cold.[when fit:  This one is fit already.]

You are welcome to ask how it is doing: give the number {number} when you ring. If all goes well we shall release it close to where it was found, on a dry evening in spring, and you may come along.

With kind regards from all at Hollin Marsh`;

const shared = (id: string) => ({
  id,
  name: id,
  question: '',
  hint: '',
  required: true,
});
const words = (id: string): Field => ({ ...shared(id), kind: 'text', starting: '' });
const detail = (id: string, path = id): Field => ({ ...shared(id), kind: 'detail', path });
const SIGNS = ['ticks', 'fleas', 'a wound to the left flank'];

const CONDITIONS: NamedCondition[] = [
  { id: 'thin', when: { test: 'under', field: 'weight', value: 450 } },
  { id: 'fit', when: { test: 'over', field: 'weight', value: 700 } },
];

const content: EntryContent = {
  ...newEntry('Thanks to a finder', 'en-GB', passageFrom(WORDING, CONDITIONS)),
  conditions: CONDITIONS,
  fields: [
    ...['customer', 'name', 'species', 'place', 'weight', 'ward', 'clinician', 'number'].map((id) =>
      detail(id),
    ),
    detail('found', 'admitted'),
    ...['treatment', 'weeks'].map(words),
    {
      ...shared('signs'),
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

/** The letter with all that it takes to fill it. */
export const LETTER = {
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
  thin: true,
  fit: false,
};

/** The wording as a template of another: `blank` and `passage` write its signs. */
const templateFor = (
  blank: (name: string) => string,
  passage: (condition: string, words: string) => string,
) =>
  WORDING.replace(/\[when (\w+): ([^\]]*)\]/g, (_, condition: string, words: string) =>
    passage(condition, words),
  ).replace(/\{(\w+)(?:\|\w+)?\}/g, (whole, name: string) => (name in READY ? blank(name) : whole));

/** Filling the letter to rich text, details looked up and tidied; the others fill ready words into plain text. */
export function benchFilling(): Measured[] {
  const handlebars = Handlebars.compile(
    templateFor(
      (name) => `{{${name}}}`,
      (condition, words) => `{{#if ${condition}}}${words}{{/if}}`,
    ),
    { noEscape: true },
  );
  const forMustache = templateFor(
    (name) => `{{{${name}}}}`,
    (condition, words) => `{{#${condition}}}${words}{{/${condition}}}`,
  );
  Mustache.parse(forMustache);
  const liquid = new Liquid();
  const forLiquid = liquid.parse(
    templateFor(
      (name) => `{{ ${name} }}`,
      (condition, words) => `{% if ${condition} %}${words}{% endif %}`,
    ),
  );
  const eta = new Eta({ autoEscape: false, autoTrim: false });
  const forEta = eta.compile(
    templateFor(
      (name) => `<%= it.${name} %>`,
      (condition, words) => `<% if (it.${condition}) { %>${words}<% } %>`,
    ),
  );
  const others: [string, () => unknown][] = [
    ['handlebars', () => handlebars(READY)],
    ['mustache', () => Mustache.render(forMustache, READY, undefined, { escape: String })],
    ['liquidjs', () => liquid.renderSync(forLiquid, READY) as unknown],
    ['eta (makes code of the template)', () => eta.render(forEta, READY)],
  ];
  const ours = plainText(fillWording(LETTER));
  for (const [name, fill] of others)
    if (fill() !== ours) throw new Error(`${name} does not say the same: ${String(fill())}`);
  const work = 'a letter of 120 words, 12 fields, 2 conditions and a list';
  return measureInTurns('filling', work, [
    ['Elderleaf, to rich text', () => fillWording(LETTER)],
    ...others.map(([name, fill]) => [`${name}, ready words to plain text`, fill] as const),
  ]);
}
