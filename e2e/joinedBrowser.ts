import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import type { Locator, Page } from '@playwright/test';
import type { EntryContent } from '#core/entry';
import { joinBrowser, startElsewhere, type Elsewhere } from './elsewhere';
import { RunningServer } from './runningServer';
import { expect, signIn } from './test';

/** What an entry of the demo says that asks nothing: its cue, `,hnd`, fires by its last letter. */
export const HANDLING =
  'Handling is kept to a minimum: cover the pen, speak quietly, and combine weighing with cleaning.';

/** A box of a page, and how the page itself reads it. */
export interface Place {
  box: { click: () => Promise<void> };
  read: () => Promise<string>;
}
export const ofValue = (box: Locator): Place => ({ box, read: () => box.inputValue() });

/** Spaces as they are read, whichever kind an editor writes. */
export const words = (text: string) => text.replace(/&nbsp;|\u00a0/g, ' ').replace(/<\/?p>|\\n/g, '');

/** A server on the demo, and a browser with the companion that Imke joined to it. */
export interface JoinedBrowser {
  server: RunningServer;
  elsewhere: Elsewhere;
  /** A page of others. */
  page: Page;
  /** Elderleaf itself, on Imke's account. */
  account: Page;
  /** Has the browser ask for what changed, as it does by itself each minute. */
  renew: () => Promise<void>;
  /** Saves an entry as Imke's own, and has the browser ask for it. Gives its id. */
  saveEntry: (content: EntryContent) => Promise<string>;
  /** Types into a box that was emptied, until the page has the cues: they come when a box of it is written in first. */
  typeUntil: (place: Place, typed: string, wanted: string) => Promise<void>;
  end: () => Promise<void>;
}

export async function startJoined(): Promise<JoinedBrowser> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-elsewhere-'));
  fs.cpSync(process.env.E2E_DEMO_FOLDER!, path.join(folder, 'data'), { recursive: true });
  const server = await RunningServer.start(path.join(folder, 'data'), { livesForSeconds: true });
  const elsewhere = await startElsewhere(folder);
  const account = await signIn(await elsewhere.context.newPage(), server.url, 'Imke Tarrow');
  await account.goto(`${server.url}/account`);
  await joinBrowser(elsewhere, account, server.url);
  const page = await elsewhere.context.newPage();
  const renew = async () => {
    const popup = await elsewhere.popup();
    await popup.getByRole('button', { name: 'Renew now' }).press('Enter');
    await expect(popup.getByText(/up to date just now/)).toBeVisible();
    await popup.close();
  };
  return {
    ...{ server, elsewhere, page, account, renew },
    saveEntry: async (content) => {
      const body = JSON.stringify({ collection: 'own-imke', reason: '', content });
      const headers = { 'Content-Type': 'application/json', Origin: server.url };
      const answer = await account.request.post(`${server.url}/api/entries`, { headers, data: body });
      expect(answer.status()).toBe(201);
      await renew();
      return ((await answer.json()) as { id: string }).id;
    },
    typeUntil: ({ box, read }, typed, wanted) =>
      expect(async () => {
        await box.click();
        await page.keyboard.press('Control+A');
        await page.keyboard.press('Delete');
        await page.keyboard.type(typed);
        await expect.poll(async () => words(await read()), { timeout: 3000 }).toContain(wanted);
      }).toPass(),
    end: async () => {
      await elsewhere.end();
      await server.kill();
      fs.rmSync(folder, { recursive: true, force: true });
    },
  };
}
