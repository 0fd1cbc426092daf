import { isNotNull } from 'drizzle-orm';
import { type Queries, members } from '../db';

/** Throws where a store is a team's: in a demo anyone signs in as any member without a password. */
export async function mustBeForTheDemo(db: Queries): Promise<void> {
  const [someone] = await db
    .select({ id: members.id })
    .from(members)
    .where(isNotNull(members.passwordHash))
    .limit(1);
  if (someone)
    throw new Error(
      'this store belongs to a team, whose members have passwords; as a demo anyone could sign in as any of them. ' +
        'Start it without ELDERLEAF_DEMO, or set ELDERLEAF_DATA to another folder.',
    );
}
