import { z } from 'zod';
import { emailSchema, MemberSchema, passwordSchema } from './members';

const instant = z.iso.datetime();
const id = z.string().min(1).max(60);
const role = MemberSchema.shape.role;
const name = z.string().trim().min(1, 'give a name').max(100);
/** The secret in a letter's link. */
const token = z.string().min(20, 'the link is incomplete').max(100);

/** A member as owners and others see them. */
export const PersonSchema = MemberSchema.extend({
  joinedAt: instant,
  leftAt: instant.nullable(),
  /** How many collections are kept by this person, by name. */
  keeps: z.number().int(),
});
export type Person = z.infer<typeof PersonSchema>;

/** Somebody who was invited and has not come yet. */
export const InvitationSchema = z.object({
  id: z.string(),
  name: z.string(),
  email: z.string(),
  role,
  groups: z.array(z.string()),
  sentBy: z.string().nullable(),
  sentAt: instant,
  endsAt: instant,
});
export type Invitation = z.infer<typeof InvitationSchema>;

/** The team, who is invited, and how letters go out. */
export const PeopleSchema = z.object({
  members: z.array(PersonSchema),
  invitations: z.array(InvitationSchema),
  /** Whether letters go out by e-mail; else they wait in the post room. */
  byEmail: z.boolean(),
});

/** Somebody who is to be invited. */
export const NewInvitationSchema = z.object({
  name,
  email: emailSchema,
  role,
  groups: z.array(id).max(100),
});

/** The secret of a letter, as its link carries it. */
export const TokenSchema = z.object({ token });
/** What a letter's link is for, told to who holds it. */
export const LetterSchema = z.object({
  purpose: z.enum(['invitation', 'password']),
  name: z.string(),
  email: z.string(),
});
/** What somebody joins with: the secret of their letter, a name and a password. */
export const JoiningSchema = z.object({ token, name, password: passwordSchema });
/** The secret of a letter, and the password that is chosen with it. */
export const NewPasswordSchema = z.object({ token, password: passwordSchema });
/** Whose password was forgotten, by e-mail address. */
export const AskedPasswordSchema = z.object({ email: emailSchema });
/** The password there is, and the one that is to be. */
export const ChangedPasswordSchema = z.object({
  old: z.string().min(1, 'give the password you have').max(200),
  password: passwordSchema,
});

/** The role a member is given. */
export const RoleSchema = z.object({ role });
/** Who takes over what somebody keeps. */
export const HandOverSchema = z.object({ to: id });
/** Who takes over what someone keeps who leaves; null for nobody. */
export const LeavingSchema = z.object({ handTo: id.nullable() });

/** The details that sign wording: name, job, e-mail and telephone. */
export const OwnDetailsSchema = z.object({
  name,
  job: z.string().trim().max(100),
  phone: z.string().trim().max(60),
});
export type OwnDetails = z.infer<typeof OwnDetailsSchema>;

/** Where a member is signed in. */
export const SessionSchema = z.object({
  id: z.string(),
  startedAt: instant,
  seenAt: instant,
  browser: z.string(),
  /** Whether it is the companion of a browser, which reads the bank alone, and what the member calls it. */
  companion: z.boolean(),
  name: z.string(),
  current: z.boolean(),
});

/** A group that is made or changed: its name and its members. */
export const GroupGivenSchema = z.object({
  name: z.string().trim().min(1, 'a group needs a name').max(80),
  members: z.array(id).max(1000),
});

/** A letter as the post room lists it. */
export const PostSchema = z.object({
  id: z.string(),
  to: z.string(),
  subject: z.string(),
  /** Null where the link lets its holder be a member: reading it is an act of its own, told in the trail. */
  text: z.string().nullable(),
  sentAt: instant,
});
export type Post = z.infer<typeof PostSchema>;

/** The words of a letter, told once. */
export const ReadPostSchema = z.object({ text: z.string() });
