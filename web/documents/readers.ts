import type { DraftDocument } from '#core/draft';
import { plainPassage, type Passage } from '#core/passage';
import { UnreadableFile } from '#client/api';
import { repacked } from './archive';
import { draftOf, passageOfHtml } from './documentOf';

/** What was read of a document: its text for a leaf, and what of it was left out. */
export interface ReadDocument {
  document: DraftDocument;
  remarks: string[];
}

/** What is said of pictures that were left out. */
export const leftOut = (pictures: number): string[] => {
  if (pictures === 0) return [];
  return [
    pictures === 1 ? 'One picture was left out.' : `${pictures.toLocaleString()} pictures were left out.`,
  ];
};

/** Plain text: a blank line parts paragraphs. */
export const readText = (text: string, called: string): ReadDocument => ({
  document: draftOf(plainPassage(text.trim()), called),
  remarks: [],
});

/** Markdown with tables and struck words (CommonMark, GitHub Flavored Markdown) as a passage; HTML in it stands as it is written. */
export async function passageOfMarkdown(text: string): Promise<{ passage: Passage; pictures: number }> {
  const [{ micromark }, { gfm, gfmHtml }] = await Promise.all([
    import('micromark'),
    import('micromark-extension-gfm'),
  ]);
  const html = micromark(text, { extensions: [gfm()], htmlExtensions: [gfmHtml()] });
  return passageOfHtml(html);
}

/** Markdown as the text of a leaf. */
export async function readMarkdown(text: string, called: string): Promise<ReadDocument> {
  const { passage, pictures } = await passageOfMarkdown(text);
  return { document: draftOf(passage, called), remarks: leftOut(pictures) };
}

/** The parts of a docx that hold words and how they look; none that holds pictures, sounds or programs. */
const isOfWords = (name: string): boolean =>
  /^(\[Content_Types\]\.xml|_rels\/|word\/)[^\s]*\.?(xml|rels)$/.test(name);

/** A docx (Office Open XML) as a passage, and how many pictures were left out. Throws an UnreadableFile where it is broken, or unpacks to too much. */
export async function passageOfDocx(
  bytes: Uint8Array,
  called: string,
): Promise<{ passage: Passage; pictures: number }> {
  const words = await repacked(bytes, called, isOfWords);
  const { default: mammoth } = await import('mammoth');
  let pictures = 0;
  const convertImage = mammoth.images.imgElement(() => {
    pictures += 1;
    return Promise.resolve({ src: '' });
  });
  const read = await mammoth
    .convertToHtml(
      { arrayBuffer: words.slice().buffer },
      { convertImage, styleMap: ['u => u', 'strike => s'] },
    )
    .catch(() => {
      throw new UnreadableFile(`${called} cannot be read as a Word document. Nothing was made of it.`);
    });
  // Those whose pictures did not come along are counted here alone.
  return { passage: passageOfHtml(read.value).passage, pictures };
}

/** A docx as the text of a leaf. Throws an UnreadableFile. */
export async function readDocx(bytes: Uint8Array, called: string): Promise<ReadDocument> {
  const { passage, pictures } = await passageOfDocx(bytes, called);
  return { document: draftOf(passage, called), remarks: leftOut(pictures) };
}
