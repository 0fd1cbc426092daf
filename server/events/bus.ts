import type { Client } from 'pg';

const CHANNEL = 'elderleaf';
const AGAIN_MS = 1000;

/** Carries what one server process has to tell to all of them, itself included, in the order it was told. */
export interface Bus {
  publish: (message: string) => Promise<void>;
  /** Calls `hear` with every message, and `missed` after a time in which some may not have come. */
  subscribe: (hear: (message: string) => void, missed: () => void) => void;
  close: () => Promise<void>;
}

/** The bus of a store that one process alone may open: what is told is heard at once. */
export function localBus(): Bus {
  let hearing: (message: string) => void = () => undefined;
  return {
    publish: async (message) => Promise.resolve(hearing(message)),
    subscribe: (hear) => {
      hearing = hear;
    },
    close: () => Promise.resolve(),
  };
}

/**
 * The bus of a PostgreSQL server: LISTEN on a connection of its own, NOTIFY by any. A lost connection is made again each
 * second until it holds. A message has at most 8,000 bytes there.
 */
export async function postgresBus(
  connect: () => Promise<Client>,
  notify: (channel: string, message: string) => Promise<unknown>,
): Promise<Bus> {
  let hear: (message: string) => void = () => undefined;
  let missed: () => void = () => undefined;
  let closed = false;
  let client: Client;
  const open = async () => {
    client = await connect();
    client.on('notification', ({ payload }) => payload && hear(payload));
    client.once('error', () => void again());
    await client.query(`listen ${CHANNEL}`);
  };
  const again = async (): Promise<void> => {
    await client.end().catch(() => undefined);
    while (!closed) {
      try {
        await open();
        return missed();
      } catch {
        await new Promise((resolve) => setTimeout(resolve, AGAIN_MS).unref());
      }
    }
  };
  await open();
  return {
    publish: async (message) => void (await notify(CHANNEL, message)),
    subscribe: (hearing, missing) => {
      hear = hearing;
      missed = missing;
    },
    close: async () => {
      closed = true;
      await client.end().catch(() => undefined);
    },
  };
}
