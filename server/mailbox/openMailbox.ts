import type { Context } from '../context';
import { readMailbox } from './readMailbox';

/** The mailbox is looked into so often. */
const LOOK_MS = 60_000;

/** Looks into a mailbox now and every minute: one look after the other, and one that fails is told in the log and tried again. */
export function openMailbox(context: Context, address: string): void {
  let isLooking = false;
  const look = async () => {
    if (isLooking) return;
    isLooking = true;
    try {
      await readMailbox(context, address);
    } catch (error) {
      const { name, code } = error as Error & { code?: string };
      context.log.error({ name, code }, 'the mailbox could not be read');
    } finally {
      isLooking = false;
    }
  };
  void look();
  setInterval(() => void look(), LOOK_MS).unref();
}
