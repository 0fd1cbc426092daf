import { describe, expect, test } from '@jest/globals';
// Loaded before two of them are asked for at once, which the test runner cannot do.
import 'micromark';
import 'micromark-extension-gfm';
import 'mammoth';
import { entriesOfRows } from '#core/intake';
import { plainText } from '#core/passage';
import { CORPUS, type CorpusFile } from './corpus/corpus';
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
void intakeOfPaste;
