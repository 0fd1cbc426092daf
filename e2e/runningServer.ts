import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import path from 'node:path';

// From the project's root, where npm starts everything: this file is bundled elsewhere for the benchmarks.
const MAIN = path.join(process.cwd(), 'dist/server/main.js');

/** How a server of a test is started; what is left out is as the tests want it: on the demo's first day, on any free port. */
interface Start {
  demo?: 'first-day' | 'lived' | null;
  port?: number;
  databaseUrl?: string;
  atHand?: number;
  livesForSeconds?: boolean;
  /** The folder of backups; none are made otherwise. */
  backups?: string;
}

/** A server process of a test: where it answers, and the means to stop, kill and start it again. */
export class RunningServer {
  private constructor(
    private process: ChildProcess,
    readonly url: string,
    private readonly env: Record<string, string>,
    private readonly flags: readonly string[],
  ) {}

  /**
   * Starts the built server on a data folder; resolves when it says that it is ready. One that lives for seconds
   * takes the embedded store's code as it is first compiled: to make it quick costs more than it then saves.
   */
  static async start(
    folder: string,
    {
      demo = 'first-day',
      port = 0,
      databaseUrl = '',
      atHand = 5000,
      livesForSeconds = false,
      backups = 'off',
    }: Start = {},
  ): Promise<RunningServer> {
    const env = {
      ELDERLEAF_BACKUPS: backups,
      ELDERLEAF_DATA: folder,
      ELDERLEAF_DEMO: demo ?? '',
      PORT: String(port),
      DATABASE_URL: databaseUrl,
      ELDERLEAF_AT_HAND: String(atHand),
    };
    const flags = livesForSeconds ? ['--liftoff-only'] : [];
    const { process: child, url } = await launch(env, flags);
    return new RunningServer(child, url, env, flags);
  }

  /** The id of the process that serves. */
  get pid(): number {
    return this.process.pid!;
  }

  /** Ends the process at once, as a power cut would. */
  async kill(): Promise<void> {
    await ended(this.process, 'SIGKILL');
  }

  /** Ends the process in order. */
  async stop(): Promise<void> {
    await ended(this.process, 'SIGTERM');
  }

  /** Starts it again at the same address, on the same folder. */
  async again(): Promise<void> {
    this.process = (await launch({ ...this.env, PORT: new URL(this.url).port }, this.flags)).process;
  }
}

/** Runs a command of the server's own program to its end, as `npm run backup` and `npm run restore` do; gives what it says. Throws where it fails. */
export function runCommand(args: readonly string[], env: Record<string, string>): string {
  const { status, stdout, stderr } = spawnSync(process.execPath, [MAIN, ...args], {
    env: { ...process.env, NODE_ENV: 'production', ...env },
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`${stdout}${stderr}`);
  return stdout;
}

function launch(
  env: Record<string, string>,
  flags: readonly string[],
): Promise<{ process: ChildProcess; url: string }> {
  const child = spawn(process.execPath, [...flags, MAIN], {
    env: { ...process.env, NODE_ENV: 'production', ...env },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  return new Promise((resolve, reject) => {
    let said = '';
    const hear = (data: Buffer) => {
      said += data.toString();
      const url = /ready: (http:\S+)/.exec(said)?.[1];
      if (url) resolve({ process: child, url });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', () => reject(new Error(said || 'The server ended without a word.')));
  });
}

async function ended(child: ChildProcess, signal: NodeJS.Signals): Promise<void> {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill(signal);
  await gone;
}
