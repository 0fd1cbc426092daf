export type { FileStore, StagedFile } from './fileStore';
export { FileTooLarge } from './fileStore';
export { databaseStore } from './databaseStore';
export { folderStore } from './folderStore';
export { mediaOf } from './mediaOf';
