import { z } from 'zod';

/** Who writes, as far as wording may be signed with it. */
export interface Writer {
  name: string;
  job: string;
  email: string;
  phone: string;
  /** Only what a set of details says: an account has none. */
  address?: string;
}

const text = (most: number) => z.string().max(most).default('');

/**
 * A set of a member's details to sign wording with: another role, another address. What it leaves empty is taken from the
 * member's account.
 */
export const SignatureSchema = z.object({
  id: z.string().min(1).max(60),
  /** What the member calls it. */
  label: z.string().min(1).max(60),
  name: text(100),
  job: text(100),
  email: text(200),
  phone: text(60),
  address: text(300),
  /** The kinds of work that it signs, by their ids. */
  kinds: z.array(z.string().max(40)).max(20),
  /** The collections whose entries it signs, by their ids. */
  collections: z.array(z.string().max(60)).max(100),
});
export type Signature = z.infer<typeof SignatureSchema>;

/** A member has so many sets at the most. */
export const MOST_SIGNATURES = 20;

/** For a case: the member's account signs, whatever collections and kinds of work say. */
export const OWN_ACCOUNT = 'account';

/** What is being signed. */
interface Signed {
  case: string;
  kind: string;
  /** The entry's collection and those around it, the innermost first. */
  collections: readonly string[];
}

/** The sets of a member, and by cases which of them signs there. */
export interface Signing {
  signatures?: readonly Signature[] | undefined;
  signs?: Readonly<Record<string, string>> | undefined;
}

/** The set that signs: what was chosen for the case, else what signs the collection, else the kind of work; null for the account. */
export function signatureFor({ signatures = [], signs = {} }: Signing, of: Signed): Signature | null {
  const chosen = signs[of.case];
  if (chosen === OWN_ACCOUNT) return null;
  const byCase = signatures.find(({ id }) => id === chosen);
  if (byCase) return byCase;
  for (const collection of of.collections) {
    const found = signatures.find(({ collections }) => collections.includes(collection));
    if (found) return found;
  }
  return signatures.find(({ kinds }) => kinds.includes(of.kind)) ?? null;
}

/** Who writes, signed with a set of their details: what it leaves empty is as in the account. */
export function signedWith(account: Omit<Writer, 'address'>, signature: Signature | null): Writer {
  const { name, job, email, phone, address } = signature ?? { ...account, address: '' };
  return {
    name: name.trim() || account.name,
    job: job.trim() || account.job,
    email: email.trim() || account.email,
    phone: phone.trim() || account.phone,
    address: address.trim(),
  };
}
