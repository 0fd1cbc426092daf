import type { Server } from 'node:http';

/** Bundles the stand-in pages of others. */
export function buildElsewhere(): Promise<void>;
/** Serves them on a port, 0 for any; gives the server once it listens. */
export function serveElsewhere(port: number): Promise<Server>;
