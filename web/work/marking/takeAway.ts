import type { Case, CaseFile } from '#contracts';
import { bookFaces, missingSigns, type Face } from '#client/faces';
import { ForPeople } from '#client/api';
import { bytesOfFile } from '#client/files';
import { markingsOf, type DraftDocument, type DraftMarking } from '#core/draft';
import { finishedPassage } from '#core/fill';
import { markingPoints, markingUnit, plainText, type MarkingOn } from '#core/passage';
import { pageSources, pageWriter } from '../../documents';
import type { MarkedAs, MarkingOut, PagePicture, PageSource } from '../../documents';
import { leadFrom, leadLines } from './leads';

/** The house's colours on paper: red, green and blue from 0 to 1. */
const RGB: Record<MarkingOn['colour'], readonly [number, number, number]> = {
  ink: [0.165, 0.133, 0.188],
  elder: [0.294, 0.165, 0.31],
  leaf: [0.247, 0.42, 0.275],
  rust: [0.643, 0.314, 0.184],
};

const wordsOf = ({ passage }: DraftMarking): string => plainText(passage).trim();

/**
 * The markings of a draft as they go out: without those that have no words. `sizeOf` gives the size of a page. Throws in words where that cannot be
 * read, as of a page that is not there.
 */
export async function markingsOut(
  document: DraftDocument,
  sizeOf: PageSource['size'],
  author: string,
  writtenAt: string,
): Promise<MarkingOut[]> {
  const all = markingsOf(finishedPassage(document)).filter((one) => wordsOf(one) !== '');
  const units = new Map<number, number>();
  for (const { page } of all) if (!units.has(page)) units.set(page, markingUnit(await sizeOf(page)));
  return all.map((one) => markingOut(one, units.get(one.page)!, author, writtenAt));
}

function markingOut(one: DraftMarking, unit: number, author: string, writtenAt: string): MarkingOut {
  return {
    ...{
      page: one.page,
      at: one.at,
      lines: wordsOf(one).split('\n'),
      points: markingPoints(one, unit),
      unit,
    },
    ...{ colour: RGB[one.colour], framed: one.framed, author, writtenAt },
    answers: one.answers ?? null,
    leads: one.lead ? leadLines(leadFrom(one, unit), one.lead.to, one.lead.as, unit) : [],
  };
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

/** A page as it is shown, as a PNG with so many points of it to one of the page. */
async function drawnPage(source: PageSource, page: number, scale: number): Promise<Blob> {
  const canvas = document.createElement('canvas');
  await source.draw(page, canvas, scale);
  return new Promise<Blob>((resolve, reject) =>
    canvas.toBlob((blob) => (blob ? resolve(blob) : reject(new ForPeople('The picture could not be made.')))),
  );
}

/** Whether a PDF shows a picture as the page does, by its bytes alone: one that was turned by its camera it does not. */
async function isHeldAsIs(bytes: Uint8Array, { media }: Pick<CaseFile, 'media'>): Promise<boolean> {
  if (media === 'image/png') return true;
  return media === 'image/jpeg' && !(await (await pageSources()).isTurned(bytes));
}

/** The pictures of a file, each as a page: as they came where a PDF can hold them so. */
async function pagePictures(bytes: Uint8Array, file: CaseFile): Promise<PagePicture[]> {
  const { openPages, PICTURE_SCALE } = await pageSources();
  const source = await openPages(new File([bytes as BlobPart], file.name, { type: file.media }));
  try {
    const pictures: PagePicture[] = [];
    for (let page = 0; page < source.count; page += 1) {
      const drawn = async () =>
        new Uint8Array(await (await drawnPage(source, page, 1 / PICTURE_SCALE)).arrayBuffer());
      const own = (await isHeldAsIs(bytes, file)) ? bytes : await drawn();
      pictures.push({ ...(await source.size(page)), bytes: own });
    }
    return pictures;
  } finally {
    source.close();
  }
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
  const { markedPdf } = await pageWriter();
  const from = file.media === 'application/pdf' ? bytes : await pagePictures(bytes, file);
  return markedPdf(from, file.name, markings, as, faceBytes);
}

/** Points of a picture of a page to one of the page itself. */
const DRAWN_SCALE = 2;

/** A page with what is marked on it, as a picture (PNG). */
export async function markedPicture(pdf: Uint8Array, called: string, page: number): Promise<Blob> {
  const { openPages } = await pageSources();
  const source = await openPages(new File([pdf as BlobPart], called));
  try {
    return await drawnPage(source, page, DRAWN_SCALE);
  } finally {
    source.close();
  }
}
