import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { Request, Response } from 'express';
import type { FileStore } from '../fileStore';

/** What is served of a file: where its bytes are, what it is, and what it is called. */
export interface ServedFile {
  hash: string;
  bytes: number;
  media: string;
  name: string;
}

/** What pages show and play themselves: none of it can run a script. All else is only ever saved. */
const SHOWN = /^(image\/(png|jpeg|gif|webp|avif)|audio\/[\w.+-]+|video\/[\w.+-]+)$/;

/** No page that a file were shown as may run, load or frame anything. */
const POLICY = "default-src 'none'; sandbox; frame-ancestors 'none'";

/** Which bytes are asked for, both ends included: all where no range is, or none that is understood; null for none there are. */
function rangeOf(
  request: Request,
  { bytes, hash }: ServedFile,
): { from: number; to: number; isPart: boolean } | null {
  const all = { from: 0, to: bytes - 1, isPart: false };
  const since = request.get('If-Range');
  if (since !== undefined && since !== `"${hash}"`) return all;
  const ranges = request.range(bytes);
  if (ranges === -1) return null;
  // Several at once are answered with all of it, as the standard allows (RFC 9110, 14.2).
  if (ranges === undefined || ranges === -2 || ranges.type !== 'bytes' || ranges.length !== 1) return all;
  const [{ start, end }] = ranges as unknown as [{ start: number; end: number }];
  return { from: start, to: end, isPart: true };
}

/**
 * Answers a request with a file, or the range of it that is asked for (RFC 9110): a piece is in memory at a time. It is
 * served so that no browser runs or frames it, whatever it holds.
 */
export async function serveFile(
  store: FileStore,
  file: ServedFile,
  request: Request,
  response: Response,
): Promise<void> {
  const isShown = SHOWN.test(file.media);
  if (isShown) response.set('Content-Disposition', 'inline');
  else response.attachment(file.name);
  response.set({
    'Content-Type': file.media.startsWith('text/') ? 'text/plain; charset=utf-8' : file.media,
    'Content-Security-Policy': POLICY,
    // Not to be packed on the way: a range of what is packed is another range.
    'Cache-Control': 'private, no-cache, no-transform',
    'Accept-Ranges': 'bytes',
    ETag: `"${file.hash}"`,
  });
  if (request.get('If-None-Match') === `"${file.hash}"`) return void response.status(304).end();
  const range = rangeOf(request, file);
  if (!range) return void response.status(416).set('Content-Range', `bytes */${file.bytes}`).end();
  const { from, to, isPart } = range;
  if (isPart) response.status(206).set('Content-Range', `bytes ${from}-${to}/${file.bytes}`);
  response.set('Content-Length', String(to - from + 1));
  if (request.method === 'HEAD' || to < from) return void response.end();
  // Read one piece ahead, and not sixteen as streams of objects do.
  const pieces = Readable.from(store.read(file.hash, from, to), { highWaterMark: 1 });
  await pipeline(pieces, response).catch((error: unknown) => {
    // Who asked went away, or jumped elsewhere in what they hear.
    if ((error as NodeJS.ErrnoException).code !== 'ERR_STREAM_PREMATURE_CLOSE') throw error;
  });
}
