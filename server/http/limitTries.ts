import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { Refusal } from './refusal';

const WINDOW_MINUTES = 5;
const TRIES = 10;

/**
 * Stops an address that tries again and again for some minutes: wrong tries are counted, or all. Behind a proxy the address is
 * what the proxy says, where `ELDERLEAF_PROXIES` says how many there are.
 */
export function limitTries(skipSuccessfulRequests = true): RequestHandler {
  return rateLimit({
    windowMs: WINDOW_MINUTES * 60_000,
    limit: TRIES,
    skipSuccessfulRequests,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    handler: (_request, _response, next) =>
      next(
        new Refusal(
          'too-many',
          `After ${TRIES} tries there is a pause: try again in ${WINDOW_MINUTES} minutes.`,
        ),
      ),
  });
}
