import { newField, type EntryContent, type Field } from '#core/entry';
import { lineText, linesOf, mapLines, type BlankForm, type BlankInline, type Passage } from '#core/passage';
import { blankedOut, type BlankedStretch } from '#core/privacy';

/** The kinds of field that a sign can become. */
export const SIGN_KINDS = ['text', 'date', 'time', 'number', 'choice', 'person', 'writer', 'name'] as const;
export type SignKind = (typeof SIGN_KINDS)[number];

/** A sign in wordings that stands for what differs each time: the same for all places where it is written so. */
export interface Sign {
  /** What tells it from others. */
  key: string;
  /** As it is written at the first place. */
  sample: string;
  kind: SignKind;
  /** What its field is called. */
  name: string;
  /** Of a choice: what can be picked. */
  options: string[];
  places: number;
  entries: number;
  /** Whether it is most likely meant as a blank: "a/b" in the middle of words may be meant as it is. */
  isLikely: boolean;
}

/** A sign at a place of a line (UTF-16). */
interface SignPlace {
  from: number;
  to: number;
  key: string;
  sample: string;
  kind: SignKind;
  name: string;
  options: string[];
  form: BlankForm;
  isLikely: boolean;
}

const LONGEST_NAME = 60;

/** "[first name]", "<<date>>", "{{ weight }}", "%name%", "«name»": words within signs that no sentence has them in. */
const BRACKETED =
  /<<\s*([^<>\n]{1,60}?)\s*>>|\{\{\s*([^{}\n]{1,60}?)\s*\}\}|\[\[\s*([^[\]\n]{1,60}?)\s*\]\]|«\s*([^«»\n]{1,60}?)\s*»|\$\{\s*([^{}\n]{1,60}?)\s*\}|\[\s*([^[\]\n]{1,80}?)\s*\]|\{\s*([^{}\n]{1,80}?)\s*\}|<\s*([\p{L}][^<>\n@:/]{0,58}?)\s*>|%([\p{L}][\p{L}\p{N}_ ]{1,38})%|(?<![\p{L}\p{N}])\$([\p{L}][\p{L}\p{N}_]{1,38})\$/gu;
/** "XXX", "xxxx", "____", "…….": room that is left to write in. */
const ROOM = /(?<![\p{L}\p{N}])(?:X{3,}|x{3,})(?![\p{L}\p{N}])|_{3,}|\.{5,}|…{2,}/gu;
/** "DD/MM/YYYY", "XX.XX.XXXX", "__/__/____". */
const DAY_ROOM =
  /(?<![\p{L}\p{N}_])(?:DD|XX|__|dd|xx)[/.-](?:MM|XX|__|mm|xx)[/.-](?:YYYY|YY|XXXX|XX|____|__|yyyy|yy|xxxx|xx)(?![\p{L}\p{N}_])/gu;
/** "Dear first name": what letters are begun with before somebody is named. */
const GREETED =
  /(?<=(?:^|\n)(?:Dear|Hi|Hello|Annwyl|Liebe\/r|Liebe|Cher) )(?:(?:[Ff]irst|[Ll]ast|[Ff]ull|customer['’]?s?|client['’]?s?|student['’]?s?|parent['’]?s?|patient['’]?s?|owner['’]?s?) )?(?:[Nn]ame|[Ss]urname|[Cc]ustomer|client|applicant|student|parent|NAME)(?=[\s,!:]|$)/gu;

const HE_SHE: readonly (readonly [RegExp, BlankForm])[] = [
  [/^(?:he\/she|she\/he|s\/he|\(s\)he|he or she|she or he|he\/she\/they|they)$/i, 'they'],
  [/^(?:him\/her|her\/him|him or her|her or him|him\/her\/them)$/i, 'them'],
  [/^(?:his\/her|her\/his|his or her|her or his|his\/her\/their)$/i, 'their'],
  [/^(?:his\/hers|hers\/his)$/i, 'theirs'],
  [/^(?:himself\/herself|herself\/himself|him\/herself)$/i, 'themselves'],
];
const PERSON =
  /(?<![\p{L}\p{N}/])(?:(?:he\/she\/they|him\/her\/them|his\/her\/their|he\/she|she\/he|s\/he|\(s\)he|him\/herself|himself\/herself|herself\/himself|him\/her|her\/him|his\/hers|hers\/his|his\/her|her\/his))(?![\p{L}\p{N}/])/giu;

/** Two or three words of which one is meant. */
const EITHER = /(?<![\p{L}\p{N}/@._-])\p{L}{2,20}(?:\/\p{L}{2,20}){1,3}(?![\p{L}\p{N}/@_-]|\.\p{L})/gu;
/** Words with a stroke that are one word, or an amount by another. */
const ONE_WORD =
  /^(?:and\/or|he\/she|w\/o|n\/a|km\/h|mg\/kg|ml\/kg|mg\/ml|tcp\/ip|input\/output|c\/o|on\/off)$/i;

const CODED = /[_-]/;
/** What stands within brackets and is no sign: a reference, a figure, a remark, an address. */
const isRemark = (words: string): boolean =>
  /^\d+$/.test(words) ||
  /^(?:sic|…|\.\.\.|x|i+|[a-z]|https?:.*|www\..*|\p{P}+)$/iu.test(words) ||
  words.split(/\s+/).length > 8;

const asName = (words: string): string => {
  const plain = (CODED.test(words) && !/\s/.test(words) ? words.replace(/[_-]+/g, ' ') : words)
    .replace(/([\p{Ll}])(\p{Lu})/gu, '$1 $2')
    .replace(/^(?:insert|enter|add|type|your|the|please (?:insert|enter|add))\s+(?=\S)/i, '')
    .replace(/\s+/g, ' ')
    .replace(/[.:?!]+$/, '')
    .trim();
  const small = plain === plain.toUpperCase() && plain.length > 3 ? plain.toLowerCase() : plain;
  return small.slice(0, 1).toLocaleUpperCase() + small.slice(1, LONGEST_NAME);
};

const KINDS: readonly (readonly [RegExp, SignKind])[] = [
  [
    /\b(?:my|agent|writer|sender|author|staff|tutor|teacher|your)['’]?s?[\s_-]?(?:full |first |last )?(?:name|signature)\b|\bsignature\b|\bsigned\b|\byour name\b/i,
    'writer',
  ],
  [/\b(?:date|day|deadline|dob|dyddiad|datum|when)\b|(?<!up)date$/i, 'date'],
  [/\b(?:time|hour|o'clock|amser|uhrzeit)\b/i, 'time'],
  [
    /\b(?:number of|how many|amount|weight|age|quantity|count|percent(?:age)?|score|mark|grams?|kg|dose|nifer|anzahl)\b/i,
    'number',
  ],
  [/^(?:he|she|they)(?: ?\/ ?(?:he|she|they))*$/i, 'person'],
  [
    /^(?:(?:first|last|full|sur|fore|customer|client|student|patient|pupil|owner|animal|recipient|enw|vor)[\s_-]?)?(?:name|surname)$|^(?:customer|client|student|patient|recipient|applicant)(?:['’]s)?[\s_-]?(?:first |last |full )?name$|^enw$/i,
    'name',
  ],
];

const kindOf = (words: string): SignKind => {
  const plain = words.replace(/_/g, ' ').replace(/([\p{Ll}])(\p{Lu})/gu, '$1 $2');
  return KINDS.find(([pattern]) => pattern.test(plain))?.[1] ?? 'text';
};

const personForm = (words: string): BlankForm | null =>
  HE_SHE.find(([pattern]) => pattern.test(words.trim()))?.[1] ?? null;

/** A capital where the sign has one. */
const keyOf = (words: string) => asName(words).toLowerCase();

/** What is within brackets, as a sign. */
function bracketed(sample: string, words: string, from: number): SignPlace | null {
  if (isRemark(words)) return null;
  const at = { from, to: from + sample.length, sample };
  const person = personForm(words);
  if (person)
    return {
      ...at,
      key: 'person',
      kind: 'person',
      name: 'Spoken of as',
      options: [],
      form: person,
      isLikely: true,
    };
  const options = words.split(/\s*[/|]\s*|\s+or\s+/).filter((option) => option !== '');
  if (options.length > 1 && options.every((option) => option.length <= 60))
    return {
      ...at,
      key: `choice ${options.join('/').toLowerCase()}`,
      kind: 'choice',
      name: asName(options.join(' or ')),
      options,
      form: 'as-is',
      isLikely: true,
    };
  const name = asName(words);
  if (name === '') return null;
  return { ...at, key: keyOf(words), kind: kindOf(words), name, options: [], form: 'as-is', isLikely: true };
}

/** What room that is left is for, by the words before it: "Weight: ____". */
function roomName(text: string, from: number): string {
  const before = /(?:^|[.!?;\n\uFFFC]\s*)?((?:\p{L}[\p{L}’'-]*\s+){0,2}\p{L}[\p{L}’'-]*)\s*[:(]?\s*$/u.exec(
    text.slice(Math.max(0, from - 60), from),
  );
  const words = (before?.[1] ?? '').replace(
    /^(?:(?:the|a|an|of|on|at|is|was|to|in|and|by|for|from|with)\s+)+/i,
    '',
  );
  return /\p{L}{3,}/u.test(words) ? asName(words) : 'Blank';
}

function placesIn(text: string): SignPlace[] {
  const found: SignPlace[] = [];
  for (const match of text.matchAll(BRACKETED)) {
    const place = bracketed(match[0], match.slice(1).find((words) => words !== undefined) ?? '', match.index);
    if (place) found.push(place);
  }
  const at = (match: RegExpExecArray) => ({
    from: match.index,
    to: match.index + match[0].length,
    sample: match[0],
  });
  for (const match of text.matchAll(PERSON))
    found.push({
      ...at(match),
      ...{ key: 'person', kind: 'person', name: 'Spoken of as', options: [], isLikely: true },
      form: personForm(match[0]) ?? 'they',
    });
  for (const match of text.matchAll(GREETED))
    found.push({
      ...at(match),
      key: 'name',
      kind: 'name',
      name: 'Name',
      options: [],
      form: 'as-is',
      isLikely: true,
    });
  for (const match of text.matchAll(DAY_ROOM)) {
    const said = roomName(text, match.index);
    const name = said === 'Blank' ? 'Date' : said;
    const more = { options: [] as string[], form: 'as-is' as BlankForm, isLikely: true };
    found.push({ ...at(match), key: `room ${name.toLowerCase()}`, kind: 'date', name, ...more });
  }
  for (const match of text.matchAll(ROOM)) {
    const name = roomName(text, match.index);
    const more = { options: [] as string[], form: 'as-is' as BlankForm, isLikely: true };
    found.push({
      ...at(match),
      key: `room ${name.toLowerCase()}`,
      kind: kindOf(name) === 'writer' ? 'text' : kindOf(name),
      name,
      ...more,
    });
  }
  for (const match of text.matchAll(EITHER)) {
    if (ONE_WORD.test(match[0])) continue;
    const options = match[0].split('/');
    found.push({
      ...at(match),
      ...{
        key: `choice ${match[0].toLowerCase()}`,
        kind: 'choice',
        name: asName(options.join(' or ')),
        options,
      },
      ...{ form: 'as-is', isLikely: false },
    });
  }
  // Of two at one place the first found is meant: what is within brackets is no room of its own.
  const kept: SignPlace[] = [];
  for (const place of found)
    if (kept.every(({ from, to }) => place.to <= from || place.from >= to)) kept.push(place);
  return kept.sort((a, b) => a.from - b.from);
}

const passagesOf = ({ wordings }: EntryContent): Passage[] =>
  wordings.flatMap(({ parts }) => parts.map(({ passage }) => passage));

/** The signs in entries that stand for what differs each time, those in most entries first. */
export function signsIn(contents: readonly EntryContent[]): Sign[] {
  const found = new Map<string, Sign>();
  const seenIn = new Map<string, number>();
  contents.forEach((content, at) => {
    for (const passage of passagesOf(content))
      for (const line of linesOf(passage))
        for (const { key, sample, kind, name, options, isLikely } of placesIn(lineText(line))) {
          const sign = found.get(key) ?? {
            key,
            sample,
            kind,
            name,
            options,
            places: 0,
            entries: 0,
            isLikely,
          };
          found.set(key, sign);
          sign.places += 1;
          if (seenIn.get(key) !== at) sign.entries += 1;
          seenIn.set(key, at);
        }
  });
  return [...found.values()].sort((a, b) => b.entries - a.entries || b.places - a.places);
}

/** What a sign is taken for. */
export type TakenSign = Pick<Sign, 'key' | 'kind' | 'name' | 'options'>;

const idOf = (words: string, taken: ReadonlySet<string>): string => {
  const base =
    words
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'blank';
  let id = base.slice(0, 40);
  for (let count = 2; taken.has(id); count += 1) id = `${base.slice(0, 36)}-${count}`;
  return id;
};

function fieldOf({ kind, name, options }: TakenSign, id: string): Field {
  if (kind === 'name')
    return { ...(newField('detail', id, name) as Extract<Field, { kind: 'detail' }>), path: 'name' };
  const field = newField(kind, id, name);
  if (field.kind !== 'choice') return field;
  const said = options.length > 0 ? options : [name];
  return {
    ...field,
    options: said.map((label, at) => ({
      id: String.fromCharCode(97 + (at % 26)) + (at > 25 ? at : ''),
      label,
      words: null,
    })),
  };
}

/**
 * An entry with the signs that are taken turned into blanks: one field for the same sign throughout. `signs` by their keys; a sign that is
 * not among them stays as it is written.
 */
export function withSignsTaken(content: EntryContent, signs: ReadonlyMap<string, TakenSign>): EntryContent {
  const fields = [...content.fields];
  const made = new Map<string, string>();
  const idFor = (key: string, sign: TakenSign): string => {
    const before = made.get(key);
    if (before) return before;
    const id = idOf(sign.name, new Set(fields.map((field) => field.id)));
    const names = new Set(fields.map(({ name }) => name.toLowerCase()));
    let name = sign.name.slice(0, LONGEST_NAME);
    for (let count = 2; names.has(name.toLowerCase()); count += 1)
      name = `${sign.name.slice(0, LONGEST_NAME - 4)} ${count}`;
    fields.push(fieldOf({ ...sign, name }, id));
    made.set(key, id);
    return id;
  };
  const turned = (passage: Passage): Passage =>
    mapLines(passage, (line) => {
      const text = lineText(line);
      const stretches = placesIn(text).flatMap((place): BlankedStretch[] => {
        const sign = signs.get(place.key);
        if (!sign) return [];
        const isFirst = /(?:^|[.!?]\s+)$/u.test(text.slice(0, place.from));
        const form: BlankForm =
          sign.kind === 'person' ? place.form : isFirst && sign.kind === 'choice' ? 'capital' : 'as-is';
        return [{ from: place.from, to: place.to, blank: gapOf(idFor(place.key, sign), form) }];
      });
      return stretches.length === 0 ? line : blankedOut(line, stretches);
    });
  const wordings = content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) => ({ ...part, passage: turned(part.passage) })),
  }));
  return made.size === 0 ? content : { ...content, wordings, fields };
}

const gapOf = (field: string, form: BlankForm): Omit<BlankInline, 'marks'> => ({
  type: 'blank',
  attrs: { field, form, placement: null, text: '', state: 'gap', dropped: 'none' },
});
