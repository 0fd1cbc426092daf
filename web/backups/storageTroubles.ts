import type { Backup, Room } from '#contracts';
import { bytesInWords } from '#core/language';

/** Below this part of a disk, or so many bytes, it is time to do something. */
const LITTLE_PART = 0.1;
const LITTLE_BYTES = 2_000_000_000;
/** A daily backup older than this was not made when it should have been. */
const LATE_MS = 2 * 86_400_000;

/** Whether the disk will soon be full; false where that is not known. */
export const isNearlyFull = ({ free, total }: Pick<Room, 'free' | 'total'>): boolean =>
  free !== null && total !== null && free < Math.min(LITTLE_BYTES, total * LITTLE_PART);

const dayOf = new Intl.DateTimeFormat(undefined, { dateStyle: 'long' });

/** What an owner has to see to, in words, before it bites: a disk that is nearly full, a backup that was not made. */
export function storageTroubles(
  room: Pick<Room, 'free' | 'total'> | undefined,
  backups: readonly Pick<Backup, 'at' | 'why'>[],
  now: Date,
): string[] {
  const troubles: string[] = [];
  if (room && isNearlyFull(room))
    troubles.push(`only ${bytesInWords(room.free!, navigator.language)} free on the server`);
  const daily = backups.find(({ why }) => why === 'daily');
  if (daily && now.getTime() - new Date(daily.at).getTime() > LATE_MS)
    troubles.push(`the last daily backup is of ${dayOf.format(new Date(daily.at))}`);
  return troubles;
}
