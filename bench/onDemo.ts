import fs from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { chromium, type Page } from '@playwright/test';
import { RunningServer } from '../e2e/runningServer';

/** Where something is measured: a member's page, on the desk at first, and what it stands on. */
interface Place {
  page: Page;
  /** Where the server is. */
  url: string;
  /** The server's data, removed afterwards: room for files of one's own. */
  folder: string;
}

/**
 * Has something measured in the built application, in Chromium at 1280 by 800, on demo data of its own. Server, browser and data
 * are gone afterwards, whatever happens.
 *
 * @param as who is signed in
 * @param work what is measured; gives what came of it
 * @param demo which of the demo's data
 */
export async function onDemo<Result>(
  as: string,
  work: (place: Place) => Promise<Result>,
  demo: 'first-day' | 'lived' = 'first-day',
): Promise<Result> {
  const folder = fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-bench-'));
  const server = await RunningServer.start(folder, { demo });
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(server.url);
    await page.getByRole('button', { name: as }).click();
    await page.getByRole('heading', { level: 1 }).filter({ hasText: /desk/ }).waitFor();
    return await work({ page, url: server.url, folder });
  } finally {
    await browser.close();
    await server.kill();
    fs.rmSync(folder, { recursive: true, force: true });
  }
}
