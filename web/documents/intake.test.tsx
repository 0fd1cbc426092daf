import { describe, expect, test } from '@jest/globals';
// Loaded before two of them are asked for at once, which the test runner cannot do.
import 'micromark';
import 'micromark-extension-gfm';
import 'mammoth';
import { entriesOfRows } from '#core/intake';
import { plainText } from '#core/passage';
import { CORPUS } from './corpus/corpus';
import type { CorpusFile } from './corpus/corpusFile';
import { WELSH, WORDINGS } from './corpus/wordings';
import { intakeOf, intakeOfPaste } from './intake';

/** What a file comes to without a change by hand, in the order of the file. */
async function entriesOf({ name, bytes }: Pick<CorpusFile, 'name' | 'bytes'>) {
  const { shapes } = await intakeOf(bytes, name);
  const [{ table, columns }] = shapes as [(typeof shapes)[number]];
  return entriesOfRows(table, columns, 'en-GB').entries;
}
const flat = (words: string) => words.replace(/\s+/g, ' ').trim();

describe(`${CORPUS.length} tables and documents as people have them`, () => {
  test.each(CORPUS.map((file) => [file.name, file] as const))('%s', async (_, file) => {
    const entries = await entriesOf(file);
    const has = (what: 'cue' | 'topic' | 'welsh' | 'part') => file.has?.includes(what) === true;
    const read = entries.map(({ content, path, isTitled }) => {
      const words = plainText(content.wordings[0]!.parts.at(-1)!.passage);
      return {
        words: flat(file.extra ? words.replace(file.extra, '') : words),
        ...(file.titled !== false && { title: content.title, isTitled }),
        ...(has('cue') && { cue: content.cues[0]?.text }),
        ...(has('topic') && { topic: path.join(' > ') }),
        ...(has('part') && { part: plainText(content.wordings[0]!.parts[0]!.passage) }),
        ...(has('welsh') && {
          welsh: content.wordings
            .filter(({ language }) => language === 'cy')
            .map(({ parts }) => plainText(parts[0]!.passage)),
        }),
      };
    });
    expect(read).toEqual(
      WORDINGS.map((wording, at) => ({
        words: wording.words,
        ...(file.titled !== false && { title: file.titleOf?.(wording) ?? wording.title, isTitled: false }),
        ...(has('cue') && { cue: wording.cue }),
        ...(has('topic') && { topic: wording.topic }),
        ...(has('part') && { part: `About: ${wording.title}` }),
        ...(has('welsh') && { welsh: [WELSH[at]] }),
      })),
    );
  });
});

test('a table that was copied comes by its cells, and words by theirs', async () => {
  const html =
    '<table><tr><td>Code</td><td>Text</td></tr><tr><td>wt</td><td>Weighed <b>today</b>.</td></tr></table>';
  const [table] = (await intakeOfPaste('Code\tText\nwt\tWeighed today.', html)).shapes;
  expect(table).toMatchObject({ id: 'table', columns: [{ role: 'cue' }, { role: 'wording' }] });
  const [lines] = (await intakeOfPaste('wt = Weighed today.\nfl = Fluids given.', '')).shapes;
  expect(lines).toMatchObject({ id: 'pairs', columns: [{ role: 'cue' }, { role: 'wording' }] });
});

const text = (words: string) => new TextEncoder().encode(words);

describe('what nothing can be made of is refused in words', () => {
  test.each<[string, Uint8Array, RegExp]>([
    ['empty.csv', text(''), /There is no wording in empty\.csv\. Nothing was brought in\./],
    ['torn.json', text('{"a": '), /torn\.json is not JSON/],
    ['number.json', text('{"a": 1}'), /There is no list in number\.json/],
    ['odd.yaml', text('a: [1\nb: }'), /odd\.yaml is not YAML/],
    [
      'many.yaml',
      text(
        `a: &a [x,x,x,x,x,x,x,x,x,x]\n${'bcdefgh'
          .split('')
          .map((name, at) => `${name}: &${name} [${Array(10).fill(`*${'abcdefg'[at]}`).join(',')}]`)
          .join('\n')}\n`,
      ),
      /many\.yaml/,
    ],
    [
      'broken.plist',
      text('<?xml version="1.0"?><plist><array><dict></array></plist>'),
      /broken property list/,
    ],
    [
      'unfolds.plist',
      text(
        '<!DOCTYPE p [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><plist><array><string>&b;</string></array></plist>',
      ),
      /broken property list/,
    ],
    ['locked.xlsx', Uint8Array.of(0xd0, 0xcf, 0x11, 0xe0), /locked with a password/],
    ['picture.png', Uint8Array.of(0x89, 0x50, 0x4e, 0x47, 0, 0, 0, 1, 2, 3), /has no text in it/],
    ['deep.rtf', text(`{\\rtf1 ${'{'.repeat(500)}`), /nested too deeply/],
  ])('%s', async (name, bytes, said) => {
    await expect(intakeOf(bytes, name)).rejects.toThrow(said);
  });
});
