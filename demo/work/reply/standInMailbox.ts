import path from 'node:path';
import type { Context } from '../../../server/context';
import { demoMessages, takeDemoMessages } from './messages';

/** The stand-in for a mailbox is looked into so often. */
const LOOK_MS = 30_000;

/** Delivers the demo's messages of the hours after its start, as a mailbox would: each once, whenever the server is started again. */
export function openStandInMailbox(context: Context, folder: string): void {
  let seen = context.now();
  const messages = demoMessages(path.join(folder, 'work', 'reply'), seen);
  const look = async () => {
    const now = context.now();
    const from = seen;
    seen = now;
    if ((await takeDemoMessages(context, messages, from, now)) > 0)
      await context.events.tellAll({ type: 'queue-changed' });
  };
  setInterval(
    () =>
      void look().catch((error: unknown) =>
        context.log.error({ name: (error as Error).name }, 'the stand-in mailbox could not be read'),
      ),
    LOOK_MS,
  ).unref();
}
