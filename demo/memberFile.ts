import { z } from 'zod';

/** The members of a file of the demo. */
export const MemberFile = z.array(
  z.object({
    id: z.string(),
    name: z.string(),
    email: z.email(),
    job: z.string(),
    phone: z.string(),
    role: z.enum(['owner', 'member']),
  }),
);
