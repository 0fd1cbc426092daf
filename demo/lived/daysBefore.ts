import type { Context } from '../../server/context';

/** A day, in ms. */
export const DAY_MS = 86_400_000;

/** The context as it was so many days ago: what is done in it is dated so. */
export const daysBefore = (context: Context, days: number): Context => {
  const then = new Date(context.now().getTime() - days * DAY_MS);
  return { ...context, now: () => then };
};
