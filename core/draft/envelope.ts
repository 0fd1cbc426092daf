import { z } from 'zod';

/** To whom a letter goes and what it is called, as its writer put it; what is left out is as the case says. */
export const EnvelopeSchema = z.object({
  /** Addresses, with commas between them. */
  to: z.string().max(4000).optional(),
  cc: z.string().max(4000).optional(),
  subject: z.string().max(900).optional(),
});
export type Envelope = z.infer<typeof EnvelopeSchema>;
