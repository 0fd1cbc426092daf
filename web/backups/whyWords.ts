import type { BackupWhy } from '#contracts';

/** Why a backup was made, in words. */
export const WHY_WORDS: Record<BackupWhy, string> = {
  daily: 'daily',
  'by hand': 'made by an owner',
  'before upgrade': 'before an update of Elderleaf',
  'before import': 'before a file was brought in',
  'before change': 'before many entries were changed',
  'before restore': 'before something was brought back',
};

/** When a backup was made, by the clock here. */
export const momentOf = new Intl.DateTimeFormat(undefined, { dateStyle: 'full', timeStyle: 'short' });
