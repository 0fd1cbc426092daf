import type { ErrorRequestHandler, Request, RequestHandler } from 'express';
import helmet from 'helmet';
import { ROUTES } from '#contracts';
import type { Context } from '../context';
import { notFound, Refusal } from './refusal';

/** Security headers: everything comes from this server itself, and no script stands in a page. */
export function headers(secure: boolean): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'none'"],
        // WebAssembly of our own alone: what decodes scanned pages. It is still no script of anybody else's.
        scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
        styleSrc: ["'self'"],
        // The editor and the charts set style attributes; style elements stay forbidden.
        styleSrcAttr: ["'unsafe-inline'"],
        imgSrc: ["'self'", 'data:'],
        mediaSrc: ["'self'"],
        fontSrc: ["'self'"],
        connectSrc: ["'self'"],
        workerSrc: ["'self'"],
        manifestSrc: ["'self'"],
        frameSrc: ["'self'"],
        baseUri: ["'none'"],
        formAction: ["'self'"],
        // Our own pages alone: the pocket is in a frame of a window that stays on top.
        frameAncestors: ["'self'"],
      },
    },
    strictTransportSecurity: secure,
    // Nothing comes from elsewhere, so a page may share memory with its own workers.
    crossOriginEmbedderPolicy: { policy: 'require-corp' },
    referrerPolicy: { policy: 'same-origin' },
    xFrameOptions: { action: 'deny' },
  });
}

/** The host of an address, with its port where it is not the usual one; null where it is no address. */
function hostOf(address: string): string | null {
  try {
    return new URL(address).host;
  } catch {
    return null;
  }
}

/** A request of the companion of a browser: with its token, or with the code that it is joined by. */
const isOfCompanion = (request: Request): boolean =>
  request.get('Cookie') === undefined &&
  (request.get('Authorization')?.startsWith('Bearer ') === true ||
    `${request.baseUrl}${request.path}` === ROUTES.joinBrowser.path);

/**
 * Refuses writes that a page of another site makes a browser send. Programs send no Origin and have no cookie to misuse.
 * The pages' own address is the one that was set, where a proxy may not pass on which host was asked; or the host asked.
 */
export function sameOrigin(address: string | null): RequestHandler {
  const set = address === null ? null : hostOf(address);
  return (request, _response, next) => {
    if (request.method === 'GET' || request.method === 'HEAD') return next();
    // A companion is no page: what it sends carries its token or a code, and no cookie.
    if (isOfCompanion(request)) return next();
    const origin = request.get('Origin');
    const site = request.get('Sec-Fetch-Site');
    const own = new Set([set, request.get('Host')]);
    const foreign =
      origin === undefined
        ? site !== undefined && site !== 'same-origin' && site !== 'none'
        : hostOf(origin) === null || !own.has(hostOf(origin));
    next(
      foreign ? new Refusal('wrong-origin', 'Open Elderleaf in its own window and try again.') : undefined,
    );
  };
}

const OF_THIS_COMPUTER = /^(localhost|127\.0\.0\.1|\[::1\])(:\d+)?$/;

/**
 * Where the pages' address is set, refuses requests to another host than that and this computer itself: a name of somebody
 * else's that leads here would make their pages ours.
 */
export function knownHost(address: string | null): RequestHandler {
  const set = address === null ? null : hostOf(address);
  return (request, _response, next) => {
    const host = request.get('Host') ?? '';
    const known = set === null || host === set || OF_THIS_COMPUTER.test(host);
    next(known ? undefined : new Refusal('wrong-origin', `Elderleaf is at ${address}. Open it there.`));
  };
}

/** The last route of the API: an address that means nothing. */
export const nothingHere: RequestHandler = (_request, _response, next) => next(notFound());

interface BodyError extends Error {
  type?: string;
  status?: number;
}

/** Errors of reading the body, in our words; others are our own fault. */
function asRefusal(error: unknown): Refusal | null {
  if (error instanceof Refusal) return error;
  const { type, status } = error as BodyError;
  if (type === 'entity.too.large')
    return new Refusal('too-large', 'At most 4 MB can be sent at once. Nothing was changed.');
  if (type === 'entity.parse.failed')
    return new Refusal('bad-request', 'The file or request is not valid JSON. Nothing was changed.');
  if (status !== undefined && status >= 400 && status < 500)
    return new Refusal('bad-request', 'The request could not be read.');
  return null;
}

/** The codes by which PostgreSQL, the embedded store and the file system say that the disk is full. */
const DISK_FULL = new Set(['53100', 'ENOSPC']);

/** The code of an error and of what it was caused by: a database's stands in the cause. */
function codesOf(error: unknown): string[] {
  if (typeof error !== 'object' || error === null) return [];
  const { code, cause } = error as { code?: unknown; cause?: unknown };
  return [...(typeof code === 'string' ? [code] : []), ...codesOf(cause)];
}

/** Turns whatever was thrown into a problem document; the unexpected is logged, without what was sent. */
export function errorHandler(context: Context): ErrorRequestHandler {
  // Express tells an error handler by its four parameters.
  return (error: unknown, request, response, _next) => {
    const codes = codesOf(error);
    const full = codes.some((code) => DISK_FULL.has(code));
    const refusal = full
      ? new Refusal(
          'disk-full',
          'The disk of the server is full. Nothing was changed; tell whoever runs Elderleaf.',
        )
      : asRefusal(error);
    if (!refusal || full) {
      const { name, stack } = error as Error;
      // The message of a database error may quote the values sent: only its code and where it arose are kept.
      const lines = stack
        ?.split('\n')
        .filter((line) => line.trim().startsWith('at '))
        .slice(0, 6);
      context.log.error(
        { name, codes, method: request.method, route: request.path.split('/').slice(0, 3).join('/'), lines },
        'failed',
      );
    }
    if (response.headersSent) return response.end();
    const problem = (
      refusal ??
      new Refusal(
        'internal',
        'Nothing was changed. Try again; if it happens again, tell whoever runs Elderleaf.',
      )
    ).toProblem();
    response.status(problem.status).type('application/problem+json').send(JSON.stringify(problem));
  };
}
