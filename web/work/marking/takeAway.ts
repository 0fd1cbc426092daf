import type { Case, CaseFile } from '#contracts';
import { bookFaces, missingSigns, type Face } from '#client/faces';
import { ForPeople } from '#client/api';
import { bytesOfFile } from '#client/files';
import type { DraftDocument } from '#core/draft';
import { markingsOf, type DraftMarking } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { MARKING_POINTS, plainText, type MarkingOn } from '#core/passage';
import { pageSources, pageWriter } from '../../documents';
import type { MarkedAs, MarkingOut } from '../../documents';
import { leadFrom, leadLines } from './leads';

/** The house's colours on paper: red, green and blue from 0 to 1. */
const RGB: Record<MarkingOn['colour'], readonly [number, number, number]> = {
  ink: [0.165, 0.133, 0.188],
  elder: [0.294, 0.165, 0.31],
  leaf: [0.247, 0.42, 0.275],
  rust: [0.643, 0.314, 0.184],
};

const wordsOf = ({ passage }: DraftMarking): string => plainText(passage).trim();

/** The markings of a draft as they go out: without those that have no words. */
export function markingsOut(document: DraftDocument, author: string, writtenAt: string): MarkingOut[] {
  const all = markingsOf(finishedPassage(document)).filter((one) => wordsOf(one) !== '');
  return all.map((one) => ({
    ...{ page: one.page, at: one.at, lines: wordsOf(one).split('\n'), points: MARKING_POINTS[one.size] },
    ...{ colour: RGB[one.colour], framed: one.framed, author, writtenAt },
    leads: one.lead ? leadLines(leadFrom(one), one.lead.to, one.lead.as) : [],
  }));
}

/** The markings as a list, page by page. */
export function markingList(document: DraftDocument): string {
  const all = markingsOf(finishedPassage(document));
  const pages = new Set(all.map(({ page }) => page)).size;
  const lines = all.flatMap((one, at) => {
    const isFirst = at === 0 || all[at - 1]!.page !== one.page;
    const head = pages > 1 && isFirst ? [`${at === 0 ? '' : '\n'}Page ${one.page + 1}`] : [];
    return wordsOf(one) === '' ? head : [...head, wordsOf(one).replace(/\s*\n\s*/g, ' ')];
  });
  return `${lines.join('\n')}\n`;
}

async function faceBytes(face: Face): Promise<Uint8Array> {
  const response = await fetch((await bookFaces())[face].normal);
  if (!response.ok) throw new ForPeople('The letters that go into the file could not be fetched. Try again.');
  return new Uint8Array(await response.arrayBuffer());
}

/** A picture that a PDF cannot hold as it is, as a PNG. */
async function asPng(bytes: Uint8Array): Promise<Uint8Array> {
  const bitmap = await createImageBitmap(new Blob([bytes as BlobPart]));
  const canvas = new OffscreenCanvas(bitmap.width, bitmap.height);
  canvas.getContext('2d')!.drawImage(bitmap, 0, 0);
  return new Uint8Array(await (await canvas.convertToBlob({ type: 'image/png' })).arrayBuffer());
}

/**
 * The file of a case with its markings in it, as a PDF. Throws in words where it cannot be read, takes no markings, or a sign of them is in none
 * of the faces: it would be missing.
 */
export async function markedFileOut(
  { id }: Pick<Case, 'id'>,
  file: CaseFile,
  markings: readonly MarkingOut[],
  as: MarkedAs,
): Promise<Uint8Array> {
  const missing = missingSigns(markings.flatMap(({ lines }) => lines).join(''));
  if (missing.length > 0)
    throw new ForPeople(
      `${missing.join(' ')} ${missing.length === 1 ? 'is' : 'are'} in none of our faces, and would be missing in the file. Nothing was made: write it otherwise.`,
    );
  const bytes = await bytesOfFile(id, file.id, file.name);
  const isHeld = /^(?:application\/pdf|image\/(?:png|jpeg))$/.test(file.media);
  const { markedPdf } = await pageWriter();
  return markedPdf(isHeld ? bytes : await asPng(bytes), file.name, markings, as, faceBytes);
}

/** Points of a picture to one of the page. */
const PICTURE_SCALE = 2;

/** A page with what is marked on it, as a picture (PNG). */
export async function markedPicture(pdf: Uint8Array, called: string, page: number): Promise<Blob> {
  const { openPages } = await pageSources();
  const source = await openPages(new File([pdf as BlobPart], called));
  try {
    const canvas = document.createElement('canvas');
    await source.draw(page, canvas, PICTURE_SCALE);
    return await new Promise<Blob>((resolve, reject) =>
      canvas.toBlob((blob) =>
        blob ? resolve(blob) : reject(new ForPeople('The picture could not be made.')),
      ),
    );
  } finally {
    source.close();
  }
}
