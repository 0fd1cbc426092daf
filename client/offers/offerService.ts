import { wrap, type Remote } from 'comlink';
import type { OffersAnswer, OffersAsked } from '#core/glossary';
import type { OfferService } from './offers.worker';
import { AnswerBoard } from './answerBoard';

let service: Remote<OfferService> | null = null;
let board: AnswerBoard | null = null;
let asked = 0;

/** The worker that offers: one for the page, so that its indexes stay from leaf to leaf. */
export function offerService(): Remote<OfferService> {
  if (!service) {
    service = wrap<OfferService>(
      new Worker(new URL('./offers.worker.ts', import.meta.url), { type: 'module' }),
    );
    board = AnswerBoard.make();
    if (board) void service.setBoard(board.memory);
  }
  return service;
}

/** Asks what may be offered. The answer comes while the next frame is drawn, or by message where it takes longer. */
export function askOffers(question: OffersAsked): Promise<OffersAnswer> {
  const number = ++asked;
  const byMessage = offerService().ask(question, number);
  const laidOn = board;
  if (!laidOn) return byMessage;
  return new Promise((resolve, reject) => {
    byMessage.then(resolve, reject);
    requestAnimationFrame(() => {
      const answer = laidOn.read(number);
      if (answer) resolve(answer);
    });
  });
}
