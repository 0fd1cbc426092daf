import path from 'node:path';
import type { Database } from '../db';
import { databaseStore, folderStore, type FileStore } from '../fileStore';

/** Where files lie that belong to a store: beside the embedded one, within a server's. */
export const filesOf = (db: Database, dataFolder: string, isEmbedded: boolean): FileStore =>
  isEmbedded ? folderStore(path.join(dataFolder, 'files')) : databaseStore(db);
