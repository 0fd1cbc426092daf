import type { Server } from 'node:http';

/** Bundles the stand-in pages of others into a folder, which is emptied first. */
export function buildElsewhere(folder?: string): Promise<void>;
/** Serves them on a port, 0 for any; gives the server once it listens. */
export function serveElsewhere(port: number, folder?: string): Promise<Server>;
