import { newField, type EntryContent } from '#core/entry';
import { lineText, linesOf, mapLines, type BlankForm, type Passage } from '#core/passage';
import { findPersonal, type Known, type PersonalKind } from './findPersonal';
import { particularsToFields } from './particularsToFields';

/** A personal detail in an entry: in which wording, part and line (of `linesOf`), and where in that line's text. */
export interface PersonalPlace {
  wording: string;
  part: string;
  line: number;
  from: number;
  to: number;
  kind: PersonalKind;
  words: string;
}

/** Personal details in the wordings of an entry, in reading order; without words that may stand all the same. */
export function personalInEntry(
  content: EntryContent,
  known: Known,
  ordinary: ReadonlySet<string>,
  allowed: ReadonlySet<string> = new Set(),
): PersonalPlace[] {
  return content.wordings.flatMap((wording) =>
    wording.parts.flatMap((part) =>
      linesOf(part.passage).flatMap((line, at) => {
        const text = lineText(line);
        return findPersonal(text, known, ordinary)
          .map(({ kind, from, to }) => {
            const words = text.slice(from, to);
            return { wording: wording.id, part: part.id, line: at, from, to, kind, words };
          })
          .filter(({ words }) => !allowed.has(words));
      }),
    ),
  );
}

/** What its field is called, and where it is looked up in a case; null where it is asked for. */
const FIELD_OF: Record<Exclude<PersonalKind, 'pronoun'>, { label: string; path: string | null }> = {
  name: { label: 'Name', path: 'name' },
  birth: { label: 'Date of birth', path: null },
  phone: { label: 'Telephone', path: null },
  'e-mail': { label: 'E-mail', path: null },
  address: { label: 'Address', path: null },
  number: { label: 'Number', path: null },
};

/** How he and she are written for whoever it is; "her" before a noun is "their", else "them", which cannot be told apart by itself. */
const PERSON_FORM: Record<string, BlankForm> = {
  he: 'they',
  she: 'they',
  him: 'them',
  her: 'their',
  his: 'their',
  hers: 'theirs',
  himself: 'themselves',
  herself: 'themselves',
};
const WITH_VERB: Record<string, BlankForm> = { is: 'they are', was: 'they were', has: 'they have' };

/** The blank of one field in place of another's. */
function ofField(passage: Passage, from: string, to: string): Passage {
  return mapLines(passage, (line) =>
    line.map((inline) =>
      inline.type === 'blank' && inline.attrs.field === from
        ? { ...inline, attrs: { ...inline.attrs, field: to } }
        : inline,
    ),
  );
}

/**
 * The entry with a personal detail turned into a blank of a field: a name into the case's name, he and she into person words
 * with their verb, anything else into one that is asked for.
 */
export function personalToField(content: EntryContent, place: PersonalPlace): EntryContent {
  let { fields } = content;
  const wordings = content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) => {
      if (wording.id !== place.wording || part.id !== place.part) return part;
      const text = lineText(linesOf(part.passage)[place.line] ?? []);
      const { passage, made } = place.kind === 'pronoun' ? person(part.passage, text) : plainly(part.passage);
      fields = made;
      return { ...part, passage };
    }),
  }));
  return { ...content, wordings, fields };

  function plainly(passage: Passage) {
    const { label, path } = FIELD_OF[place.kind as keyof typeof FIELD_OF];
    const particular = { ...place, label, path, form: 'as-is' as const };
    const turned = particularsToFields(passage, [particular], content.fields);
    return { passage: turned.passage, made: turned.fields };
  }

  function person(passage: Passage, text: string) {
    const word = place.words.toLowerCase();
    const verb = /^ (is|was|has)(?!\p{L})/u.exec(text.slice(place.to));
    const withVerb = PERSON_FORM[word] === 'they' && verb ? WITH_VERB[verb[1]!] : undefined;
    // Her hand, but: gave her fluids. A preposition or the end of the sentence behind it tells the second.
    const isThem =
      word === 'her' &&
      /^(?:$|[.,;:!?)]| (?:to|in|on|at|into|from|with|and|or|for|by)(?!\p{L}))/u.test(text.slice(place.to));
    const form = withVerb ?? (isThem ? 'them' : PERSON_FORM[word]!);
    const to = withVerb ? place.to + verb![0].length : place.to;
    const particular = { ...place, to, label: 'Spoken of as', path: null, form };
    const turned = particularsToFields(passage, [particular], content.fields);
    const made = turned.fields.at(-1)!;
    const before = content.fields.find(({ kind }) => kind === 'person');
    const field = before ?? { ...newField('person', made.id, made.name) };
    return {
      passage: ofField(turned.passage, made.id, field.id),
      made: before ? content.fields : [...content.fields, field],
    };
  }
}
