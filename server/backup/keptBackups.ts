import fs from 'node:fs';
import path from 'node:path';

/** Why a backup was made, as its name says it. */
export const BACKUP_WHYS = ['daily', 'by hand', 'before upgrade'] as const;
export type BackupWhy = (typeof BACKUP_WHYS)[number];

const NAMED = /^elderleaf-(\d{4}-\d{2}-\d{2})-(\d{2})(\d{2})(\d{2})-(daily|by-hand|before-upgrade)\.zip$/;

/** What a backup is called: when it was made (UTC), and why. */
export function backupName(at: Date, why: BackupWhy): string {
  const [day, time] = at.toISOString().split('T') as [string, string];
  return `elderleaf-${day}-${time.slice(0, 8).replaceAll(':', '')}-${why.replaceAll(' ', '-')}.zip`;
}

/** A backup in the folder of backups. */
export interface KeptBackup {
  name: string;
  at: Date;
  why: BackupWhy;
}

/** The backups in a folder, the newest first; others' files there are none of them. */
export function keptBackups(folder: string): KeptBackup[] {
  const names = fs.existsSync(folder) ? fs.readdirSync(folder) : [];
  return names
    .flatMap((name): KeptBackup[] => {
      const said = NAMED.exec(name);
      if (!said) return [];
      const [, day, hours, minutes, seconds, why] = said;
      const at = new Date(`${day}T${hours}:${minutes}:${seconds}Z`);
      return Number.isNaN(at.getTime()) ? [] : [{ name, at, why: why!.replaceAll('-', ' ') as BackupWhy }];
    })
    .sort((a, b) => b.at.getTime() - a.at.getTime());
}

/** How many days, weeks and months back one backup of each is kept. */
export interface Keeping {
  days: number;
  weeks: number;
  months: number;
}
export const USUAL_KEEPING: Keeping = { days: 7, weeks: 4, months: 12 };

const DAY_MS = 86_400_000;
const dayOf = (at: Date): string => at.toISOString().slice(0, 10);
/** Weeks from Monday to Sunday: 1 January 1970 was a Thursday. */
const weekOf = (at: Date): string => String(Math.floor((at.getTime() / DAY_MS + 3) / 7));
const monthOf = (at: Date): string => at.toISOString().slice(0, 7);

/**
 * Which backups may go: of each of the last days, weeks and months that have any, the newest is kept. What somebody made by hand, and
 * what was made before an upgrade, stays; the newest of all never goes.
 */
export function backupsToDrop(all: readonly KeptBackup[], { days, weeks, months }: Keeping): KeptBackup[] {
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
  return daily.filter((one) => !kept.has(one));
}

/** Whether the day's backup is yet to be made: the last one is a day old, less the time between two looks. */
export const isBackupDue = (all: readonly KeptBackup[], now: Date): boolean =>
  !all.some(({ at, why }) => why === 'daily' && now.getTime() - at.getTime() < DAY_MS - 3_600_000);

/** Deletes those that may go, and what is left of one that was ended in the middle a day ago or longer. */
export function dropOldBackups(folder: string, keeping: Keeping, now: Date): void {
  for (const { name } of backupsToDrop(keptBackups(folder), keeping))
    fs.rmSync(path.join(folder, name), { force: true });
  for (const name of fs.readdirSync(folder).filter((one) => one.endsWith('.zip.part'))) {
    const at = path.join(folder, name);
    if (now.getTime() - fs.statSync(at).mtimeMs > DAY_MS) fs.rmSync(at, { force: true });
  }
}
