import { and, desc, eq, inArray, isNull, or, sql } from 'drizzle-orm';
import { alias } from 'drizzle-orm/pg-core';
import type { Router } from 'express';
import type { Member, Proposal } from '#contracts';
import { cutTo } from '#core/language';
import type { Context } from '../context';
import { type Queries, drafts, entries, members, proposals } from '../db';
import { bind, notFound, Refusal } from '../http';
import { announceEntry } from './announceEntry';
import { heldOpen, mustBeOpen, propose, tellOfProposal, withdraw } from './proposing';
import { rightsFor } from './rights';
import { updateEntry } from './saveEntry';

/** So many of one's own are shown, newest first. */
const OWN_SHOWN = 100;
const REASON_LENGTH = 300;

const proposer = alias(members, 'proposer');
const answerer = alias(members, 'answerer');

const joined = (db: Queries) =>
  db
    .select({
      proposal: proposals,
      collection: entries.collection,
      deletion: entries.deletion,
      proposedBy: proposer.name,
      answeredBy: answerer.name,
    })
    .from(proposals)
    .innerJoin(entries, eq(entries.id, proposals.entry))
    .innerJoin(proposer, eq(proposer.id, proposals.proposedBy))
    .leftJoin(answerer, eq(answerer.id, proposals.answeredBy));

type Row = Awaited<ReturnType<typeof joined>>[number];

/** How many unfinished drafts hold each of some entries. */
async function draftsHolding(db: Queries, ids: readonly string[]): Promise<Map<string, number>> {
  if (ids.length === 0) return new Map();
  const held = sql<string>`placed.value ->> 'entry'`;
  const rows = await db
    .select({ entry: held, count: sql<number>`count(distinct ${drafts.id})::int` })
    .from(drafts)
    .innerJoin(sql`jsonb_each(${drafts.document} -> 'attrs' -> 'placements') as placed`, sql`true`)
    .where(and(eq(drafts.state, 'open'), isNull(drafts.deletion), inArray(held, [...ids])))
    .groupBy(held);
  return new Map(rows.map(({ entry, count }) => [entry, count]));
}

async function asSeen(db: Queries, member: string, rows: readonly Row[]): Promise<Proposal[]> {
  const rights = await rightsFor(db, member);
  // Without a right on its collection an entry does not exist, nor what was proposed for it.
  const seen = rows.filter(({ collection }) => rights.has(collection));
  const mayAnswerTo = ({ proposal, collection, deletion }: Row) =>
    proposal.state === 'open' && deletion === null && rights.get(collection) === 'keep';
  const kept = seen.filter(mayAnswerTo);
  const held = await draftsHolding(
    db,
    kept.map(({ proposal }) => proposal.entry),
  );
  return seen.map((row) => {
    const { proposal, proposedBy, answeredBy, deletion } = row;
    const { proposedAt, ...rest } = proposal;
    const mayAnswer = mayAnswerTo(row);
    return {
      ...rest,
      proposedAt: proposedAt.toISOString(),
      proposedBy,
      answeredBy,
      own: rest.proposedBy === member,
      mayAnswer,
      drafts: mayAnswer ? (held.get(rest.entry) ?? 0) : null,
      deleted: deletion !== null,
    };
  });
}

async function oneSeen(db: Queries, member: string, id: string): Promise<Proposal> {
  const rows = await joined(db).where(and(eq(proposals.id, id), isNull(entries.deletion)));
  const [found] = await asSeen(db, member, rows);
  if (!found) throw notFound();
  return found;
}

/** Open proposals that a member may answer, and their own: of those that were answered, the last ones. */
async function proposalsFor(db: Queries, member: string): Promise<Proposal[]> {
  const rights = await rightsFor(db, member);
  const kept = [...rights].flatMap(([id, right]) => (right === 'keep' ? [id] : []));
  const isToAnswer = and(
    eq(proposals.state, 'open'),
    isNull(entries.deletion),
    kept.length > 0 ? inArray(entries.collection, kept) : sql`false`,
  );
  const rows = await joined(db)
    .where(or(eq(proposals.proposedBy, member), isToAnswer))
    .orderBy(desc(proposals.proposedAt), desc(proposals.id));
  let own = 0;
  const shown = rows.filter(({ proposal: { proposedBy, state } }) => {
    if (proposedBy !== member || state === 'open') return true;
    own += 1;
    return own <= OWN_SHOWN;
  });
  return asSeen(db, member, shown);
}

/** Proposals: made by those who may not change an entry, answered by those who may. */
export function proposalRoutes(router: Router, context: Context): void {
  const { db } = context;

  const tell = (entry: string, by: string) => tellOfProposal(context, entry, by);

  bind(router, context, 'proposals', ({ member }) => proposalsFor(db, member.id));

  bind(router, context, 'propose', async ({ member, params, body }) => {
    const id = await db.transaction((tx) => propose(context, tx, member.id, params.entry, body));
    await tell(params.entry, member.id);
    return oneSeen(db, member.id, id);
  });

  /** Accepts: the entry and the answer are saved together, or neither is. */
  const accept = async (
    member: Member,
    seen: Proposal,
    accepted: { content: Proposal['content']; revision: number },
    answer: string,
  ) => {
    const reason = cutTo(`${seen.proposedBy} proposed: ${seen.reason}`, REASON_LENGTH);
    const saving = { context, member: member.id, content: accepted.content, reason };
    const entry = await updateEntry(saving, seen.entry, accepted.revision, async (tx) => {
      mustBeOpen((await heldOpen(tx, seen.id)).state);
      await tx
        .update(proposals)
        .set({ state: 'accepted', answer, answeredBy: member.id })
        .where(eq(proposals.id, seen.id));
    });
    await announceEntry(context, member, entry);
    return entry;
  };

  bind(router, context, 'answerProposal', async ({ member, params, body }) => {
    const seen = await oneSeen(db, member.id, params.proposal);
    mustBeOpen(seen.state);
    if (!seen.mayAnswer)
      throw new Refusal('not-allowed', 'Only the keepers of the entry answer what is proposed for it.');
    const entry = body.accept ? await accept(member, seen, body.accept, body.answer) : null;
    if (!body.accept) {
      await db.transaction(async (tx) => {
        mustBeOpen((await heldOpen(tx, seen.id)).state);
        await tx
          .update(proposals)
          .set({ state: 'declined', answer: body.answer, answeredBy: member.id })
          .where(eq(proposals.id, seen.id));
      });
    }
    const [row] = await db.select().from(proposals).where(eq(proposals.id, seen.id));
    await tell(seen.entry, row!.proposedBy);
    return { proposal: await oneSeen(db, member.id, seen.id), entry };
  });

  bind(router, context, 'withdrawProposal', async ({ member, params }) => {
    const { entry } = await oneSeen(db, member.id, params.proposal);
    await db.transaction((tx) => withdraw(tx, member.id, params.proposal));
    await tell(entry, member.id);
    return undefined;
  });
}
