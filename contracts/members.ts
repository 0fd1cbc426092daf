import { z } from 'zod';

/** The fewest characters that a password may have. */
export const PASSWORD_LENGTH = { min: 10, max: 200 } as const;

/** A member of the team as that member sees themselves. */
export const MemberSchema = z.object({
  id: z.string(),
  name: z.string(),
  role: z.enum(['owner', 'member']),
  job: z.string(),
  // Wording may be signed with these.
  email: z.string(),
  phone: z.string(),
});
export type Member = z.infer<typeof MemberSchema>;

/** How this team begins: whether an owner is needed, and who can be tried in a demo. */
export const BeginningSchema = z.object({
  // True until the first owner has an account.
  ownerNeeded: z.boolean(),
  // In demo mode, and only there: the members anyone may sign in as with one click.
  demoMembers: z.array(MemberSchema).nullable(),
});
export type Beginning = z.infer<typeof BeginningSchema>;

/** An e-mail address, in small letters. */
export const emailSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(200)
  .pipe(z.email('give an email address, such as imke@hollin.example'));

/** Whether one key is pressed again and again, or one beside the other in order. */
function isTooPlain(password: string): boolean {
  const codes = [...password].map((sign) => sign.codePointAt(0)!);
  const steps = new Set(codes.slice(1).map((code, at) => code - codes[at]!));
  return (
    new Set(codes).size < 4 ||
    password.trim() === '' ||
    (steps.size <= 2 && [...steps].every((step) => Math.abs(step) === 1 || step === -9))
  );
}

/** A password that is chosen. */
export const passwordSchema = z
  .string()
  .min(PASSWORD_LENGTH.min, `use at least ${PASSWORD_LENGTH.min} characters`)
  .max(PASSWORD_LENGTH.max, `use at most ${PASSWORD_LENGTH.max} characters`)
  .refine((password) => !isTooPlain(password), 'use something less easy to guess');

/** The first account of a team. */
export const OwnerSchema = z
  .object({
    name: z.string().trim().min(1, 'give your name').max(100),
    email: emailSchema,
    password: passwordSchema,
  })
  .refine(({ email, password }) => password.toLowerCase() !== email, {
    path: ['password'],
    message: 'use something other than your email',
  });

/** What a member signs in with. */
export const SignInSchema = z.object({
  email: emailSchema,
  password: z.string().min(1, 'give your password').max(PASSWORD_LENGTH.max),
});
