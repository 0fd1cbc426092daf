import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import AxeBuilder from '@axe-core/playwright';
import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';
import type { Beginning } from '../contracts';
import { RunningServer } from './runningServer';

interface Fixtures {
  /** A bank of more entries than this comes in parts. */
  atHand: number;
  server: RunningServer;
  /** A page of its own, signed in as a demo member. */
  signedIn: (member: Member) => Promise<Page>;
}

interface WorkerFixtures {
  /** Browsers are set to save data: else each would fetch and begin every screen ahead, which takes as long as most tests. */
  savesData: void;
  /** Gives a server, on its own copy of the demo, to one after another: the last one's again where both have the same key. */
  serverFor: (key: string, atHand: number) => Promise<RunningServer>;
}

export type Member = 'Imke Tarrow' | 'Odile Brandt' | 'Desta Wynne' | 'Ruan Pellow' | 'Anouk Fell';

/** So many times slower than this machine each page runs, where `E2E_SLOWER` says so: it finds what rests on who is quicker. */
const SLOWER = Number(process.env.E2E_SLOWER ?? 1);

/** Has the pages of a context think that the browser is set to save data. */
export const saveData = (context: BrowserContext): Promise<unknown> =>
  context.addInitScript(() => Object.defineProperty(navigator, 'connection', { value: { saveData: true } }));

/** Begins a session for a demo member, as their button on the first page does. */
async function beginSession({ request }: Page, url: string, member: Member): Promise<void> {
  const { demoMembers } = (await (await request.get(`${url}/api/beginning`)).json()) as Beginning;
  const { id } = demoMembers!.find(({ name }) => name === member)!;
  const begun = await request.post(`${url}/api/session/demo`, {
    data: { member: id },
    headers: { Origin: url },
  });
  expect(begun.status()).toBe(201);
}

/** Signs a page in as a demo member and waits for the desk. By the first page's own button it would be loaded twice. */
export async function signIn(page: Page, url: string, member: Member): Promise<Page> {
  if (SLOWER > 1)
    await (await page.context().newCDPSession(page)).send('Emulation.setCPUThrottlingRate', { rate: SLOWER });
  await beginSession(page, url, member);
  await page.goto(url);
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(/desk/);
  return page;
}

/** Starts a server on its own copy of the demo; what it gives back ends it and removes the copy. */
async function serverOnCopy(atHand: number): Promise<{ server: RunningServer; end: () => Promise<void> }> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-e2e-'));
  fs.cpSync(process.env.E2E_DEMO_FOLDER!, folder, { recursive: true });
  const server = await RunningServer.start(folder, { atHand, livesForSeconds: true });
  return {
    server,
    end: async () => {
      await server.kill();
      fs.rmSync(folder, { recursive: true, force: true });
    },
  };
}

/**
 * The tests of a file run one after another on one server, each in browsers of its own. One that is tagged `@alone` has a
 * server that no test has used: it needs what those before it have changed.
 */
export const test = base.extend<Fixtures, WorkerFixtures>({
  atHand: [5000, { option: true }],
  savesData: [
    async ({ browser }, use) => {
      const newContext = browser.newContext.bind(browser);
      browser.newContext = async (options) => {
        const context = await newContext(options);
        // One that is to open without the server must have every file.
        if (options?.serviceWorkers !== 'allow') await saveData(context);
        return context;
      };
      await use();
    },
    { scope: 'worker', auto: true },
  ],
  serverFor: [
    async ({}, use) => {
      const running: (Awaited<ReturnType<typeof serverOnCopy>> & { key: string })[] = [];
      const endAll = async () => {
        for (const { end } of running.splice(0)) await end();
      };
      await use(async (key, atHand) => {
        if (running[0]?.key !== key) {
          await endAll();
          running.push({ key, ...(await serverOnCopy(atHand)) });
        }
        return running[0]!.server;
      });
      await endAll();
    },
    { scope: 'worker' },
  ],
  server: async ({ atHand, browser, serverFor }, use, { file, tags, testId }) => {
    await use(await serverFor(tags.includes('@alone') ? testId : `${file} ${atHand}`, atHand));
    // Left open, their pages would go on beside every test that follows.
    for (const context of browser.contexts()) await context.close();
  },
  signedIn: async ({ browser, server }, use) => {
    await use(async (member) => signIn(await (await browser.newContext()).newPage(), server.url, member));
  },
});

export { expect, type Page };

/** The writing surface. */
export const draftOf = (page: Page) => page.getByRole('textbox', { name: 'Draft' });

/** The draft as its reader would see it: answers without the names beneath their lines. */
export const words = (page: Page) =>
  draftOf(page).evaluate((draft) => {
    const copy = draft.cloneNode(true) as HTMLElement;
    for (const name of copy.querySelectorAll('.blank-name')) name.remove();
    return [...copy.children].map((block) => block.textContent).join('\n');
  });

/** Opens a case of the desk and waits until it can be written on. */
export async function openCase(page: Page, title: string | RegExp): Promise<void> {
  await page.getByRole('link', { name: title }).click();
  await expect(draftOf(page)).toBeFocused();
}

/** What axe is asked for: faults alone, each with its element; of all that is right it would work out where it stands, which takes as long again. */
const ASKED = {
  resultTypes: ['violations' as const],
  selectors: false,
  // Off by default, since it is of WCAG 2.2.
  rules: { 'target-size': { enabled: true } },
};

/**
 * Says nothing when axe finds nothing, in light and dark, which differ by their colours alone; the violations otherwise. `isThemed`: whether the
 * page itself follows what the system likes, as all of ours but the companion's window do.
 */
export async function expectAccessible(page: Page, isThemed = true): Promise<void> {
  for (const colorScheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme });
    if (isThemed) await expect(page.locator('html')).toHaveAttribute('data-theme', colorScheme);
    // Without the page of its own that it opens to add up what stands in frames: there are none.
    const axe = new AxeBuilder({ page }).setLegacyMode(true).options(ASKED);
    const { violations } = await (colorScheme === 'light' ? axe : axe.withRules('color-contrast')).analyze();
    expect(violations.map(({ id, nodes }) => [colorScheme, id, nodes.map(({ html }) => html)])).toEqual([]);
  }
}

/** Waits until the browser has told the page of the caret that a key or a click has moved: it does so in the next frame. */
const caretTold = (page: Page) =>
  page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));

/**
 * Presses keys one after another, each when the page has been told what the click or key before it did to the caret: no
 * hand is quicker than that.
 */
export async function pressKeys(page: Page, keys: readonly string[]): Promise<void> {
  for (const key of keys) {
    await caretTold(page);
    await page.keyboard.press(key);
  }
  await caretTold(page);
}
