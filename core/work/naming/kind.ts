import type { Kind } from '../kind';

/** A tray of files that wait for names. */
export const NAMING: Kind = { work: 'File names', caseName: 'Tray', details: [], reachesAll: false };
