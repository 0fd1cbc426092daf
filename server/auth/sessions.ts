import { createHash, randomBytes } from 'node:crypto';
import { parse } from 'cookie';
import { and, eq, gt, inArray, isNull, lt, sql } from 'drizzle-orm';
import type { Request, Response } from 'express';
import type { Member, Route } from '#contracts';
import type { Context } from '../context';
import { askedTogether, prepared, members, sessions, type Queries } from '../db';

const COOKIE = 'elderleaf_session';
const DAYS = 14;
/** A companion that has not been used for so long must be joined anew. */
const COMPANION_DAYS = 90;
const DAY_MS = 86_400_000;
/** When a session was last used is written down no more often than this. */
const SEEN_MS = 600_000;
const BROWSER_LENGTH = 300;

/** What a secret is known by in the store. */
export const hashOf = (token: string) => createHash('sha256').update(token).digest('hex');
/** What the session of a request is known by; '' where it carries none. */
export const sessionOf = (request: Request) => {
  const token = tokenIn(request);
  return token ? hashOf(token) : '';
};

/** The token that the companion of a browser sends; no page can be made to. */
const companionToken = (request: Request) =>
  /^Bearer ([\w-]{1,100})$/.exec(request.get('Authorization') ?? '')?.[1];

const tokenIn = (request: Request) => companionToken(request) ?? parse(request.get('Cookie') ?? '')[COOKIE];

const cookieOptions = (context: Context) =>
  ({ httpOnly: true, sameSite: 'lax', path: '/', secure: context.settings.secureCookies }) as const;

/** The columns of a member that others may see. */
export const memberColumns = {
  id: members.id,
  name: members.name,
  role: members.role,
  job: members.job,
  email: members.email,
  phone: members.phone,
};

/** Begins a session for a member and sends its cookie: always a fresh token, so that none can be planted. */
export async function beginSession(
  context: Context,
  request: Request,
  response: Response,
  member: string,
): Promise<void> {
  const token = randomBytes(32).toString('base64url');
  const now = context.now();
  await endSession(context, request);
  await context.db.delete(sessions).where(lt(sessions.endsAt, now));
  const endsAt = new Date(now.getTime() + DAYS * DAY_MS);
  const browser = (request.get('User-Agent') ?? '').slice(0, BROWSER_LENGTH);
  await context.db
    .insert(sessions)
    .values({ tokenHash: hashOf(token), member, createdAt: now, seenAt: now, endsAt, browser });
  response.cookie(COOKIE, token, { ...cookieOptions(context), maxAge: DAYS * DAY_MS });
}

/** Gives the companion of a browser a token of its own; it ends when it has not been used for as long as `COMPANION_DAYS`. */
export async function beginCompanion(
  context: Context,
  tx: Queries,
  request: Request,
  { member, name }: { member: string; name: string },
): Promise<string> {
  const token = randomBytes(32).toString('base64url');
  const now = context.now();
  const endsAt = new Date(now.getTime() + COMPANION_DAYS * DAY_MS);
  const browser = (request.get('User-Agent') ?? '').slice(0, BROWSER_LENGTH);
  const times = { createdAt: now, seenAt: now, endsAt };
  await tx
    .insert(sessions)
    .values({ tokenHash: hashOf(token), member, ...times, browser, scope: 'companion', name });
  return token;
}

/** Ends the session the request belongs to, if any, and its streams of events. */
export async function endSession(context: Context, request: Request): Promise<void> {
  const token = tokenIn(request);
  if (!token) return;
  const ended = await context.db
    .delete(sessions)
    .where(eq(sessions.tokenHash, hashOf(token)))
    .returning({ member: sessions.member, session: sessions.tokenHash });
  for (const { member, session } of ended) await context.events.sessionEnded(member, session);
}

/** Those of some sessions that have not ended or run out. */
export async function openAmong(context: Context, wanted: readonly string[]): Promise<Set<string>> {
  if (wanted.length === 0) return new Set();
  const rows = await context.db
    .select({ session: sessions.tokenHash })
    .from(sessions)
    .where(and(inArray(sessions.tokenHash, [...wanted]), gt(sessions.endsAt, context.now())));
  return new Set(rows.map(({ session }) => session));
}

/** Takes the session's cookie away from the browser. */
export function clearCookie(context: Context, response: Response): void {
  response.clearCookie(COOKIE, cookieOptions(context));
}

/** Sessions by their `hashes` (JSON), of members who are there. */
const sessionsBy = prepared((db) =>
  db
    .select({
      ...{ hash: sessions.tokenHash, member: memberColumns, scope: sessions.scope },
      ...{ seenAt: sessions.seenAt, endsAt: sessions.endsAt },
    })
    .from(sessions)
    .innerJoin(members, eq(members.id, sessions.member))
    .where(
      and(
        sql`${sessions.tokenHash} in (select jsonb_array_elements_text(${sql.placeholder('hashes')}::jsonb))`,
        isNull(members.leftAt),
      ),
    )
    .prepare('sessions_by'),
);

/** The session that is known by a hash; undefined where there is none. */
const sessionBy = askedTogether(async (db, hashes: readonly string[]) => {
  const found = await sessionsBy(db).execute({ hashes: JSON.stringify(hashes) });
  const byHash = new Map(found.map((one) => [one.hash, one]));
  return hashes.map((hash) => byHash.get(hash));
});

/**
 * The member whose session the request carries, or null when there is none or it has run out. The token of a companion counts
 * for the routes alone that are for it; sent as a cookie it counts for none.
 */
export async function memberOf(
  context: Context,
  request: Request,
  { forCompanion = false }: Pick<Route, 'forCompanion'>,
): Promise<Member | null> {
  const token = tokenIn(request);
  if (!token) return null;
  const tokenHash = hashOf(token);
  const now = context.now();
  const found = await sessionBy(context.db, tokenHash);
  const scope = companionToken(request) === undefined ? 'whole' : 'companion';
  if (!found || found.endsAt <= now || found.scope !== scope || (scope === 'companion' && !forCompanion))
    return null;
  if (now.getTime() - found.seenAt.getTime() > SEEN_MS)
    await context.db
      .update(sessions)
      .set({
        seenAt: now,
        ...(scope === 'companion' && { endsAt: new Date(now.getTime() + COMPANION_DAYS * DAY_MS) }),
      })
      .where(eq(sessions.tokenHash, tokenHash));
  return found.member;
}
