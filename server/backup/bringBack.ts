import type { BringingBack, BroughtBack, Member } from '#contracts';
import { announceChanges, holdTree, tellingClashes, writeMissingWords } from '../bank';
import { tellOfCase } from '../cases';
import type { Context } from '../context';
import { notFound } from '../http';
import { bringBackCase } from './bringBackCase';
import { bringBackCollection, type BringBack } from './bringBackCollection';
import { comparable } from './compareBackup';
import type { Past } from './openPast';

const dayOf = new Intl.DateTimeFormat('en-GB', { dateStyle: 'long', timeZone: 'UTC' });

/**
 * Brings collections and cases back to what they were in a backup: all that is asked for, or nothing. Throws a Refusal where one is not the
 * member's to bring back.
 */
export async function bringBack(
  context: Context,
  past: Past,
  member: Member,
  { collections, cases }: BringingBack,
): Promise<BroughtBack> {
  const staging = { backup: past.backup, drop: [] as (() => Promise<void>)[] };
  const reason = `As in the backup of ${dayOf.format(new Date(past.backup.manifest.madeAt))}`;
  try {
    const walk = await tellingClashes(() =>
      context.db.transaction(async (tx) => {
        await holdTree(tx);
        const undo = { reverts: [], back: [], deletions: [] };
        const came: BroughtBack = { entries: 0, lostCues: [], drafts: 0, files: 0, undo };
        const fresh = { came, touched: new Set<string>(), isTreeChanged: false };
        const walk: BringBack = { ...fresh, context, tx, past: past.db, member, staging, reason };
        const wanted = new Map(collections.map((one) => [one.id, one]));
        // What is around a collection comes before it.
        const places = (await comparable(tx, past.db, member.id)).filter(({ id }) => wanted.has(id));
        if (places.length < wanted.size) throw notFound();
        for (const place of places) await bringBackCollection(walk, place, wanted.get(place.id)!.withSince);
        for (const id of new Set(cases)) await bringBackCase(walk, id);
        return walk;
      }),
    );
    // Those of many entries were left for now.
    await writeMissingWords(context.db);
    if (walk.isTreeChanged) await context.events.reachChanged();
    await announceChanges(
      context,
      [...walk.touched].map((collection) => ({ collection })),
    );
    for (const id of new Set(cases)) await tellOfCase(context, id);
    return walk.came;
  } finally {
    for (const drop of staging.drop) await drop();
  }
}
