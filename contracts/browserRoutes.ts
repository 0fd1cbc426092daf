import { z } from 'zod';
import { SignatureSchema } from '#core/signing';
import { MemberSchema } from './members';
import { PageCardSchema } from './pageCards';
import { define } from './route';

const instant = z.iso.datetime();

/** A code joins a browser for so many minutes, once. */
export const BROWSER_CODE_MINUTES = 10;
/** The letters of a code: none that is taken for another one. */
export const BROWSER_CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789';
/** So many letters has a code: too many to be found by trying. */
export const BROWSER_CODE_LENGTH = 10;
/** The team names so many pages at most that the companion leaves alone. */
export const MOST_LEFT_ALONE = 500;

const name = z.string().trim().min(1, 'give the browser a name').max(60);

/** A page that is left alone, as a host: `bank.example`, or `*.bank.example` for all within it. */
export const LeftAloneSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(253)
  .regex(/^(\*\.)?[a-z0-9-]+(\.[a-z0-9-]+)*(:\d{1,5})?$/, 'a page is named as in bank.example or *.example');

/** A code as it is typed: spaces and dashes are for the eye, small letters are meant as capitals. */
const TypedCodeSchema = z
  .string()
  .max(40)
  .transform((typed) => typed.replace(/[\s-]/g, '').toUpperCase())
  .pipe(z.string().length(BROWSER_CODE_LENGTH, `a code has ${BROWSER_CODE_LENGTH} letters and figures`));

/** What the companion in a browser works with besides the bank: who writes, and what is in reach for them. */
const CompanionSchema = z.object({
  member: MemberSchema,
  /** What the member switched in and out where no case is. */
  reach: z.object({ in: z.array(z.string()), out: z.array(z.string()) }).nullable(),
  signatures: z.array(SignatureSchema),
  /** Pages that the team's owners say are never looked at. */
  leftAlone: z.array(z.string()),
  /** Where details of cases stand on pages of others. */
  pageCards: z.array(PageCardSchema),
});
export type CompanionBeginning = z.infer<typeof CompanionSchema>;

/** Browsers in which the companion brings the bank into other pages: joined by a code, each with a token of its own. */
export const BROWSER_ROUTES = define({
  makeBrowserCode: {
    method: 'post',
    path: '/api/own/browsers',
    access: 'member',
    summary:
      'Makes a code that joins one browser to the member, for some minutes; earlier codes of theirs end.',
    status: 201,
    response: z.object({ code: z.string(), endsAt: instant }),
  },
  joinBrowser: {
    method: 'post',
    path: '/api/browsers',
    access: 'anyone',
    summary:
      'Gives the companion of a browser a token, for a code: it reads the bank and counts uses, nothing else.',
    status: 201,
    body: z.object({ code: TypedCodeSchema, name }),
    response: z.object({ token: z.string(), member: z.string() }),
  },
  companion: {
    method: 'get',
    path: '/api/browsers/this',
    access: 'member',
    forCompanion: true,
    summary:
      'What the companion works with besides the bank: who writes, what is in reach, which pages it leaves alone.',
    status: 200,
    response: CompanionSchema,
  },
  leaveBrowser: {
    method: 'delete',
    path: '/api/browsers/this',
    access: 'member',
    forCompanion: true,
    summary: "Ends the companion's own token.",
    status: 204,
  },
  nameSession: {
    method: 'put',
    path: '/api/own/sessions/:session',
    access: 'member',
    summary: 'Names a browser that was joined.',
    status: 204,
    body: z.object({ name }),
  },
});
