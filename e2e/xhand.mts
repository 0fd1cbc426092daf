import { chromium } from '@playwright/test';
import fs from 'node:fs';
import os from 'node:os';
import { RunningServer } from './runningServer';
const folder = fs.mkdtempSync(os.tmpdir() + '/xh-');
const server = await RunningServer.start(folder, { livesForSeconds: true });
const browser = await chromium.launch({
  executablePath: '/usr/bin/chromium',
  args: ['--no-sandbox', '--disable-gpu'],
});
const beginning = (await (await fetch(server.url + '/api/beginning')).json()) as any;
const sign = async (name: string) => {
  const c = await browser.newContext({ viewport: { width: 1280, height: 800 }, serviceWorkers: 'block' });
  const p = await c.newPage();
  const id = beginning.demoMembers.find((m: any) => m.name === name).id;
  await p.request.post(server.url + '/api/session/demo', {
    headers: { Origin: server.url },
    data: { member: id },
  });
  return p;
};
const page = await sign('Imke Tarrow');

const other = await sign('Odile Brandt');
await page.goto(server.url + '/order/words');
await page.getByRole('form', { name: 'New term' }).waitFor();
await page.getByRole('form', { name: 'New term' }).getByLabel('We say').click();
await page.keyboard.type('client');
await page.keyboard.press('Tab');
await page.keyboard.type('customer, punter');
const made = await page.request.post(server.url + '/api/house-words', {
  headers: { Origin: server.url },
  data: { use: 'mute swan', avoid: ['big swan'], why: '', language: '', together: false },
});
console.log(made.status());
await page.getByText('big swan').waitFor();
console.log(await page.getByRole('form', { name: 'New term' }).getByLabel(/Not/).inputValue());
await page.keyboard.press('Enter');
await page.getByText('customer, punter').waitFor();
await page.waitForTimeout(500);
await page.keyboard.type('next');
console.log(await page.getByRole('form', { name: 'New term' }).getByLabel('We say').inputValue());
await page.screenshot({ path: '/tmp/shots/h1.png' });
await page.getByRole('button', { name: 'Change client' }).click();
await page.getByRole('form', { name: 'Change a term' }).getByLabel('Reason').fill('Kinder');
const list = await (await page.request.get(server.url + '/api/house-words')).json();
const w = list.words.find((x: any) => x.use === 'client');
await page.request.delete(server.url + '/api/house-words/' + w.id, { headers: { Origin: server.url } });
await page.getByText('A colleague removed this term').waitFor();
await page.screenshot({ path: '/tmp/shots/h2.png' });
console.log(await page.getByRole('form', { name: 'Change a term' }).getByLabel('Reason').inputValue());
await browser.close();
await server.stop();
