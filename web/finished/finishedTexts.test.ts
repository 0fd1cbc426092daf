import { afterEach, expect, test } from '@jest/globals';
import { strFromU8, unzipSync } from 'fflate';
import type { FinishedText } from '#contracts';
import { DraftDocumentSchema } from '#core/draft';
import { plainPassage } from '#core/passage';
import { answering } from '../../client/testing/answering';
import { textsArchive } from './finishedTexts';
import { TEXT_FORMS } from './textForms';

let restore = () => {};
afterEach(() => restore());

const plain = TEXT_FORMS.find(({ format }) => format === 'text')!;

const finished = (id: string, title: string, words: string): FinishedText => ({
  ...{
    id,
    case: 'c1',
    title,
    excerpt: words,
    savedAt: '2026-11-03T18:00:00.000Z',
    caseTitle: 'Kittens from the mill',
  },
  document: DraftDocumentSchema.parse({ ...plainPassage(words), attrs: { placements: {} } }),
});

async function filesOf(
  pages: readonly FinishedText[][],
): Promise<{ files: Record<string, string>; told: number[] } | null> {
  ({ restore } = answering((_to, body) => {
    const { after } = body as { after: string | null };
    const at = pages.findIndex((page) => page.at(-1)?.id === after) + 1;
    return { json: { texts: pages[at], more: at < pages.length - 1 } };
  }));
  const told: number[] = [];
  const made = await textsArchive('c1', plain, (count) => told.push(count));
  if (!made) return null;
  const packed = unzipSync(new Uint8Array(await made.blob.arrayBuffer()));
  expect(Object.keys(packed)).toHaveLength(made.count);
  return {
    files: Object.fromEntries(Object.entries(packed).map(([name, bytes]) => [name, strFromU8(bytes)])),
    told,
  };
}

test('all finished texts are in the archive, however long and alike their titles are', async () => {
  const title =
    'Weighed, fed and warmed again after the night at the mill, with a remark on each of the four kittens and their eyes';
  const made = await filesOf([
    [finished('d1', title, 'first'), finished('d2', title, 'second')],
    [finished('d3', title.toUpperCase(), 'third')],
  ]);
  expect(Object.values(made!.files)).toEqual(['first\n', 'second\n', 'third\n']);
  expect(made!.told).toEqual([2, 3]);
  for (const name of Object.keys(made!.files))
    expect(name).toMatch(/^2026-11-03 Kittens from the mill - .*\.txt$/i);
});

test('where nothing is finished there is no archive', async () => {
  expect(await filesOf([[]])).toBeNull();
});
