import fs from 'node:fs';
import path from 'node:path';
import nodemailer from 'nodemailer';
import { z } from 'zod';
import type { Context } from '../../../server/context';
import { takeMessage } from '../../../server/work';

const MessagesFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    address: z.string(),
    subject: z.string(),
    /** Before the demo was loaded; below nought it comes in afterwards. */
    hoursAgo: z.number(),
    text: z.string(),
    /** The message it answers. */
    answers: z.string().optional(),
    /** Files sent along: name and words. */
    along: z.array(z.tuple([z.string(), z.string()])).optional(),
  }),
);

/** A message of the demo, and when it comes in. */
export interface DemoMessage {
  at: Date;
  bytes: () => Promise<Uint8Array>;
}

const idOf = (id: string) => `<${id}@messages.example>`;

/** The made-up messages to the demo's team, the first first: dated so that they are of the last two weeks at `now`. Throws where the file is not right. */
export function demoMessages(folder: string, now: Date): DemoMessage[] {
  const read: unknown = JSON.parse(fs.readFileSync(path.join(folder, 'messages.json'), 'utf8'));
  const transport = nodemailer.createTransport({ streamTransport: true, buffer: true, newline: 'windows' });
  return MessagesFile.parse(read)
    .map(({ id, name, address, subject, hoursAgo, text, answers, along = [] }) => {
      const at = new Date(now.getTime() - hoursAgo * 3_600_000);
      const bytes = async () => {
        const mail = await transport.sendMail({
          from: { name, address },
          to: 'Hollin Marsh <ask@hollin.example>',
          ...{ subject, text, date: at, messageId: idOf(id) },
          ...(answers && { inReplyTo: idOf(answers), references: [idOf(answers)] }),
          attachments: along.map(([filename, content]) => ({ filename, content })),
        });
        return (mail as unknown as { message: Buffer }).message;
      };
      return { at, bytes };
    })
    .sort((a, b) => a.at.getTime() - b.at.getTime());
}

/** Takes in the messages that came between two moments. */
export async function takeDemoMessages(
  context: Context,
  messages: readonly DemoMessage[],
  from: Date,
  to: Date,
): Promise<number> {
  let taken = 0;
  for (const { at, bytes } of messages) {
    if (at < from || at > to) continue;
    // As if it came in just then: what is written of it is of that moment.
    await takeMessage({ ...context, now: () => at }, await bytes(), null);
    taken += 1;
  }
  return taken;
}
