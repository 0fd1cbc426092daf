import type { Request, Router } from 'express';
import { MOST_MESSAGE_BYTES } from '#contracts';
import { summaryOf } from '../../cases';
import type { Context } from '../../context';
import { bind, Refusal } from '../../http';
import { changeEnquiry } from './changeEnquiry';
import { earlierEnquiries, likeEnquiries } from './earlierEnquiries';
import { enquiryFor, queueFor } from './queue';
import { takeMessage } from './takeMessage';

/** The bytes of a message as they come. Throws a `too-large` Refusal once there are more than a message may have. */
async function bytesOf(request: Request): Promise<Uint8Array> {
  const pieces: Buffer[] = [];
  let length = 0;
  for await (const piece of request as AsyncIterable<Buffer>) {
    length += piece.length;
    if (length > MOST_MESSAGE_BYTES)
      throw new Refusal(
        'too-large',
        `A message may have ${MOST_MESSAGE_BYTES / 1_000_000} MB at the most. It was not saved.`,
      );
    pieces.push(piece);
  }
  return Buffer.concat(pieces);
}

/** Messages that come in, and the queue of those who answer them. */
export function replyRoutes(router: Router, context: Context): void {
  const { db, events } = context;

  bind(router, context, 'takeMessage', async ({ member, request }) => {
    const { case: of, came, remarks } = await takeMessage(context, await bytesOf(request), member.id);
    if (came !== 'known') await events.tellAll({ type: 'queue-changed' });
    const enquiry = await enquiryFor(db, member.id, of);
    // Nobody had it yet: whoever brings it answers it.
    if (enquiry && !enquiry.isMine && enquiry.takenBy === null)
      await changeEnquiry(context, member, of, { do: 'take' });
    else if (enquiry && !enquiry.isMine)
      return { case: null, came, remarks: [...remarks, `${enquiry.takenByName} answers it.`] };
    await events.tell(member.id, { type: 'case-added', case: of });
    await events.tell(member.id, { type: 'case-changed', case: of });
    return { case: await summaryOf(db, member.id, of), came, remarks };
  });

  bind(router, context, 'queue', ({ member }) => queueFor(context, member.id));

  bind(router, context, 'likeEnquiries', ({ member, params }) => likeEnquiries(db, member.id, params.case));
  bind(router, context, 'earlierEnquiries', ({ member, params }) =>
    earlierEnquiries(db, member.id, params.case),
  );

  bind(router, context, 'changeEnquiry', ({ member, params, body }) =>
    changeEnquiry(context, member, params.case, body),
  );
}
