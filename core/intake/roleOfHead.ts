import { normalisedHead } from './normalisedHead';

/** What a column of a table is to the entries that are made of its rows. */
export const COLUMN_ROLES = [
  'title',
  'cue',
  'wording',
  'part',
  'purpose',
  'note',
  'tags',
  'fields',
  'collection',
  'language',
  'leave',
] as const;
export type ColumnRole = (typeof COLUMN_ROLES)[number];

/**
 * What heads of columns are called in tables that people keep, in English, Welsh, German, French and Irish, and what each is; in their
 * normal form. A head of several words is known by any of them, the last word first: "Comment text", "Shortcut code".
 */
const CALLED: Readonly<Record<Exclude<ColumnRole, 'leave'>, string>> = {
  title:
    'title titles name label heading headline topic question questions situation scenario finding issue issues teitl enw cwestiwn titel bezeichnung frage titre intitule question ceist teideal',
  cue: 'cue cues code codes shortcut shortcuts abbreviation abbreviations abbrev abbr abbrevs trigger keyword key keys short shorthand llwybr byrfodd talfyriad cod kurzel kuerzel kürzel abkurzung abkürzung raccourci abreviation abréviation giorrúchán',
  wording:
    'wording wordings text texts comment comments reply replies response responses answer answers message messages phrase phrases body content sentence sentences template templates expansion expands statement full long feedback paragraph testun sylw sylwadau ateb atebion neges antwort antworten textbaustein bemerkung kommentar inhalt nachricht texte reponse réponse commentaire contenu freagra téacs',
  part: 'subject betreff pwnc objet ábhar',
  purpose:
    'purpose when use usage context description pryd defnydd wann verwendung zweck verwenden quand usage cathain',
  note: 'note notes remark remarks nodyn nodiadau anmerkung notiz hinweis remarque nóta',
  tags: 'tag tags keywords labels criterion criteria type tagiau schlagwort schlagworte schlagwörter etiquettes clib',
  collection:
    'collection category categories group section folder area department theme subject categori adran grŵp kategorie gruppe bereich ordner abteilung categorie catégorie groupe dossier rannóg',
  fields:
    'field fields placeholder placeholders variable variables blank blanks maes meysydd feld felder platzhalter champ champs réimse',
  language: 'language lang locale iaith sprache langue teanga',
};

/** Heads of several words that mean something else than their words do. */
const PHRASES: Readonly<Record<string, ColumnRole>> = {
  'when to use': 'purpose',
  'when to use it': 'purpose',
  'use when': 'purpose',
  'use for': 'purpose',
  'used for': 'purpose',
  'short name': 'title',
  'short code': 'cue',
  'short title': 'title',
  'short form': 'cue',
  'full text': 'wording',
  'full form': 'wording',
  'long form': 'wording',
  'subject line': 'part',
  'email subject': 'part',
  'key phrase': 'title',
  'key words': 'tags',
  'label text': 'wording',
  'last used': 'leave',
  'used by': 'leave',
  'times used': 'leave',
  'use count': 'leave',
  'row number': 'leave',
};

const ROLE_OF = new Map<string, ColumnRole>(
  (Object.entries(CALLED) as [ColumnRole, string][]).flatMap(([role, words]) =>
    words.split(' ').map((word) => [normalisedHead(word), role] as const),
  ),
);
// "Subject" is a part beside a message, and a collection where there is none: decided by what else there is.
ROLE_OF.set('subject', 'part');

/** Heads that tell of a row and are no part of what it says. */
const BESIDE = new Set(
  'id no nr number date created modified updated changed author owner by status version count uses used'.split(
    ' ',
  ),
);

/** What the head of a column says that it is; null where it says nothing. */
export function roleOfHead(head: string): ColumnRole | null {
  const words = normalisedHead(head);
  if (words === '') return null;
  const phrase = PHRASES[words] ?? ROLE_OF.get(words);
  if (phrase) return phrase;
  const parts = words.split(' ');
  if (parts.some((part) => BESIDE.has(part)) && !parts.some((part) => ROLE_OF.has(part))) return 'leave';
  for (const [known, role] of Object.entries(PHRASES)) if (` ${words} `.includes(` ${known} `)) return role;
  for (const part of parts.reverse()) {
    const role = ROLE_OF.get(part);
    if (role) return role;
  }
  return null;
}
