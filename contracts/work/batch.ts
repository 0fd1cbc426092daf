import { z } from 'zod';
import { BatchSetupSchema, TABLE_LIMITS } from '#core/batch';
import { DraftDocumentSchema } from '#core/draft';
import { SendingStateSchema } from '#core/sending';
import { storedDay } from '../limits';
import { define } from '../route';
import { MOST_SENDING_WAIT } from '../sendings';

/** So many rows are sent, changed or told of in one request. */
export const MOST_ROWS_AT_ONCE = 500;
/** So many letters are handed over in one request: each is a whole text. */
export const MOST_LETTERS_AT_ONCE = 50;
const MOST_LETTERS_BYTES = 16 * 1024 * 1024;

/** How letters go out other than by mail. */
export const WAYS_OUT = ['docx', 'html', 'text', 'pdf', 'print', 'eml'] as const;
export type WayOut = (typeof WAYS_OUT)[number];

const cells = z.array(z.string().max(TABLE_LIMITS.cell)).max(TABLE_LIMITS.columns);

const ChangedLetterSchema = z.object({ document: DraftDocumentSchema, base: DraftDocumentSchema });

/** A row of a batch, and what was decided and done about its letter. */
const BatchRowSchema = z.object({
  id: z.string(),
  position: z.number().int(),
  version: z.number().int(),
  cells,
  // The case of the enquiry that its letter answers; null for none.
  enquiry: z.string().nullable(),
  // The file of the case that the row is, where it is a document.
  file: z.string().nullable(),
  // Decided by hand.
  entry: z.string().nullable(),
  isHeld: z.boolean(),
  checked: z.string().nullable(),
  // The letter as it was changed by hand, with what it was changed from.
  byHand: ChangedLetterSchema.nullable(),
  gone: z.enum(WAYS_OUT).nullable(),
  goneAt: z.iso.datetime().nullable(),
  // By mail: the letter of its that was not taken back.
  sending: z
    .object({ id: z.string(), state: SendingStateSchema, reason: z.string(), at: z.iso.datetime() })
    .nullable(),
});
export type BatchRow = z.infer<typeof BatchRowSchema>;

/** A batch with its rows; of version 0 as long as there is none. */
const BatchSchema = z.object({
  version: z.number().int(),
  setup: BatchSetupSchema.nullable(),
  rows: z.array(BatchRowSchema),
  // Whether letters go out by a mail server, or into the outbox.
  byServer: z.boolean(),
});
export type Batch = z.infer<typeof BatchSchema>;

/** What is changed about a row. With `version` it is refused where somebody changed the row meanwhile. */
const RowChangeSchema = z.object({
  row: z.string().min(1).max(60),
  version: z.int32().min(1).optional(),
  cells: cells.optional(),
  entry: z.string().min(1).max(60).nullable().optional(),
  isHeld: z.boolean().optional(),
  checked: z.string().min(1).max(40).nullable().optional(),
  byHand: ChangedLetterSchema.nullable().optional(),
  // It went out so: with the letter as it was. Null: it has not gone after all.
  gone: z
    .object({ way: z.enum(WAYS_OUT), document: DraftDocumentSchema })
    .nullable()
    .optional(),
  // It is taken out of the batch, for good.
  drop: z.literal(true).optional(),
});
export type RowChange = z.infer<typeof RowChangeSchema>;

const LetterSchema = z.object({ row: z.string().min(1).max(60), document: DraftDocumentSchema });

/** What keeps a letter of a batch from going. */
const LetterFaultSchema = z.object({
  row: z.string(),
  // Doubts go away where its writer has looked at them.
  isDoubt: z.boolean(),
  words: z.array(z.string()),
});
export type LetterFault = z.infer<typeof LetterFaultSchema>;

/** Routes of batches. */
export const BATCH_ROUTES = define({
  batch: {
    method: 'get',
    path: '/api/cases/:case/batch',
    access: 'given',
    atHand: 'case',
    summary: 'The table of a batch, how its rows become letters, and where each letter is.',
    status: 200,
    response: BatchSchema,
  },
  keepBatch: {
    method: 'put',
    path: '/api/cases/:case/batch',
    access: 'given',
    summary: 'Keeps how the rows of a batch become letters. The first time it is of version 0.',
    status: 200,
    guarded: true,
    body: z.object({ setup: BatchSetupSchema }),
    response: z.object({ version: z.number().int() }),
  },
  addBatchRows: {
    method: 'post',
    path: '/api/cases/:case/batch/rows',
    access: 'given',
    summary: 'Adds rows to a batch, behind those it has. A row that is there already stays as it is.',
    status: 200,
    body: z.object({
      rows: z
        .array(
          z.object({
            id: z.uuid(),
            cells,
            // The case of an enquiry that the letter of the row answers.
            enquiry: z.string().min(1).max(60).nullable().default(null),
            // The file of the batch's case that the row is.
            file: z.string().min(1).max(60).nullable().default(null),
          }),
        )
        .min(1)
        .max(MOST_ROWS_AT_ONCE),
    }),
    response: z.object({ rows: z.number().int() }),
  },
  changeBatchRows: {
    method: 'post',
    path: '/api/cases/:case/batch/rows/changes',
    access: 'given',
    summary:
      'Changes rows of a batch: cells, what was decided, held back, checked, written by hand or taken away. All or none.',
    status: 200,
    mostBytes: MOST_LETTERS_BYTES,
    body: z.object({ changes: z.array(RowChangeSchema).min(1).max(MOST_ROWS_AT_ONCE) }),
    response: z.object({ rows: z.array(BatchRowSchema) }),
  },
  batchLetter: {
    method: 'get',
    path: '/api/cases/:case/batch/rows/:row',
    access: 'given',
    summary: 'The letter of a row as it went out.',
    status: 200,
    response: z.object({ document: DraftDocumentSchema.nullable() }),
  },
  sendBatchLetters: {
    method: 'post',
    path: '/api/cases/:case/batch/sendings',
    access: 'given',
    summary:
      'Has letters of a batch sent, one behind the other. Those with a gap, without an address, sent already or doubtful are told, and stay.',
    status: 200,
    mostBytes: MOST_LETTERS_BYTES,
    body: z.object({
      letters: z.array(LetterSchema).min(1).max(MOST_LETTERS_AT_ONCE),
      // Seconds till the first goes, in which all can be stopped.
      wait: z.number().int().min(0).max(MOST_SENDING_WAIT),
      // Rows whose doubts their writer has looked at.
      sure: z.array(z.string().max(60)).max(MOST_LETTERS_AT_ONCE),
      today: storedDay,
    }),
    response: z.object({ sent: z.array(z.string()), faults: z.array(LetterFaultSchema) }),
  },
  stopBatch: {
    method: 'post',
    path: '/api/cases/:case/batch/stop',
    access: 'given',
    summary: 'Takes back all letters of a batch that wait to go.',
    status: 200,
    response: z.object({ stopped: z.number().int() }),
  },
  batchMessages: {
    method: 'post',
    path: '/api/cases/:case/batch/messages',
    access: 'given',
    summary: 'Letters of a batch as messages of RFC 5322. Nothing is sent.',
    status: 200,
    mostBytes: MOST_LETTERS_BYTES,
    body: z.object({
      letters: z.array(LetterSchema).min(1).max(MOST_LETTERS_AT_ONCE),
      today: storedDay,
    }),
    response: z.object({
      messages: z.array(z.object({ row: z.string(), message: z.string() })),
      faults: z.array(LetterFaultSchema),
    }),
  },
});
