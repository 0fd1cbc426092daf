import { wrap, type Remote } from 'comlink';
import type { OfferService } from '../workers/offers.worker';

let service: Remote<OfferService> | null = null;

/** The worker that offers: one for the page, so that its indexes stay from leaf to leaf. */
export function offerService(): Remote<OfferService> {
  service ??= wrap<OfferService>(
    new Worker(new URL('../workers/offers.worker.ts', import.meta.url), { type: 'module' }),
  );
  return service;
}
