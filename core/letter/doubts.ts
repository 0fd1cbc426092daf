import type { OutgoingLetter } from './letterOf';

/** Why a letter is perhaps not to be sent as it is. */
export interface Doubt {
  kind: 'sent-before' | 'no-subject' | 'no-attachment' | 'other-name' | 'house-word';
  /** The words that raised it; '' for none. */
  words: string;
}

/** Words that promise something sent along, by how mail speaks of it in the languages that the house answers in. */
const SPOKEN_OF =
  /(?<![\p{L}\p{N}])(?:attach(?:ed|ment|ments|ing)|enclosed?|enclosures?|angehängt\p{L}*|anhang|beigefügt\p{L}*|anbei|beiliegend\p{L}*|ynghlwm|atodiad|atodiadau|amgaeedig|amgaeaf|pièces? jointes?|ci-joint\p{L}*|bijlagen?|bijgevoegd)(?![\p{L}\p{N}])/iu;

/** Words that are quoted are somebody else's. */
const ownWords = (text: string) =>
  text
    .split('\n')
    .filter((line) => !line.startsWith('>'))
    .join('\n');

const escaped = (words: string) => words.replace(/[.*+?^${}()|[\]\\]/g, String.raw`\$&`);

/** Whether a name stands in a text, as words of it, in any case. */
const isNamed = (name: string, text: string) =>
  new RegExp(`(?<![\\p{L}\\p{N}])${escaped(name).replace(/\s+/g, '\\s+')}(?![\\p{L}\\p{N}])`, 'iu').test(
    text,
  );

const onOneLine = (words: string) => words.replace(/\s+/g, ' ').trim().toLowerCase();

const GREETED =
  /^\s*(?:[Dd]ear|[Hh]ello|[Hh]i|[Aa]nnwyl|[Hh]elo|[Ll]iebe[rs]?|[Hh]allo|[Gg]uten [Tt]ag|[Ss]ehr geehrte[rs]?|[Cc]her|[Cc]hère|[Bb]onjour|[Bb]este|[Gg]eachte)\s+(?<name>\p{Lu}[^,!:.\n]{0,80})/u;

/** Words of a greeting that are nobody's name. */
const NOBODYS = new Set(
  'mr mrs ms miss dr prof herr frau mme mevr dhr sir madam or and und team all there everyone friends colleague colleagues damen herren syr fadam neu messieurs mesdames heer mevrouw'.split(
    ' ',
  ),
);

/** Words of a name that tell somebody apart: no title, no single letter. */
const nameWords = (name: string) =>
  name
    .toLowerCase()
    .split(/[\s.]+/)
    .filter((word) => word.length > 1 && !NOBODYS.has(word));

/** Somebody greeted who is not who is written to; null where that is right, or cannot be told. */
function wronglyGreeted(text: string, own: readonly string[]): string | null {
  const greeted = GREETED.exec(text)?.groups?.name?.trim();
  const known = new Set(own.flatMap(nameWords));
  if (!greeted || known.size === 0) return null;
  const words = nameWords(greeted);
  return words.length === 0 || words.some((word) => known.has(word)) ? null : greeted;
}

/**
 * What is to be looked at before a letter goes: no subject, something sent along that is spoken of and not there, somebody else's
 * name in it.
 * @param own names of who is written to and of what the case is about
 * @param others names of those in other cases
 */
export function doubtsOf(
  { subject, text, files }: Pick<OutgoingLetter, 'subject' | 'text' | 'files'>,
  own: readonly string[],
  others: readonly string[],
): Doubt[] {
  const said = ownWords(text);
  const doubts: Doubt[] = subject === '' ? [{ kind: 'no-subject', words: '' }] : [];
  const spokenOf = SPOKEN_OF.exec(said);
  if (spokenOf && files.length === 0) doubts.push({ kind: 'no-attachment', words: spokenOf[0] });
  const greeted = wronglyGreeted(said, own);
  const isOwn = (name: string) => own.some((one) => isNamed(name, one) || isNamed(one, name));
  const whole = `${subject}\n${said}`;
  // Of thousands of names hardly one is there: only for those it is asked where words begin and end.
  const folded = onOneLine(whole);
  const named = others.filter(
    (name) => /\s/.test(name) && folded.includes(onOneLine(name)) && isNamed(name, whole) && !isOwn(name),
  );
  for (const words of new Set([...(greeted ? [greeted] : []), ...named]))
    doubts.push({ kind: 'other-name', words });
  return doubts;
}

/** A doubt as its writer reads it. */
export function doubtInWords({ kind, words }: Doubt): string {
  switch (kind) {
    case 'sent-before':
      return 'It was sent before from this leaf.';
    case 'no-subject':
      return 'It has no subject.';
    case 'no-attachment':
      return `It says “${words}”, and nothing is sent along.`;
    case 'other-name':
      return `It names ${words}, who is somebody else.`;
    case 'house-word':
      return `It says “${words}”, which your house style avoids.`;
  }
}
