import { DETAILS, type DetailPath } from './details';

/** What forms and other programs call the details that a person writes, in small letters and without signs. */
const ALSO_CALLED: Partial<Record<DetailPath, readonly string[]>> = {
  name: [
    'patient',
    'patient name',
    'full name',
    'client',
    'client name',
    'animal name',
    'student',
    'author',
    'speaker',
  ],
  born: ['dob', 'd o b', 'born', 'birth date', 'birthday'],
  sex: ['gender'],
  species: ['animal', 'kind of animal'],
  number: [
    'number',
    'record number',
    'patient number',
    'reference',
    'ref',
    'id',
    'case',
    'case no',
    'case id',
  ],
  admitted: ['date of admission', 'admission date', 'admission', 'arrived'],
  reason: ['reason', 'complaint', 'presenting complaint'],
  ward: ['unit', 'pen', 'bed'],
  clinician: ['vet', 'doctor', 'consultant', 'seen by'],
  customer: ['enquirer', 'enquirers name', 'customer', 'from', 'caller', 'sender'],
  topic: ['subject', 'about', 'title'],
  place: ['location', 'found at', 'where'],
  date: ['date', 'day', 'recorded', 'recorded on'],
  language: ['languages'],
};

/** A label without what only surrounds it: capitals, signs, doubled spaces. */
const plain = (label: string): string =>
  label
    .toLowerCase()
    .replace(/[’']/gu, '')
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim();

const PATHS = new Map<string, DetailPath>(
  DETAILS.flatMap(({ path, label }) =>
    [label, path, ...(ALSO_CALLED[path] ?? [])].map((name) => [plain(name), path] as const),
  ),
);
/** Longer ones are no labels, but sentences with a colon in them. */
const LONGEST_LABEL = 40;
/** So much is looked at: a whole book on the clipboard holds no details. */
const MOST_CHARACTERS = 20_000;

/** What a text says of a record. */
export interface DetailsInText {
  /** By path, as the text has them; of two the first. */
  found: ReadonlyMap<DetailPath, string>;
  /** Lines with words in which no detail was found. */
  others: readonly string[];
}

/** A line as a label and what stands behind it; null where it is none. */
function labelled(line: string): [label: string, words: string] | null {
  const tab = line.indexOf('\t');
  const at = tab >= 0 ? tab : line.indexOf(':');
  if (at < 1 || at > LONGEST_LABEL) return null;
  return [
    plain(line.slice(0, at)),
    line
      .slice(at + 1)
      .replace(/\t/g, ' ')
      .trim(),
  ];
}

/** What stands for a choice in other programs. */
const MEANT: Partial<Record<DetailPath, Readonly<Record<string, string>>>> = {
  sex: { f: 'female', female: 'female', m: 'male', male: 'male', u: 'unknown', unknown: 'unknown' },
};

/** A heading row and the row beneath it, as a table gives them to the clipboard, as lines of a label and what belongs to it. */
function turned(lines: readonly string[]): readonly string[] {
  const [heads, row] = [lines[0]?.split('\t') ?? [], lines[1]?.split('\t') ?? []];
  const isTable =
    heads.length > 1 && row.length > 1 && heads.filter((head) => PATHS.has(plain(head))).length > 1;
  if (!isTable) return lines;
  return [...heads.map((head, at) => `${head}\t${row[at] ?? ''}`), ...lines.slice(2)];
}

/**
 * Finds the details of a record in a text, as it comes from another program by the clipboard: lines of a label and what belongs to
 * it, with a colon or a tab between them; or a heading row of a table and the row beneath it. Nothing is guessed: what has no
 * label that is known is left, and told.
 */
export function detailsInText(text: string): DetailsInText {
  const lines = text
    .slice(0, MOST_CHARACTERS)
    .split(/\r\n|[\r\n]/)
    .filter((line) => line.trim() !== '');
  const found = new Map<DetailPath, string>();
  const others: string[] = [];
  for (const line of turned(lines)) {
    const [label, words] = labelled(line) ?? ['', ''];
    const path = PATHS.get(label);
    if (!path || words === '') others.push(line.trim());
    else if (!found.has(path)) found.set(path, MEANT[path]?.[words.toLowerCase()] ?? words);
  }
  return { found, others };
}
