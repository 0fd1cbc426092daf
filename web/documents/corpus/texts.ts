import type { CorpusFile } from './corpusFile';
import { docxOf, odtOf, type MadeBlock } from './documents';
import { WORDINGS } from './wordings';

const utf8 = (text: string) => new TextEncoder().encode(text);
const each = (write: (one: (typeof WORDINGS)[number], at: number) => string, between = '\n\n') =>
  utf8(WORDINGS.map(write).join(between));
const blocks = (write: (one: (typeof WORDINGS)[number], at: number) => MadeBlock[]) =>
  WORDINGS.flatMap(write);
const topicBefore = (at: number, write: (topic: string) => MadeBlock): MadeBlock[] =>
  at % 2 === 0 ? [write(WORDINGS[at]!.topic)] : [];
const asked = (title: string) => `What about “${title.toLowerCase()}”?`;

/** Documents and lists as people have them. */
export const TEXTS: readonly CorpusFile[] = [
  {
    name: 'headings.docx',
    bytes: docxOf(blocks(({ title, words }) => [{ text: title, heading: 2 }, { text: words }])),
  },
  {
    name: 'headings-in-topics.docx',
    bytes: docxOf([
      { text: 'Answers of the helpline', heading: 1 },
      ...blocks(({ title, words }, at) => [
        ...topicBefore(at, (topic) => ({ text: topic, heading: 2 })),
        { text: title, heading: 3 },
        { text: words },
      ]),
    ]),
    has: ['topic'],
  },
  {
    name: 'several-paragraphs.docx',
    bytes: docxOf(
      blocks(({ title, words }) => [
        { text: title, heading: 1 },
        { text: words },
        { text: 'With kind regards from all of us.' },
        { text: 'Bring a box.', item: true },
        { text: 'Bring a towel.', item: true },
      ]),
    ),
    extra: /With kind regards from all of us\.\s+- Bring a box\.\s+- Bring a towel\./,
  },
  {
    name: 'bold-lines.docx',
    bytes: docxOf(blocks(({ title, words }) => [{ text: title, bold: true }, { text: words }])),
  },
  {
    name: 'bold-lines-in-topics.docx',
    bytes: docxOf(
      blocks(({ title, words }, at) => [
        ...topicBefore(at, (topic) => ({ text: topic, heading: 1 })),
        { text: `${title}:`, bold: true },
        { text: words },
      ]),
    ),
    has: ['topic'],
  },
  {
    name: 'underlined.docx',
    bytes: docxOf(blocks(({ title, words }) => [{ text: title, underline: true }, { text: words }])),
  },
  {
    name: 'bold-beginnings.docx',
    bytes: docxOf(blocks(({ title, words }) => [{ text: `${title}. ${words}`, bold: title.length + 1 }])),
  },
  {
    name: 'questions.docx',
    bytes: docxOf(blocks(({ title, words }) => [{ text: asked(title) }, { text: words }])),
    titleOf: ({ title }) => asked(title),
  },
  {
    name: 'questions-bold.docx',
    bytes: docxOf(blocks(({ title, words }) => [{ text: asked(title), bold: true }, { text: words }])),
    titleOf: ({ title }) => asked(title),
  },
  {
    name: 'headings.odt',
    bytes: odtOf(blocks(({ title, words }) => [{ text: title, heading: 1 }, { text: words }])),
  },
  {
    name: 'bold-lines.odt',
    bytes: odtOf(blocks(({ title, words }) => [{ text: title, bold: true }, { text: words }])),
  },
  {
    name: 'headings.html',
    bytes: utf8(
      `<html><body><nav><a href="#a">Top</a></nav>${WORDINGS.map(({ title, words }) => `<h2>${title}</h2><p>${words}</p>`).join('')}</body></html>`,
    ),
  },
  {
    name: 'definitions.html',
    bytes: utf8(
      `<html><body>${WORDINGS.map(({ title, words }) => `<p><b>${title}</b><br>${words}</p>`).join('')}</body></html>`,
    ),
  },
  {
    name: 'headings.md',
    bytes: utf8(
      `# All of them\n\n${WORDINGS.map(({ title, words }) => `## ${title}\n\n${words}`).join('\n\n')}`,
    ),
  },
  {
    name: 'codes-within.md',
    bytes: each(({ title, words, cue }) => `## ${title}\n\nCode: ${cue}\n\n${words}`),
    has: ['cue'],
  },
  { name: 'bold-items.md', bytes: each(({ title, words }) => `- **${title}**: ${words}`, '\n') },
  {
    name: 'underlined.txt',
    bytes: each(({ title, words }) => `${title}\n${'-'.repeat(title.length)}\n\n${words}`),
  },
  {
    name: 'questions.txt',
    bytes: each(({ title, words }) => `Q: ${asked(title)}\nA: ${words}`),
    titleOf: ({ title }) => asked(title),
  },
  {
    name: 'questions-apart.txt',
    bytes: each(({ title, words }, at) => `Question ${at + 1}: ${title}\n\nAnswer: ${words}`),
  },
  { name: 'rules.txt', bytes: each(({ title, words }) => `${title}\n\n${words}`, '\n\n----------\n\n') },
  { name: 'stars.txt', bytes: each(({ words }) => words, '\n\n* * *\n\n'), titled: false },
  {
    name: 'equals.txt',
    bytes: each(({ cue, words }) => `${cue} = ${words}`, '\n'),
    has: ['cue'],
    titled: false,
  },
  {
    name: 'arrows.txt',
    bytes: each(({ cue, words }) => `${cue} -> ${words}`, '\n'),
    has: ['cue'],
    titled: false,
  },
  { name: 'colons.txt', bytes: each(({ title, words }) => `${title}: ${words}`, '\n') },
  { name: 'dashes.txt', bytes: each(({ title, words }) => `${title} – ${words}`, '\r\n\r\n') },
  {
    name: 'tabs.txt',
    bytes: each(({ cue, words }) => `${cue}\t${words}`, '\n'),
    has: ['cue'],
    titled: false,
  },
  { name: 'first-lines.txt', bytes: each(({ title, words }) => `${title}\n${words}`) },
  {
    name: 'named-lines.txt',
    bytes: each(
      ({ title, cue, words, topic }) =>
        `Title: ${title}\nShortcut: ${cue}\nCategory: ${topic}\nText: ${words}`,
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'capitals.txt',
    bytes: each(({ title, words }) => `${title.toUpperCase()}\n\n${words}`),
    titleOf: ({ title }) => title.toUpperCase(),
  },
  { name: 'numbered.txt', bytes: each(({ title, words }, at) => `${at + 1}. ${title}\n\n${words}`) },
  { name: 'paragraphs.txt', bytes: each(({ words }) => words), titled: false },
  { name: 'list.txt', bytes: each(({ words }) => `- ${words}`, '\n'), titled: false },
  {
    name: 'rich.rtf',
    bytes: utf8(
      `{\\rtf1\\ansi{\\fonttbl{\\f0 Arial;}}{\\info{\\author Somebody}}\n${WORDINGS.map(({ title, words }) => `{\\b ${title}\\par}\n${words.replace(/’/g, "\\'92")}\\par\n`).join('')}}`,
    ),
  },
  {
    name: 'list.json',
    bytes: utf8(
      JSON.stringify(
        WORDINGS.map(({ title, cue, words, topic }) => ({
          name: title,
          shortcut: cue,
          text: words,
          folder: topic,
        })),
      ),
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'names.json',
    bytes: utf8(JSON.stringify(Object.fromEntries(WORDINGS.map(({ cue, words }) => [cue, words])))),
    has: ['cue'],
    titled: false,
  },
  {
    name: 'groups.json',
    bytes: utf8(
      JSON.stringify({
        version: 3,
        groups: ['Care', 'Feeding', 'Leaving'].map((topic) => ({
          name: topic,
          items: WORDINGS.filter((one) => one.topic === topic).map(({ title, cue, words }) => ({
            title,
            abbreviation: cue,
            content: words,
          })),
        })),
      }),
    ),
    has: ['cue', 'topic'],
  },
  {
    name: 'lists.yaml',
    bytes: utf8(
      `snippets:\n${WORDINGS.map(({ title, cue, words }) => `  - label: ${title}\n    keys: ${cue}\n    text: >-\n      ${words}\n`).join('')}`,
    ),
    has: ['cue'],
  },
  {
    name: 'names.yml',
    bytes: utf8(WORDINGS.map(({ cue, words }) => `${cue}: ${JSON.stringify(words)}\n`).join('')),
    has: ['cue'],
    titled: false,
  },
  {
    name: 'property-list.plist',
    bytes: utf8(
      `<?xml version="1.0" encoding="UTF-8"?><plist version="1.0"><array>${WORDINGS.map(({ cue, words }) => `<dict><key>phrase</key><string>${words}</string><key>shortcut</key><string>${cue}</string></dict>`).join('')}</array></plist>`,
    ),
    has: ['cue'],
    titled: false,
  },
];
