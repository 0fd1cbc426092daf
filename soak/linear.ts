import { factFinder } from '#core/ageing';
import { findDates } from '#core/calendar';
import { touched, readCommand } from '#core/command';
import { wordDifference } from '#core/difference';
import { emptyDraft } from '#core/draft';
import { FieldSchema, newEntry, proposeTitle, type EntryContent } from '#core/entry';
import { asPlain, toHtml, toMarkdown } from '#core/exchange';
import { gapsOf } from '#core/fill';
import { findable, nearest, wordsToFind } from '#core/finder';
import { readWordList } from '#core/glossary';
import { messageParts, plainSubject } from '#core/mail';
import { readEntry } from '#core/notation';
import { canonical, excerpt, plainPassage, plainText, tidyInlines, type Inline } from '#core/passage';
import { repeatedPhrases, worthBanking } from '#core/phrases';
import { findPattern, compilePatterns } from '#core/pattern';
import {
  capture,
  findEMails,
  findParticulars,
  findPhones,
  personalFinder,
  personalInCaptured,
} from '#core/privacy';
import { detailsInText, emptyRecord, type CaseRecord } from '#core/record';
import { checkedWords } from '#core/spelling';
import { HouseFinder, TermFinder } from '#core/terms';
import { correctionOf, disfluenciesIn, fillersOf, spokenMarksIn } from '#core/transcript';
import { titleFromText } from '#core/work';
import { finished } from '#core/testing';
import { doubtsOf, odditiesOf } from '#core/workbench';
import { DEFAULT_CUE_RULES } from '#core/cue';
import { KINDS_OF_TEXT } from './kindsOfText';

/**
 * That what reads texts takes time in proportion to their length: an eightfold text takes sixty-four times as long where it goes by
 * the square. Far apart enough to tell the two on a busy machine, and only where it takes long enough to matter.
 */
const [SHORT, LONG] = [2500, 20_000];
const MOST_RATIO = 28;
const HARMLESS_MS = 40;
const TRIES = 4;
const MORE_TRIES = 12;

const record: CaseRecord = {
  ...emptyRecord(),
  details: [
    { path: 'name', value: { kind: 'text', text: 'Bramble' }, source: 'x', asOf: null },
    { path: 'birth date', value: { kind: 'date', date: '2025-05-02' }, source: 'x', asOf: null },
  ],
};
const known = { names: ['Bramble', 'Keel', 'Imke Tarrow'], numbers: ['HM-12'] };
const draft = { placements: {}, record, today: '2026-11-26' };
/** An entry in which a text stands before a blank and after it. */
function besideBlank(text: string): EntryContent {
  const words = { type: 'text' as const, text };
  const blank: Inline = {
    type: 'blank',
    attrs: { field: 'f', form: 'as-is', placement: null, text: '', state: 'gap', dropped: 'none' },
  };
  const field = FieldSchema.parse({ id: 'f', name: 'F', kind: 'text', required: false });
  const content = [{ type: 'paragraph' as const, content: [words, blank, words] }];
  return { ...newEntry('x', 'en-GB', { type: 'doc', content }), fields: [field] };
}
const captured = (text: string) => ({ passage: plainPassage(text), fields: [], particulars: [] });
const find = personalFinder(known, new Set(['bramble']));
const entry = (text: string) => newEntry('x', 'en-GB', plainPassage(text));

const READERS: Record<string, (text: string) => unknown> = {
  findEMails,
  findPhones,
  findDates,
  personalFinder: find,
  findParticulars: (text) => findParticulars(plainPassage(text), record, '2026-11-26'),
  personalInCaptured: (text) => personalInCaptured(captured(text), find, ({ kind }) => kind === 'name'),
  factFinder: (text) => factFinder(['Imke Tarrow'])(entry(text)),
  odditiesOf: (text) => odditiesOf(text, 'en-GB'),
  doubtsOf: (text) => doubtsOf(besideBlank(text)),
  titleFromText,
  asPlain: (text) => asPlain(plainPassage(text)),
  words: (text) => wordsToFind(findable('x', entry(text), ',')),
  nearest: (text) => nearest(text, [findable('x', entry('weighed and fed'), ',')], 8),
  terms: (text) => new TermFinder([{ from: 'word', to: 'term' }]).in(text, 'en-GB'),
  houseWords: (text) =>
    new HouseFinder([
      { id: 'a', language: '', use: 'hedgehog', avoid: ['hog', 'h. hog'], why: '', together: false },
    ]).in(entry(text)),
  wordDifference: (text) => wordDifference(text, `${text.slice(0, -9)} other words`),
  wordList: readWordList,
  notation: (text) => [readEntry(`title: x\n\n== wording Main: en\n\n${text}`), readEntry(text)],
  passage: (text) => {
    const passage = plainPassage(text);
    return [canonical(passage), excerpt(passage, 160), plainText(passage), proposeTitle(passage)];
  },
  tidy: (text) => tidyInlines([{ type: 'text', text }]),
  exports: (text) => [toHtml(plainPassage(text)), toMarkdown(plainPassage(text))],
  disfluencies: (text) => disfluenciesIn(text, fillersOf('en')),
  spokenMarks: (text) => spokenMarksIn(text, 'en'),
  checkedWords,
  messageParts,
  plainSubject,
  messageOfLines: (text) => messageParts(text.replaceAll(' ', '\n')),
  correction: (text) => correctionOf(`${text} Gage ${text}`, `${text} Gauge ${text}`),
  gaps: (text) => gapsOf({ ...emptyDraft(), ...plainPassage(text) }),
  commands: (text) => {
    const command = readCommand(' //erase.9.words', '//');
    return command && touched([text], { block: 0, offset: text.length }, command);
  },
  phrases: (text) => {
    const texts = ['a', 'b'].map((owner) => ({ owner, text }));
    return finished(
      worthBanking(texts, finished(repeatedPhrases(texts, { least: 5, inAtLeast: 2, most: 200 }))),
    );
  },
  capture: (text) => capture(plainPassage(text), draft),
  details: detailsInText,
  patterns: (text) => findPattern(PATTERNS, text),
};
const PATTERNS = compilePatterns([
  { entry: 'x', typed: '(\\d+)\\s*(mg|g)', as: 'pattern', rules: DEFAULT_CUE_RULES },
]);

/** What reading costs at the least of some tries, in milliseconds of the processor: what else the machine does is not counted. */
function cost(read: (text: string) => unknown, text: string, tries: number): number {
  let least = Infinity;
  for (let at = 0; at < tries; at += 1) {
    const from = process.cpuUsage();
    read(text);
    const { user, system } = process.cpuUsage(from);
    least = Math.min(least, (user + system) / 1000);
    if (least < 1) break;
  }
  return least;
}

/** The kinds of text for which a reader takes longer than in proportion to their length, in words. */
function tooSlow(read: (text: string) => unknown): string[] {
  return Object.entries(KINDS_OF_TEXT).flatMap(([kind, textOf]) => {
    const [shortText, longText] = [textOf(SHORT), textOf(LONG)];
    let long = cost(read, longText, TRIES);
    if (long < HARMLESS_MS) return [];
    let short = cost(read, shortText, TRIES);
    // The least of many tries is what it costs; where few already show that it is in proportion, no more are made.
    for (let more = 0; more < MORE_TRIES && long > MOST_RATIO * short; more += 1) {
      long = Math.min(long, cost(read, longText, 1));
      short = Math.min(short, cost(read, shortText, 1));
    }
    const ratio = long / short;
    return ratio > MOST_RATIO ? [`${kind}: ${long.toFixed(0)} ms, ${ratio.toFixed(0)} times as long`] : [];
  });
}

let faults = 0;
for (const [name, read] of Object.entries(READERS)) {
  const slow = tooSlow(read);
  faults += slow.length;
  process.stdout.write(
    `${[`${slow.length === 0 ? 'in proportion' : 'TOO SLOW'}  ${name}`, ...slow].join('\n    ')}\n`,
  );
}
process.exit(faults === 0 ? 0 : 1);
