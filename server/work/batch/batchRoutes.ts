import type { Router } from 'express';
import type { Context } from '../../context';
import { bind } from '../../http';
import { addRows, changeRows, keepSetup, keptLetter, readBatch } from './batches';
import { lettersAsMessages, sendLetters, stopLetters } from './sendLetters';

/** A table whose rows become letters: brought in, decided, changed, sent. */
export function batchRoutes(router: Router, context: Context): void {
  bind(router, context, 'batch', ({ member, params }) => readBatch(context, member.id, params.case));
  bind(router, context, 'keepBatch', ({ member, params, version, body }) =>
    keepSetup(context, member.id, params.case, version, body.setup),
  );
  bind(router, context, 'addBatchRows', ({ member, params, body }) =>
    addRows(context, member.id, params.case, body.rows),
  );
  bind(router, context, 'changeBatchRows', ({ member, params, body }) =>
    changeRows(context, member.id, params.case, body.changes),
  );
  bind(router, context, 'batchLetter', ({ member, params }) =>
    keptLetter(context.db, member.id, params.case, params.row),
  );
  bind(router, context, 'sendBatchLetters', ({ member, params, body }) =>
    sendLetters(context, member, params.case, body),
  );
  bind(router, context, 'stopBatch', ({ member, params }) => stopLetters(context, member.id, params.case));
  bind(router, context, 'batchMessages', ({ member, params, body }) =>
    lettersAsMessages(context, member, params.case, body),
  );
}
