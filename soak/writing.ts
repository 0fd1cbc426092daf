import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { numbers } from '../bench/numbers';
import { RunningServer } from '../e2e/runningServer';
import { draftOf, openCase, signIn, words as wordsOf, type Member } from '../e2e/test';

/** How many times each text is written in, and of what the chance is made. */
const [walks = '10', seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);
/** So much is done each time. */
const ACTS = 30;

const say = (line: string) => process.stdout.write(`${line}\n`);

/** A text that is written in: how it is opened from the desk, where it is typed, and what it says. */
interface Text {
  name: string;
  member: Member;
  open: (page: Page) => Promise<void>;
  box: (page: Page) => Locator;
  says: (page: Page) => Promise<string>;
}

/** The line of a tray that is written on. */
const lineOf = (page: Page) => page.getByRole('listitem').getByRole('textbox');

/** A case whose text is a draft, by how its title begins. */
const draftIn = (name: string, member: Member, title: RegExp): Text => ({
  ...{ name, member, box: draftOf, says: wordsOf },
  open: (page) => openCase(page, title),
});

const TEXTS: readonly Text[] = [
  draftIn('A leaf', 'Odile Brandt', /^Sorrel, tawny owl/),
  draftIn('A dictated text', 'Imke Tarrow', /^Ward round, dictated/),
  {
    name: 'The name of a file',
    member: 'Imke Tarrow',
    open: async (page) => {
      await page.getByRole('link', { name: /^Post and ringing sheets/ }).click();
      await lineOf(page).waitFor();
    },
    box: lineOf,
    says: (page) => lineOf(page).innerText(),
  },
  {
    name: 'A letter of a batch',
    member: 'Anouk Fell',
    open: async (page) => {
      await page.getByRole('link', { name: /^Volunteers, this autumn/ }).click();
      const parts = page.getByRole('navigation', { name: 'Parts of the batch' });
      await parts.getByRole('link', { name: 'Letters' }).click();
      await draftOf(page).waitFor();
    },
    box: draftOf,
    says: wordsOf,
  },
];

/** The page that somebody writes on, with what stands between it and its server. */
class Writer {
  page!: Page;
  isOffline = false;
  isSlow = false;
  isServed = true;
  typed: string[] = [];
  readonly did: string[] = [];

  private constructor(
    private readonly context: BrowserContext,
    private readonly server: RunningServer,
    private readonly text: Text,
    private readonly next: () => number,
  ) {}

  static async begin(context: BrowserContext, server: RunningServer, text: Text, next: () => number) {
    const writer = new Writer(context, server, text, next);
    await context.route(/\/api\/(?!events)/, async (route) => {
      const wait = () => new Promise((go) => setTimeout(go, writer.isSlow ? writer.next() * 900 : 0));
      await wait();
      if (writer.isOffline) return route.abort('internetdisconnected').catch(() => undefined);
      try {
        const answer = await route.fetch();
        await wait();
        await route.fulfill({ response: answer });
      } catch {
        await route.abort('connectionrefused').catch(() => undefined);
      }
    });
    writer.page = await signIn(await context.newPage(), server.url, text.member);
    await writer.page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await text.open(writer.page);
    return writer;
  }

  /** Does one thing that a person may do, or that may happen to them. */
  async act(): Promise<void> {
    const acts: [string, number, () => Promise<unknown>][] = [
      ['type', 10, () => this.type()],
      ['leave', 4, () => this.leave()],
      ['back and forward', 2, () => this.backAndForward()],
      ['reload', 2, () => this.open(() => this.page.reload())],
      ['another tab', 2, () => this.anotherTab()],
      ['undo and redo', 2, () => this.undoAndRedo()],
      ['a second window', this.isOffline || !this.isServed ? 0 : 2, () => this.secondWindow()],
      ['crash', 1, () => this.crash()],
      [this.isOffline ? 'online' : 'offline', 2, () => this.offline(!this.isOffline)],
      [this.isSlow ? 'quick' : 'slow', 2, () => Promise.resolve((this.isSlow = !this.isSlow))],
      [this.isServed ? 'server gone' : 'server back', 1, () => this.serve(!this.isServed)],
      ['wait', 2, () => this.page.waitForTimeout(this.next() * 2000)],
    ];
    let left = this.next() * acts.reduce((sum, [, weight]) => sum + weight, 0);
    const [name, , act] = acts.find(([, weight]) => (left -= weight) < 0)!;
    this.did.push(name);
    await act();
  }

  /** Has the connection, the server and the haste again. */
  async settle(): Promise<void> {
    this.did.push('settle');
    this.isSlow = false;
    await this.offline(false);
    await this.serve(true);
  }

  /** What the text says that was typed, with what is missing of it; null for nothing. */
  async missing(page = this.page): Promise<string | null> {
    const all = this.typed.join(' ');
    const found = async () => ((await this.text.says(page)).match(/w\d+/g) ?? []).join(' ');
    for (let tries = 0; tries < 20 && (await found()) !== all; tries += 1) await page.waitForTimeout(100);
    const says = await found();
    return says === all ? null : `typed ${all}\n  there ${says}`;
  }

  private async type(): Promise<void> {
    const word = `w${this.typed.length}`;
    await this.text.box(this.page).press('Control+End');
    await this.page.keyboard.type(`${word} `);
    this.typed.push(word);
  }

  private async open(how: () => Promise<unknown>): Promise<void> {
    await how();
    await this.text.box(this.page).waitFor({ timeout: 15_000 });
  }

  private async leave(): Promise<void> {
    await this.page.getByRole('link', { name: 'Desk' }).click();
    if (this.next() < 0.5) await this.page.waitForTimeout(this.next() * 1000);
    await this.text.open(this.page);
  }

  private async backAndForward(): Promise<void> {
    await this.page.getByRole('link', { name: 'Bank' }).click();
    await this.page.getByRole('heading', { level: 1, name: 'The bank' }).waitFor();
    await this.open(() => this.page.goBack());
  }

  private async anotherTab(): Promise<void> {
    const old = this.page;
    const url = old.url();
    this.page = await this.context.newPage();
    const closed = old.waitForEvent('close');
    await old.close({ runBeforeUnload: true });
    await closed;
    await this.open(() => this.page.goto(url));
  }

  /** A word is typed, taken back and put there again. */
  private async undoAndRedo(): Promise<void> {
    await this.type();
    await this.page.keyboard.press('Control+z');
    await this.page.keyboard.press('Control+Shift+z');
  }

  /** The same text is opened beside, gone on with there, and that window closed: this one goes on from what was written there. */
  private async secondWindow(): Promise<void> {
    await this.pause();
    const first = this.page;
    this.page = await this.context.newPage();
    await this.open(() => this.page.goto(first.url()));
    const lost = await this.missing();
    if (lost !== null) throw new Error(`In the second window: ${lost}`);
    await this.type();
    await this.pause();
    const closed = this.page.waitForEvent('close');
    await this.page.close({ runBeforeUnload: true });
    await closed;
    this.page = first;
    await first.waitForTimeout(1000);
  }

  /** The page goes without a word, as where the computer has no memory left. */
  private async crash(): Promise<void> {
    const old = this.page;
    const url = old.url();
    // What was typed is on this computer within a moment.
    await old.waitForTimeout(200);
    const crashed = old.waitForEvent('crash');
    const ends = await this.context.newCDPSession(old);
    void ends.send('Page.crash').catch(() => undefined);
    await crashed;
    await old.close();
    this.page = await this.context.newPage();
    await this.open(() => this.page.goto(url));
  }

  /** What the server has is kept on this computer within so long: for when it goes. */
  private async pause(): Promise<void> {
    await this.page.waitForTimeout(1500);
  }

  private async offline(is: boolean): Promise<void> {
    if (is) await this.pause();
    this.isOffline = is;
    await this.context.setOffline(is);
  }

  private async serve(is: boolean): Promise<void> {
    if (is === this.isServed) return;
    if (!is) await this.pause();
    this.isServed = is;
    if (is) await this.server.again();
    else await this.server.kill();
  }
}

/** Writes in a text as chance has it. Gives what was lost, with all that was done; null for nothing. */
async function walk(server: RunningServer, text: Text, at: number): Promise<string | null> {
  const next = numbers(Number(seed) * 1000 + at);
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  const context = await browser.newContext({ serviceWorkers: 'allow' });
  const writer = await Writer.begin(context, server, text, next);
  const before = (await text.says(writer.page)).match(/w\d+/g) ?? [];
  writer.typed = before;
  let fault: string | null = null;
  try {
    for (let done = 0; done < ACTS && fault === null; done += 1) {
      await writer.act();
      fault = await writer.missing();
    }
    if (fault === null) {
      await writer.settle();
      const other = await signIn(await (await browser.newContext()).newPage(), server.url, text.member);
      await text.open(other);
      // It is sent within seconds: what is not there by then will not come.
      for (let tries = 0; tries < 10; tries += 1) {
        fault = await writer.missing(other);
        if (fault === null) break;
        await other.goto(server.url);
        await text.open(other);
      }
    }
  } catch (error) {
    fault = String(error);
  }
  await browser.close();
  if (!writer.isServed) await server.again();
  return fault && `${fault}\n  after ${writer.did.join(', ')}`;
}

const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-soak-'));
const server = await RunningServer.start(folder, { demo: 'lived' });
say(`Seed ${seed}, ${walks} times.`);
let faults = 0;
for (const text of TEXTS) {
  say(text.name);
  for (let at = 0; at < Number(walks); at += 1) {
    const lost = await walk(server, text, at);
    say(lost === null ? `  ${at}: all there` : `  ${at}: ${lost}`);
    if (lost !== null) faults += 1;
  }
}
await server.kill();
fs.rmSync(folder, { recursive: true, force: true });
process.exit(faults === 0 ? 0 : 1);
