import { findDates } from '#core/calendar';
import { Literals, type LiteralPlace } from '#core/finder';
import { namesSaid } from './namesSaid';
import { isTitle, PERSON_DID } from './personWords';

/** What sort of personal detail: a person's or an animal's name, a day of birth, a way to reach somebody, a number of a case, he or she of one case. */
export type PersonalKind = 'name' | 'birth' | 'phone' | 'e-mail' | 'address' | 'number' | 'pronoun';

/** A personal detail in a text: where it stands (UTF-16). */
export interface Personal {
  kind: PersonalKind;
  from: number;
  to: number;
}

/** Who is known by name: members, and those in cases, as "Petra Lindow" or "Bramble"; and the numbers of cases. */
export interface KnownPeople {
  names: readonly string[];
  numbers: readonly string[];
}

const places = (kind: PersonalKind, text: string, pattern: RegExp, group = 0): Personal[] =>
  [...text.matchAll(pattern)].map((match) => {
    const from = match.index + match[0].indexOf(match[group]!);
    return { kind, from, to: from + match[group]!.length };
  });

/** So many characters before a place say what is meant there. */
const BESIDE = 160;
/**
 * What stands before a place, as far as it says something of it; begun with a letter where more stands before that, so that
 * nothing is taken for the start of the text. Never all that stands before: each place of a long text would be read through.
 */
const before = (text: string, from: number): string =>
  from <= BESIDE ? text.slice(0, from) : `x${text.slice(from - BESIDE, from)}`;

/** Before the name of a month. */
const OF_A_MONTH =
  /(?:\d(?:st|nd|rd|th)?|[Ii]n|[Ss]ince|[Uu]ntil|[Tt]ill|[Bb]y|[Oo]f|[Ee]arly|[Ll]ate|[Mm]id|[Ll]ast|[Nn]ext|[Tt]his|[Ee]very|[Ee]ach|[Bb]efore|[Aa]fter|[Ff]rom|[Tt]o|through|during|and|or|[Tt]hroughout)[ -]$/u;
const MONTHS = new Set(['April', 'May', 'June', 'August']);
/** What follows a name that begins a sentence, but seldom the word that it is as well. */
const DOES = new RegExp(
  `^(?:['’]s(?!\\p{L})| (?:is|was|has|had|does|did|ate|drank|weighed|weighs|gained|lost|seems|seemed|looks|needs|slept|will be|died|lives|${PERSON_DID})(?!\\p{L}))`,
  'u',
);

const beginsSentence = (text: string, from: number) =>
  /(?:^|[.!?:;\n•–—-]\s*|["“‘(]\s*)$/u.test(before(text, from));
const isOrdinary = (word: string, ordinary: ReadonlySet<string>) => ordinary.has(word.toLowerCase());

/** A place or a thing is named so: "Rose Cottage", "the Bramble Room". */
const NAMES_A_PLACE =
  /^ (?:Cottage|House|Room|Ward|Pen|Road|Street|Lane|Hall|Farm|Wood|Marsh|Hill|School|Day|Bank)(?!\p{L})/u;

/** Whether a word that is the name of somebody is meant as one where it stands. */
function isMeant(
  text: string,
  { literal: word, from, to }: LiteralPlace,
  ordinary: ReadonlySet<string>,
): boolean {
  const ahead = before(text, from);
  const after = text.slice(to, to + BESIDE);
  if (MONTHS.has(word) && (OF_A_MONTH.test(ahead) || /^ \d/.test(after))) return false;
  if (NAMES_A_PLACE.test(after)) return false;
  if (!isOrdinary(word, ordinary)) return true;
  // Behind another name that nobody has it is a place: "Hollin Marsh".
  const other = /(?<!\p{L})(\p{Lu}\p{L}+) $/u.exec(ahead)?.[1];
  if (other && !isOrdinary(other, ordinary) && !isTitle(other)) return false;
  return !beginsSentence(text, from) || DOES.test(after);
}

/** The words of a name that it is told by alone: of "Wilf and Nesta Ambry" or "Ada de Vries" those with a capital. */
function tellingWords(name: string): string[] {
  const words = name.split(/[\s.]+/).filter((word) => word.length > 1 && !/^\d+$/.test(word));
  const capital = words.filter((word) => !/^\p{Ll}/u.test(word));
  // Somebody who is written without any is told by them all.
  return capital.length > 0 ? capital : words;
}

/** Finds names that are known, by whole or by one of their words, with their capital; a word that is a name too only where it is one. */
function knownNames(names: readonly string[], ordinary: ReadonlySet<string>): (text: string) => Personal[] {
  const wholes = new Literals(names.filter((name) => name.includes(' ')));
  const words = new Literals(names.flatMap(tellingWords));
  return (text) =>
    [...wholes.in(text), ...words.in(text, '-').filter((place) => isMeant(text, place, ordinary))].map(
      ({ from, to }) => ({ kind: 'name', from, to }),
    );
}

const BIRTH = /(?:\b(?:born|dob|d\.o\.b\.|date of birth|birthday|birth date|hatched)\b[^.!?\n]{0,25}?)$/iu;

/** Days, and years, of somebody's birth. */
function births(text: string): Personal[] {
  const dates = findDates(text).filter(({ from }) => BIRTH.test(before(text, from)));
  const years = places('birth', text, /\b(?:born|Born)(?: in)? ((?:19|20)\d\d)(?!\d)/gu, 1);
  return [...dates.map(({ from, to }) => ({ kind: 'birth' as const, from, to })), ...years];
}

/** Begun at the start of a word alone: tried anew at each letter, a long word would take time by its square. */
const E_MAIL = /(?<![\p{L}\p{N}._%+-])[\p{L}\p{N}._%+-]+@[\p{L}\p{N}-]+(?:\.[\p{L}\p{N}-]+)+/gu;
/** E-mail addresses in a text. */
export const findEMails = (text: string): Personal[] => places('e-mail', text, E_MAIL);

/** From a nought or a plus nine digits and more; fewer where one is told to ring. */
const PHONE =
  /(?<![\p{L}\p{N}.,/-])(?:\+\d{1,3}[ -]?)?\(?0?\d(?:[ \-()]{0,2}\d){7,13}(?![\p{L}\p{N}]|[.,]\d)/gu;
const CALLED =
  /\b(?:[Cc]all|[Rr]ing|[Pp]hone|[Tt]el|[Tt]elephone|[Mm]obile|[Tt]ext|[Ff]ax|[Rr]each\w* (?:me|us|him|her|them))\b[^.!?\n\d]{0,25}?:? ?((?:\d[ -]?){5,8}\d)(?![\p{L}\p{N}]|[.,]\d)/gu;
const UNIT_AFTER = /^ ?(?:g|kg|mg|ml|l|mm|cm|m|km|%|°C|°|£|€|hours?|days?|miles?)(?!\p{L})/u;

/** Telephone numbers in a text. */
export function findPhones(text: string): Personal[] {
  const long = places('phone', text, PHONE).filter(({ from, to }) => {
    const words = text.slice(from, to);
    const digits = words.replace(/\D/g, '').length;
    return /^\(?[0+]/.test(words) && digits >= 9 && !UNIT_AFTER.test(text.slice(to, to + 12));
  });
  const short = places('phone', text, CALLED, 1).filter(
    ({ to }) => !UNIT_AFTER.test(text.slice(to, to + 12)),
  );
  return [...long, ...short];
}

const STREET =
  /(?<![\p{L}\p{N}])(?:(?:Flat|Unit) \d+\w?,? )?\d{1,4}[a-zA-Z]?,? (?:\p{Lu}[\p{L}'’]+ ){1,3}(?:Street|St|Road|Rd|Lane|Avenue|Ave|Close|Drive|Way|Terrace|Court|Crescent|Gardens|Row|Hill|Green|Square|Place|Mews|Grove|Walk|Cottages?|Quay|Parade|View|Rise)(?!\p{L})(?:,? [A-Z]{1,2}\d[A-Z\d]? \d[A-Z]{2}(?![\p{L}\p{N}]))?/gu;
const NAMED_HOUSE =
  /(?<!\p{L})(?:live|lives|lived|living|staying|stays?|found|posted|send it|sent|delivered?|address:?|[Cc]ollect(?:ed)? (?:it )?from)(?: it)?(?: is)?(?: at| to)? ((?:\p{Lu}[\p{L}'’]+ ){1,2}(?:Cottage|House|Farm|Lodge|Barn|Mill))(?!\p{L})/gu;
const POSTCODE = /(?<![\p{L}\p{N}])[A-Z]{1,2}\d[A-Z\d]? \d[A-Z]{2}(?![\p{L}\p{N}])/gu;

const addresses = (text: string): Personal[] => [
  ...places('address', text, STREET),
  ...places('address', text, NAMED_HOUSE, 1),
  ...places('address', text, POSTCODE),
];

const CODE = /(?<![\p{L}\p{N}/-])[A-Z]{1,4}[-/ ]?\d{3,}(?:[-/]\d+)*(?![\p{L}\p{N}])/gu;
const NUMBERED =
  /(?<!\p{L})(?:[Cc]ase|[Pp]atient|[Aa]dmission|[Aa]ccount|[Mm]embership|[Mm]icrochip|[Cc]hip|[Rr]ing|[Rr]ef(?:erence)?|[Pp]assport|[Ii]nsurance|[Oo]rder|[Tt]icket|[Cc]andidate|[Ss]tudent|[Ii]nvoice|[Rr]eceipt|[Pp]olicy|[Pp]ermit|[Ll]icence|[Bb]ooking|[Pp]arcel|[Tt]racking|[Ss]erial|[Dd]onation|[Ss]ubmission|[Ff]ile|[Cc]laim|[Ee]xt(?:ension)?\.?|[Hh]ospital)(?: (?:no\.?|number|code))?(?: is| was| reads|:)? #?([A-Z]{0,4}[-/ ]?\d(?:[\d/-]{3,}| ?\d{3}(?: \d{3})+)(?:-[A-Z0-9]{1,3})?)(?![\p{L}\p{N}]|[.,]\d)/gu;

/** Names of standards and sizes of paper, which look like the number of a case. */
const NO_CASE = /^(?:PO|ISO|BS|EN|RFC|A|B)[ -]?\d{1,5}$/;

function numbers(text: string, known: Literals): Personal[] {
  const own = known.in(text).map(({ from, to }) => ({ kind: 'number' as const, from, to }));
  const coded = places('number', text, CODE).filter(({ from, to }) => !NO_CASE.test(text.slice(from, to)));
  return [...own, ...coded, ...places('number', text, NUMBERED, 1)];
}

const PRONOUN = /(?<![\p{L}\p{N}/’'-])(?:he|she|him|her|his|hers|himself|herself)(?![\p{L}\p{N}/-])/giu;
/** Whoever it is: "he or she", "his/her". */
const EITHER = /(?:he or she|she or he|him or her|her or him|his or her|her or his|himself or herself)/giu;
/** Said of any such one. */
const ANYONE =
  /(?<!\p{L})(?:an?|each|every|any|no|whoever|anyone|somebody|someone|whichever)(?!\p{L})[^.!?\n]*$/iu;

function pronouns(text: string): Personal[] {
  const either = new Taken(text.length);
  for (const one of places('pronoun', text, EITHER)) either.take(one);
  return places('pronoun', text, PRONOUN).filter((one) => {
    if (!either.isFree(one)) return false;
    const sentence = before(text, one.from)
      .split(/[.!?\n]/u)
      .at(-1)!;
    return !ANYONE.test(sentence);
  });
}

/** Which characters of a text are taken: asked of each place, however many there are. */
class Taken {
  private readonly marks: Uint8Array;

  constructor(length: number) {
    this.marks = new Uint8Array(length);
  }

  isFree({ from, to }: Personal): boolean {
    for (let at = from; at < to; at += 1) if (this.marks[at] === 1) return false;
    return true;
  }

  take({ from, to }: Personal): void {
    this.marks.fill(1, from, to);
  }
}

const FIRST: readonly PersonalKind[] = ['e-mail', 'birth', 'address', 'phone', 'number', 'name', 'pronoun'];

/**
 * Finds personal details in a text that is, or is about to be, shared: names, days of birth, phone numbers, e-mails, addresses,
 * numbers of cases, and he or she that speak of one case. In reading order, none overlapping. `ordinary` are words, in small
 * letters, that names may be as well ("will", "rose"): these count where they cannot be the word. Approximate: where it is in
 * doubt about a name that is a word it does not find it, about anything else it does; a person decides.
 */
export function personalFinder(
  known: KnownPeople,
  ordinary: ReadonlySet<string>,
): (text: string) => Personal[] {
  const namesIn = knownNames(known.names, ordinary);
  const numbersKnown = new Literals(known.numbers);
  return (text) => {
    const found = [
      ...findEMails(text),
      ...births(text),
      ...addresses(text),
      ...findPhones(text),
      ...numbers(text, numbersKnown),
      ...namesSaid(text, ordinary).map((place) => ({ kind: 'name' as const, ...place })),
      ...namesIn(text),
      ...pronouns(text),
    ].sort((a, b) => FIRST.indexOf(a.kind) - FIRST.indexOf(b.kind) || b.to - b.from - (a.to - a.from));
    const kept: Personal[] = [];
    const taken = new Taken(text.length);
    for (const one of found) {
      if (!taken.isFree(one)) continue;
      taken.take(one);
      kept.push(one);
    }
    return kept.sort((a, b) => a.from - b.from);
  };
}
