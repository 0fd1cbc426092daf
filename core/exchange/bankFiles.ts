import type { Block, Passage } from '#core/passage';
import { readable, TABLE_HEADS, wordsOfRow, type BankRow } from './bankRows';
import { csvOf } from './csv';
import { escapeHtml, toHtml } from './toHtml';
import { toMarkdown } from './toMarkdown';

const placeOf = ({ path }: BankRow): string => path.join(' > ');

/** Entries as a table: its heads first, then a row of cells for each. */
export const bankTable = (rows: readonly BankRow[]): string[][] => [
  [...TABLE_HEADS],
  ...rows.map((row) => [placeOf(row), row.cue, row.title, wordsOfRow(row), row.purpose, row.tags.join(', ')]),
];

/** Entries as comma-separated values. */
export const bankCsv = (rows: readonly BankRow[]): string => csvOf(bankTable(rows));

/** Rows by where they are, in the order in which they come. */
function byPlace(rows: readonly BankRow[]): Map<string, BankRow[]> {
  const places = new Map<string, BankRow[]>();
  for (const row of rows) places.set(placeOf(row), [...(places.get(placeOf(row)) ?? []), row]);
  return places;
}

const mdLine = (text: string) => text.replace(/\s+/g, ' ').replace(/([\\`*_[\]<>#|])/g, '\\$1');

/** Entries as Markdown: a heading for each collection and each entry, its cue and when to use it beneath. */
export function bankMarkdown(rows: readonly BankRow[], title: string): string {
  const parts = [...byPlace(rows)].flatMap(([place, own]) => [
    `## ${mdLine(place)}`,
    ...own.flatMap((row) => [
      `### ${mdLine(row.title)}`,
      ...(row.cue === '' ? [] : [`Code: ${mdLine(row.cue)}`]),
      ...(row.purpose === '' ? [] : [`When to use: ${mdLine(row.purpose)}`]),
      ...(row.tags.length === 0 ? [] : [`Tags: ${mdLine(row.tags.join(', '))}`]),
      toMarkdown(readable(row.passage, row.nameOf)).trim(),
    ]),
  ]);
  return `${[`# ${mdLine(title)}`, ...parts].join('\n\n')}\n`;
}

const STYLE =
  'body{font:17px/1.5 Georgia,serif;max-width:46rem;margin:2rem auto;padding:0 1rem;color:#2a2230;background:#fbf8f1}h2{margin-top:2.5rem;border-bottom:1px solid #d8d0bf}h3{margin:1.6rem 0 .2rem;font-size:1.05rem}code{color:#3f6b46}.beside{color:#5d5566;font-size:.85rem;margin:0}input{font:inherit;width:100%;padding:.4rem}article[hidden],section[hidden]{display:none}@media print{input{display:none}}';
/** Shows the entries that have all the words typed; it asks nothing of any network. */
const SEARCH =
  "const box=document.querySelector('input');box.addEventListener('input',()=>{const words=box.value.toLowerCase().split(/\\s+/).filter(Boolean);for(const s of document.querySelectorAll('section')){let any=false;for(const a of s.querySelectorAll('article')){const t=a.textContent.toLowerCase();a.hidden=!words.every((w)=>t.includes(w));any=any||!a.hidden}s.hidden=!any}});";

/** Entries as one page that reads well by itself and is searched without a network. `language`: BCP 47. */
export function bankHtmlPage(rows: readonly BankRow[], title: string, language: string): string {
  const sections = [...byPlace(rows)].map(([place, own]) => {
    const articles = own.map(
      (row) =>
        `<article><h3>${escapeHtml(row.title)}${row.cue === '' ? '' : ` <code>${escapeHtml(row.cue)}</code>`}</h3>${[
          row.purpose,
          row.tags.join(', '),
        ]
          .filter((words) => words !== '')
          .map((words) => `<p class="beside">${escapeHtml(words)}</p>`)
          .join('')}${toHtml(readable(row.passage, row.nameOf))}</article>`,
    );
    return `<section><h2>${escapeHtml(place)}</h2>${articles.join('\n')}</section>`;
  });
  return `<!doctype html>
<html lang="${escapeHtml(language)}">
<head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>${escapeHtml(title)}</title><style>${STYLE}</style></head>
<body>
<h1>${escapeHtml(title)}</h1>
<p><input type="search" aria-label="Search" placeholder="Search"></p>
${sections.join('\n')}
<script>${SEARCH}</script>
</body>
</html>
`;
}

const heading = (level: number, text: string): Block => ({
  type: 'heading',
  attrs: { level },
  content: [{ type: 'text', text }],
});
const cell = (text: string): Block => ({
  type: 'tableCell',
  content: [{ type: 'paragraph', ...(text !== '' && { content: [{ type: 'text', text }] }) }],
});

/** Entries as one text with heads: collections, titles with what is said of each, wordings; a list of all cues at its end. */
export function bankPassage(rows: readonly BankRow[], title: string): Passage {
  const content = [...byPlace(rows)].flatMap(([place, own]): Block[] => [
    heading(2, place),
    ...own.flatMap((row): Block[] => {
      const beside = [row.cue, row.purpose].filter((words) => words !== '').join(' · ');
      return [
        heading(3, row.title),
        ...(beside === ''
          ? []
          : [
              {
                type: 'paragraph' as const,
                content: [{ type: 'text' as const, text: beside, marks: [{ type: 'italic' as const }] }],
              },
            ]),
        ...readable(row.passage, row.nameOf).content,
      ];
    }),
  ]);
  const cued = rows.filter(({ cue }) => cue !== '').sort((a, b) => (a.cue < b.cue ? -1 : 1));
  const list: Block[] =
    cued.length === 0
      ? []
      : [
          heading(2, 'Cues'),
          {
            type: 'table',
            content: cued.map((row): Block => ({
              type: 'tableRow',
              content: [cell(row.cue), cell(row.title), cell(placeOf(row))],
            })),
          },
        ];
  return { type: 'doc', content: [heading(1, title), ...content, ...list] };
}

/** Forms in which systems take lists of abbreviations for their own text replacement. */
export const ABBREVIATION_FORMS = ['tsv', 'plist', 'json', 'yaml'] as const;
export type AbbreviationForm = (typeof ABBREVIATION_FORMS)[number];

const xml = (text: string) => escapeHtml(text.replace(/[\u0000-\u0008\u000B\u000C\u000E-\u001F]/g, ''));

/** Cues with their plain words, as a list of abbreviations: blanks are written as the names of their fields. Entries without a cue are left out. */
export function abbreviationList(rows: readonly BankRow[], form: AbbreviationForm): string {
  const pairs = rows.flatMap((row) => (row.cue === '' ? [] : [[row.cue, wordsOfRow(row)] as const]));
  switch (form) {
    case 'tsv':
      // A tab or the end of a line would part what belongs together.
      return pairs.map(([cue, words]) => `${cue}\t${words.replace(/\s*[\t\r\n]+\s*/g, ' ')}\n`).join('');
    case 'plist':
      return `<?xml version="1.0" encoding="UTF-8"?>\n<plist version="1.0">\n<array>\n${pairs
        .map(
          ([cue, words]) =>
            `<dict><key>phrase</key><string>${xml(words)}</string><key>shortcut</key><string>${xml(cue)}</string></dict>\n`,
        )
        .join('')}</array>\n</plist>\n`;
    case 'json':
      return `${JSON.stringify(
        pairs.map(([shortcut, phrase]) => ({ shortcut, phrase })),
        null,
        1,
      )}\n`;
    case 'yaml':
      // JSON's way of writing words is YAML's too (YAML 1.2, 7.3.1).
      return pairs.length === 0
        ? '[]\n'
        : pairs
            .map(([cue, words]) => `- shortcut: ${JSON.stringify(cue)}\n  phrase: ${JSON.stringify(words)}\n`)
            .join('');
  }
}
