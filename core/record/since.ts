import { z } from 'zod';
import { CalendarDateSchema } from '#core/calendar';

/** A moment: as an instant (ISO 8601, UTC), and as a record tells moments, by its day and the minute of that day (0 to 1439). */
export const SinceSchema = z.object({
  at: z.iso.datetime(),
  day: CalendarDateSchema,
  minute: z.number().int().min(0).max(1439),
});
export type Since = z.infer<typeof SinceSchema>;
