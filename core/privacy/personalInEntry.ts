import { newField, type EntryContent, type Field } from '#core/entry';
import { lineText, linesOf, mapLines, type BlankForm, type Passage } from '#core/passage';
import type { Personal, PersonalKind } from './personalFinder';
import type { Particular } from './findParticulars';
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

/** Personal details, as `find` finds them, in the wordings of an entry, in reading order; without words that may stand all the same. */
export function personalInEntry(
  content: EntryContent,
  find: (text: string) => Personal[],
  allowed: ReadonlySet<string> = new Set(),
): PersonalPlace[] {
  return content.wordings.flatMap((wording) =>
    wording.parts.flatMap((part) =>
      linesOf(part.passage).flatMap((line, at) => {
        const text = lineText(line);
        return find(text)
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
  'e-mail': { label: 'Email', path: null },
  address: { label: 'Address', path: null },
  number: { label: 'Number', path: null },
};

const TITLED = /^(?:Mr|Mrs|Ms|Miss|Mx|Dr|Prof|Professor|Sir|Lady|Nurse|Sister)(?!\p{L})/u;

/** Of the case is a name alone: who is called by a title, or is known to be another, is asked for. */
function fieldOf({ kind, words }: PersonalPlace, isOther: (name: string) => boolean) {
  const field = FIELD_OF[kind as keyof typeof FIELD_OF];
  return kind === 'name' && (TITLED.test(words) || isOther(words)) ? { ...field, path: null } : field;
}

/** How he and she are written for whoever it is, where what follows does not tell otherwise. */
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

type Turned = Pick<EntryContent, 'fields'> & { passage: Passage };

/** Behind "her" where it is whom, not whose: the end of the clause, or a preposition. */
const AFTER_WHOM = /^(?:$|[.,;:!?)]| (?:to|in|on|at|into|from|with|and|or|for|by)(?!\p{L}))/u;

/** How he or she is written for whoever it is, and where that ends: a verb that goes with it may be part of it. */
function personForm(text: string, { words, to }: PersonalPlace): { form: BlankForm; to: number } {
  const word = words.toLowerCase();
  const after = text.slice(to);
  const verb = /^ (is|was|has)(?!\p{L})/u.exec(after);
  if (PERSON_FORM[word] === 'they' && verb) return { form: WITH_VERB[verb[1]!]!, to: to + verb[0].length };
  return { form: word === 'her' && AFTER_WHOM.test(after) ? 'them' : PERSON_FORM[word]!, to };
}

/** He or she as person words, of the one field that speaks of the case. */
function personTurned(passage: Passage, fields: Field[], place: PersonalPlace): Turned {
  const text = lineText(linesOf(passage)[place.line] ?? []);
  const particular = { ...place, ...personForm(text, place), label: 'Spoken of as', path: null };
  const turned = particularsToFields(passage, [particular], fields);
  const made = turned.fields.at(-1)!;
  const before = fields.find(({ kind }) => kind === 'person');
  if (before) return { passage: ofField(turned.passage, made.id, before.id), fields };
  return { passage: turned.passage, fields: [...fields, newField('person', made.id, made.name)] };
}

/**
 * A passage with personal details in it turned into blanks: he and she into the person words of one field, everything else asked
 * for, the same words once. `places` are of its lines, in reading order; `declared` are fields that it has already.
 */
export function allToFields(
  passage: Passage,
  places: readonly PersonalPlace[],
  declared: readonly Field[],
): Turned {
  const texts = linesOf(passage).map(lineText);
  const particulars = places.map((place): Particular => {
    if (place.kind !== 'pronoun') return { ...place, ...fieldOf(place, () => true), form: 'as-is' };
    // One field for all of them, whichever word it is.
    return { ...place, ...personForm(texts[place.line]!, place), ...SPOKEN_OF };
  });
  const turned = particularsToFields(passage, particulars, declared);
  if (!places.some(({ kind }) => kind === 'pronoun')) return turned;
  const known = declared.find(({ kind }) => kind === 'person');
  const made = turned.fields.find(
    (field) => !declared.includes(field) && field.name.startsWith(SPOKEN_OF.label),
  )!;
  if (known)
    return {
      passage: ofField(turned.passage, made.id, known.id),
      fields: turned.fields.filter((field) => field !== made),
    };
  const person = newField('person', made.id, made.name);
  return { ...turned, fields: turned.fields.map((field) => (field === made ? person : field)) };
}

const SPOKEN_OF = { label: 'Spoken of as', path: null, words: 'he or she' } as const;

/**
 * The entry with a personal detail turned into a blank of a field: a name into the case's name, unless it has a title or
 * `isOther` says that it is somebody else's; he and she into person words with their verb; anything else is asked for.
 */
export function personalToField(
  content: EntryContent,
  place: PersonalPlace,
  isOther: (name: string) => boolean = () => false,
): EntryContent {
  const passage = content.wordings
    .find(({ id }) => id === place.wording)
    ?.parts.find(({ id }) => id === place.part)?.passage;
  if (!passage) return content;
  const turned =
    place.kind === 'pronoun'
      ? personTurned(passage, content.fields, place)
      : particularsToFields(
          passage,
          [{ ...place, ...fieldOf(place, isOther), form: 'as-is' }],
          content.fields,
        );
  const wordings = content.wordings.map((wording) => ({
    ...wording,
    parts: wording.parts.map((part) =>
      part.passage === passage ? { ...part, passage: turned.passage } : part,
    ),
  }));
  return { ...content, wordings, fields: turned.fields };
}
