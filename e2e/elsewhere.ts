import fs from 'node:fs';
import type { AddressInfo } from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { chromium, type BrowserContext, type Page, type Worker } from '@playwright/test';
import { buildCompanion } from '../scripts/companion.mjs';
import { buildElsewhere, serveElsewhere } from '../scripts/elsewhere.mjs';
import { expect, saveData } from './test';

/** A browser with the companion in it, and pages of others for it to work on. */
export interface Elsewhere {
  context: BrowserContext;
  background: Worker;
  /** Where the pages of others are: another origin than Elderleaf's. */
  url: string;
  /** Opens the small window of the companion, for the page of a tab where it is given. */
  popup: (tab?: number) => Promise<Page>;
  end: () => Promise<void>;
}

/** Builds the companion as an organisation gives it out, with this computer's pages granted, and starts a browser with it. */
export async function startElsewhere(folder: string): Promise<Elsewhere> {
  const hosts = ['http://127.0.0.1/*', 'http://localhost/*'];
  const [companion, pages] = ['companion', 'pages'].map((name) => path.join(folder, name));
  const [extension] = await buildCompanion({ hosts, folder: path.relative(process.cwd(), companion!) });
  // Built in a place of its own: another file of tests may be building them too.
  await buildElsewhere(pages);
  const site = await serveElsewhere(0, pages);
  const profile = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-profile-'));
  const context = await chromium.launchPersistentContext(profile, {
    executablePath: '/usr/bin/chromium',
    // An extension is in no browser without a window but the newer one of these.
    headless: false,
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
    timezoneId: 'Europe/London',
    permissions: ['clipboard-read', 'clipboard-write'],
    args: [
      ...['--headless=new', '--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run'],
      ...['--disable-background-networking', '--disable-component-update', '--disable-sync'],
      ...[`--disable-extensions-except=${extension}`, `--load-extension=${extension}`],
    ],
  });
  await saveData(context);
  const background = context.serviceWorkers()[0] ?? (await context.waitForEvent('serviceworker'));
  const { host } = new URL(background.url());
  return {
    context,
    background,
    url: `http://127.0.0.1:${(site.address() as AddressInfo).port}`,
    popup: async (tab) => {
      const page = await context.newPage();
      await page.goto(`chrome-extension://${host}/popup.html${tab === undefined ? '' : `?tab=${tab}`}`);
      return page;
    },
    end: async () => {
      await context.close();
      site.close();
      fs.rmSync(profile, { recursive: true, force: true });
    },
  };
}

/** Joins the browser as a member does: a code on the account, typed in the small window. Gives the account's page. */
export async function joinBrowser(elsewhere: Elsewhere, account: Page, address: string): Promise<void> {
  await account.getByRole('button', { name: 'Join a browser' }).press('Enter');
  const code = await account.getByText(/^[A-Z2-9]{5}-[A-Z2-9]{5}$/).innerText();
  const popup = await elsewhere.popup();
  await popup.getByLabel('Address of Elderleaf').fill(address);
  await popup.getByLabel('Code').fill(code.toLowerCase());
  await popup.getByLabel('Name of this browser').fill('Front desk');
  await popup.getByRole('button', { name: 'Join' }).press('Enter');
  await expect(popup.getByText(/entries in this browser/)).toBeVisible();
  await popup.close();
}

/** The words that a page's own scripts read in one of its editors. */
export const heldBy = (page: Page, editor: string): Promise<string> =>
  page.evaluate(
    (name) => (window as unknown as { held: Record<string, () => string> }).held[name]!(),
    editor,
  );

/** All that the companion keeps in its browser, as text: settings, the bank, uses that wait. */
export const keptIn = ({ background }: Elsewhere): Promise<string> =>
  background.evaluate(async () => {
    const opened = await new Promise<IDBDatabase>((resolve, reject) => {
      const request = indexedDB.open('companion');
      request.onsuccess = () => resolve(request.result);
      request.onerror = () => reject(request.error!);
    });
    const all = [...opened.objectStoreNames].map(
      (name) =>
        new Promise<unknown[]>((resolve, reject) => {
          const request = opened.transaction(name).objectStore(name).getAll();
          request.onsuccess = () => resolve(request.result as unknown[]);
          request.onerror = () => reject(request.error!);
        }),
    );
    const kept = [await chrome.storage.local.get(), ...(await Promise.all(all))];
    opened.close();
    return JSON.stringify(kept);
  });
