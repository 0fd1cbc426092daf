import fs from 'node:fs';
import path from 'node:path';
import { BACKUP_WHYS, type BackupKeeping, type BackupWhy } from '#contracts';

const NAMED = new RegExp(
  `^elderleaf-(\\d{4}-\\d{2}-\\d{2})-(\\d{2})(\\d{2})(\\d{2})-(${BACKUP_WHYS.map((why) => why.replaceAll(' ', '-')).join('|')})\\.zip(\\.age)?$`,
);

/** What a backup is called: when it was made (UTC), and why; and whether a passphrase opens it. */
export function backupName(at: Date, why: BackupWhy, isEncrypted: boolean): string {
  const [day, time] = at.toISOString().split('T') as [string, string];
  const ending = isEncrypted ? 'zip.age' : 'zip';
  return `elderleaf-${day}-${time.slice(0, 8).replaceAll(':', '')}-${why.replaceAll(' ', '-')}.${ending}`;
}

/** A backup in the folder of backups. */
export interface KeptBackup {
  name: string;
  at: Date;
  why: BackupWhy;
  isEncrypted: boolean;
}

/** The backups in a folder, the newest first; others' files there are none of them. */
export function keptBackups(folder: string): KeptBackup[] {
  const names = fs.existsSync(folder) ? fs.readdirSync(folder) : [];
  return names
    .flatMap((name): KeptBackup[] => {
      const said = NAMED.exec(name);
      if (!said) return [];
      const [, day, hours, minutes, seconds, why, age] = said;
      const at = new Date(`${day}T${hours}:${minutes}:${seconds}Z`);
      const known = { name, at, why: why!.replaceAll('-', ' ') as BackupWhy, isEncrypted: age !== undefined };
      return Number.isNaN(at.getTime()) ? [] : [known];
    })
    .sort((a, b) => b.at.getTime() - a.at.getTime());
}

const DAY_MS = 86_400_000;
const dayOf = (at: Date): string => at.toISOString().slice(0, 10);
/** Weeks from Monday to Sunday: 1 January 1970 was a Thursday. */
const weekOf = (at: Date): string => String(Math.floor((at.getTime() / DAY_MS + 3) / 7));
const monthOf = (at: Date): string => at.toISOString().slice(0, 7);

/** Those made before a large act are many, and soon of no more use than the day's. */
const BEFORE_ACTS: readonly BackupWhy[] = ['before import', 'before change', 'before restore'];
const MOST_BEFORE_ACTS = 10;

/**
 * Which backups may go: of each of the last days, weeks and months that have any, the newest is kept, and the last ten of those that were
 * made before large acts. What somebody made by hand, and what was made before an upgrade, stays; the newest of all never goes.
 */
export function backupsToDrop(
  all: readonly KeptBackup[],
  { days, weeks, months }: BackupKeeping,
): KeptBackup[] {
  const before = all
    .filter(({ why }) => BEFORE_ACTS.includes(why))
    .sort((a, b) => b.at.getTime() - a.at.getTime())
    .slice(MOST_BEFORE_ACTS);
  const daily = all.filter(({ why }) => why === 'daily').sort((a, b) => b.at.getTime() - a.at.getTime());
  const kept = new Set<KeptBackup>(daily.slice(0, 1));
  const keep = (count: number, spanOf: (at: Date) => string) => {
    const spans = new Map<string, KeptBackup>();
    for (const one of daily) if (!spans.has(spanOf(one.at))) spans.set(spanOf(one.at), one);
    for (const one of [...spans.values()].slice(0, count)) kept.add(one);
  };
  keep(days, dayOf);
  keep(weeks, weekOf);
  keep(months, monthOf);
  return [...daily.filter((one) => !kept.has(one)), ...before];
}

/** Whether the day's backup is yet to be made: the last one is a day old, less the time between two looks. */
export const isBackupDue = (all: readonly KeptBackup[], now: Date): boolean =>
  !all.some(({ at, why }) => why === 'daily' && now.getTime() - at.getTime() < DAY_MS - 3_600_000);

/** Deletes those that may go, and what is left of one that was ended in the middle a day ago or longer. */
export function dropOldBackups(folder: string, keeping: BackupKeeping, now: Date): void {
  for (const { name } of backupsToDrop(keptBackups(folder), keeping))
    fs.rmSync(path.join(folder, name), { force: true });
  for (const name of fs.readdirSync(folder).filter((one) => one.endsWith('.part'))) {
    const at = path.join(folder, name);
    if (now.getTime() - fs.statSync(at).mtimeMs > DAY_MS) fs.rmSync(at, { force: true });
  }
}
