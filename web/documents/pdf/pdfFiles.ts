import workerAddress from 'pdfjs-dist/legacy/build/pdf.worker.min.mjs?url';

/** Files that come with pdf.js and are asked for by name: letters of fonts that a PDF names and does not hold, and decoders of scans. */
const FILES = import.meta.glob<string>(
  [
    '../../../node_modules/pdfjs-dist/cmaps/*.bcmap',
    '../../../node_modules/pdfjs-dist/standard_fonts/*.{pfb,ttf}',
    '../../../node_modules/pdfjs-dist/wasm/*.wasm',
  ],
  { query: '?url', import: 'default', eager: true },
);

const FOLDERS: Record<string, string> = {
  cMapUrl: 'cmaps',
  standardFontDataUrl: 'standard_fonts',
  wasmUrl: 'wasm',
};

/** Fetches files of pdf.js from where the build put them. */
export class PdfFiles {
  async fetch({ kind, filename }: { kind: string; filename: string }): Promise<Uint8Array> {
    const address = FILES[`../../../node_modules/pdfjs-dist/${FOLDERS[kind] ?? kind}/${filename}`];
    const response = address === undefined ? null : await fetch(address);
    if (!response?.ok) throw new Error(`${filename} could not be fetched.`);
    return new Uint8Array(await response.arrayBuffer());
  }
}

export { workerAddress };
