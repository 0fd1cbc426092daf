export { backupCommand, restoreCommand, settleRestored } from './commands';
export { backupBeforeUpgrade, makeDailyBackup } from './dailyBackup';
export { NotBackup } from './readBackup';
