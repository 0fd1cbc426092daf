export { backupCommand, restoreCommand, settleRestored, showCommand } from './commands';
export { backupBeforeUpgrade } from './backupBeforeUpgrade';
export { backupRoutes } from './backupRoutes';
export { backupBefore, makeDailyBackup } from './keepBackup';
export { NotBackup, openBackup } from './readBackup';
export { dropBefore } from './snapshot';
