export { backupCommand, restoreCommand, settleRestored } from './commands';
export { backupBeforeUpgrade, makeDailyBackup } from './dailyBackup';
export { NotBackup, openBackup } from './readBackup';
export { dropBefore } from './snapshot';
