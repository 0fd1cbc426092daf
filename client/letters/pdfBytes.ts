import pdfMake from 'pdfmake/build/pdfmake';
import type { TDocumentDefinitions, TFontDictionary } from 'pdfmake/interfaces';
import { bookFaces, faceOf, type Face } from '#client/faces';

const here = (address: string) => new URL(address, self.location.href).href;

// What stands in a letter names nothing that is fetched: the fonts alone are, from where this page came from.
pdfMake.setUrlAccessPolicy((url: string) => url.startsWith(self.location.origin));

/** A PDF's bytes, its fonts within. Of the book face those parts are fetched whose signs stand in `text`. */
export async function pdfBytes(definition: TDocumentDefinitions, text: string): Promise<Uint8Array> {
  const faces = new Set<Face>(['latin']);
  for (const sign of new Set(text.normalize('NFC'))) faces.add(faceOf(sign) ?? 'latin');
  const files = await bookFaces();
  const fonts: TFontDictionary = Object.fromEntries(
    [...faces].map((face) => {
      const { normal, bold, italics, bolditalics } = files[face];
      const looks = { normal: here(normal), bold: here(bold), italics: here(italics) };
      return [face, { ...looks, bolditalics: here(bolditalics) }];
    }),
  );
  pdfMake.setFonts(fonts);
  return new Uint8Array(await pdfMake.createPdf(definition).getBuffer());
}
