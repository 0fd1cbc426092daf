import { randomUUID } from 'node:crypto';
import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';

/** A second process asked for a data folder that is in use. */
export class FolderInUse extends Error {
  constructor(folder: string, { pid, host }: Holder) {
    super(
      `The data folder ${folder} is in use by another Elderleaf (process ${pid} on ${host}). ` +
        'Two at once would spoil it. Stop the other one first, or set ELDERLEAF_DATA to another folder.',
    );
  }
}

/** What stands in the lock: who holds the folder. */
interface Holder {
  /** A name that no other holder has, nor this one another time. */
  name: string;
  pid: number;
  host: string;
  /** Which start of which machine: containers of one machine have the same, two machines never. */
  boot: string;
}

/** How a folder is held; others for tests. */
export interface Holding {
  /** Which start of which machine this is. */
  boot: string;
  /** A holder says this often that it is there, in milliseconds. */
  beat: number;
  /** A holder on another machine that says nothing for so long is gone. */
  silence: number;
  /** Called when another has taken the folder over, as when this machine slept: nothing may be written from then on. */
  lost: () => void;
}

function bootId(): string {
  try {
    return fs.readFileSync('/proc/sys/kernel/random/boot_id', 'utf8').trim();
  } catch {
    // Where the kernel does not tell, the name of the machine does nearly as well.
    return os.hostname();
  }
}

const DEFAULTS: Holding = { boot: bootId(), beat: 5000, silence: 20_000, lost: () => undefined };

const LOCK = 'in-use.json';
const socketOf = (folder: string, name: string) => path.join(folder, `in-use.${name}.sock`);

/** The path of a socket, short enough for the kernel (107 bytes): by the folder's descriptor where it is long. */
function withSocketPath<T>(folder: string, name: string, use: (at: string) => Promise<T>): Promise<T> {
  const whole = socketOf(folder, name);
  if (Buffer.byteLength(whole) <= 100) return use(whole);
  const descriptor = fs.openSync(folder, 'r');
  return use(`/proc/self/fd/${descriptor}/${path.basename(whole)}`).finally(() => fs.closeSync(descriptor));
}

/**
 * Listens at a socket in the folder. The kernel closes it with the process, however that ends, and whoever has the folder can
 * ask it, from another container too. Null where the file system has no sockets.
 */
function listenAt(folder: string, name: string): Promise<net.Server | null> {
  return withSocketPath(
    folder,
    name,
    (at) =>
      new Promise((resolve) => {
        const server = net.createServer((connection) => connection.destroy());
        server.once('error', () => resolve(null));
        server.listen(at, () => resolve(server.unref()));
      }),
  );
}

/** Whether somebody listens at the socket of a holder. */
function answers(folder: string, name: string): Promise<boolean> {
  return withSocketPath(
    folder,
    name,
    (at) =>
      new Promise((resolve) => {
        const connection = net.connect(at);
        connection.once('connect', () => {
          connection.destroy();
          resolve(true);
        });
        connection.once('error', () => resolve(false));
      }),
  );
}

function readHolder(file: string): Holder | null {
  try {
    const holder = JSON.parse(fs.readFileSync(file, 'utf8')) as Partial<Holder>;
    return typeof holder.name === 'string' && typeof holder.boot === 'string' ? (holder as Holder) : null;
  } catch {
    return null;
  }
}

const sleep = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

function changedAt(file: string): number {
  try {
    return fs.statSync(file).mtimeMs;
  } catch {
    return 0;
  }
}

/** Whether a holder is there still: on this machine its socket tells at once; on another it says so now and then. */
async function isThere(folder: string, holder: Holder, { boot, silence }: Holding): Promise<boolean> {
  if (await answers(folder, holder.name)) return true;
  if (holder.boot === boot && fs.existsSync(socketOf(folder, holder.name))) return false;
  const file = path.join(folder, LOCK);
  const [first, until] = [changedAt(file), Date.now() + silence];
  while (Date.now() < until) {
    await sleep(Math.min(250, silence));
    // Its times are of another clock: that they change is all that counts.
    if (changedAt(file) !== first) return true;
  }
  return false;
}

/** Moves a lock aside that nobody holds any more; of two who do so at once, the second finds another lock and leaves it. */
function clear(folder: string, stale: Holder | null): void {
  const file = path.join(folder, LOCK);
  const aside = path.join(folder, `in-use.${randomUUID()}.stale`);
  try {
    fs.renameSync(file, aside);
    const moved = readHolder(aside);
    if (moved && moved.name !== stale?.name) fs.linkSync(aside, file);
  } catch {
    // It is gone already, or another has come: the next try tells.
  }
  fs.rmSync(aside, { force: true, recursive: true });
  if (stale) fs.rmSync(socketOf(folder, stale.name), { force: true });
}

/** Says now and then that the folder is held, and hears when it is not any more. Returns what ends it. */
function keepHolding(file: string, { name }: Holder, { beat, lost }: Holding): () => void {
  const timer = setInterval(() => {
    if (readHolder(file)?.name !== name) {
      clearInterval(timer);
      return lost();
    }
    const now = new Date();
    fs.utimes(file, now, now, () => undefined);
  }, beat);
  timer.unref();
  return () => clearInterval(timer);
}

/**
 * Takes a data folder for this process, made if need be, and returns the function that gives it back. PGlite itself does not
 * notice a second process. The lock is a file linked into place whole, so that two starting at once cannot both have it. Who
 * holds it is told by a socket in the folder, which ends with its process, and by the lock's time, which its holder renews: so
 * that another container on the same volume and another machine on the same network folder are refused as well, and what a
 * kill left behind is replaced. Throws FolderInUse when it is held.
 */
export async function lockFolder(folder: string, how: Partial<Holding> = {}): Promise<() => void> {
  const holding = { ...DEFAULTS, ...how };
  fs.mkdirSync(folder, { recursive: true, mode: 0o700 });
  const file = path.join(folder, LOCK);
  const me: Holder = {
    name: randomUUID().slice(0, 8),
    pid: process.pid,
    host: os.hostname(),
    boot: holding.boot,
  };
  const mine = path.join(folder, `in-use.${me.name}.json`);
  // Before the lock is in place: whoever sees it must find it answering.
  const socket = await listenAt(folder, me.name);
  fs.writeFileSync(mine, JSON.stringify(me), { mode: 0o600 });
  const letGo = () => {
    socket?.close();
    fs.rmSync(socketOf(folder, me.name), { force: true });
  };
  try {
    for (let tries = 0; ; tries += 1) {
      try {
        fs.linkSync(mine, file);
        const stop = keepHolding(file, me, holding);
        return () => {
          stop();
          fs.rmSync(file, { force: true });
          letGo();
        };
      } catch (error) {
        if ((error as NodeJS.ErrnoException).code !== 'EEXIST' || tries > 20) throw error;
      }
      const holder = readHolder(file);
      if (holder && (await isThere(folder, holder, holding))) throw new FolderInUse(folder, holder);
      clear(folder, holder);
    }
  } catch (error) {
    letGo();
    throw error;
  } finally {
    fs.rmSync(mine, { force: true });
  }
}
