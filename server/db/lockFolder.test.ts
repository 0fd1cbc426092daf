import fs from 'node:fs';
import net from 'node:net';
import os from 'node:os';
import path from 'node:path';
import { spawn } from 'node:child_process';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { FolderInUse, lockFolder } from './lockFolder';

let folder: string;
beforeEach(() => {
  folder = path.join(fs.mkdtempSync(path.join(os.tmpdir(), 'elderleaf-')), 'data');
});
afterEach(() => fs.rmSync(path.dirname(folder), { recursive: true, force: true }));

const lock = () => path.join(folder, 'in-use.json');
/** A lock as another left it. */
const leave = (holder: object | string) => {
  fs.mkdirSync(folder, { recursive: true });
  fs.writeFileSync(lock(), typeof holder === 'string' ? holder : JSON.stringify(holder));
};
const SOON = { beat: 20, silence: 200 };

test('a folder is held once; given back, another has it; a long path and a link to it make no difference', async () => {
  const release = await lockFolder(folder);
  await expect(lockFolder(folder)).rejects.toThrow(FolderInUse);
  const link = `${folder}-link`;
  fs.symlinkSync(folder, link);
  await expect(lockFolder(link)).rejects.toThrow(/in use by another Elderleaf/);
  release();
  (await lockFolder(folder))();
  expect(fs.readdirSync(folder)).toEqual([]);
  const long = path.join(folder, 'x'.repeat(90), 'y'.repeat(90));
  const held = await lockFolder(long);
  await expect(lockFolder(long)).rejects.toThrow(FolderInUse);
  held();
});

test('of many who start at once one alone has it', async () => {
  const tries = await Promise.allSettled(Array.from({ length: 12 }, () => lockFolder(folder)));
  const held = tries.flatMap((one) => (one.status === 'fulfilled' ? [one.value] : []));
  expect(held).toHaveLength(1);
  held[0]!();
});

test('one who holds it in another container, whose processes cannot be seen, is found by its socket', async () => {
  const holder = { name: 'other', pid: 7, host: 'container-2', boot: 'this machine' };
  leave(holder);
  const socket = net.createServer();
  await new Promise<void>((resolve) => socket.listen(path.join(folder, 'in-use.other.sock'), resolve));
  await expect(lockFolder(folder, { ...SOON, boot: 'this machine' })).rejects.toThrow(
    'process 7 on container-2',
  );
  await new Promise((resolve) => socket.close(resolve));
});

test('one on another machine is found by the time it renews; once silent it is replaced', async () => {
  leave({ name: 'far', pid: 7, host: 'far', boot: 'another machine' });
  let at = 1000;
  const beat = setInterval(() => fs.utimesSync(lock(), (at += 1), at), 20);
  await expect(lockFolder(folder, SOON)).rejects.toThrow(FolderInUse);
  clearInterval(beat);
  (await lockFolder(folder, SOON))();
});

test.each([
  ['nothing', ''],
  ['no JSON', '{'],
  ['another form', '{"pid": 1}'],
])('a lock that holds %s is replaced', async (_, text) => {
  leave(text);
  (await lockFolder(folder))();
});

test('a killed holder is replaced at once', async () => {
  const child = spawn(process.execPath, [
    '-e',
    `const net = require('net'), fs = require('fs');
     fs.mkdirSync(${JSON.stringify(folder)}, { recursive: true });
     net.createServer().listen(${JSON.stringify(`${folder}/in-use.killed.sock`)}, () => {
       fs.writeFileSync(${JSON.stringify(`${folder}/in-use.json`)}, JSON.stringify({ name: 'killed', pid: process.pid, host: 'x', boot: 'b' }));
       console.log('held');
     });`,
  ]);
  await new Promise((resolve) => child.stdout.once('data', resolve));
  await expect(lockFolder(folder, { boot: 'b' })).rejects.toThrow(FolderInUse);
  const gone = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGKILL');
  await gone;
  (await lockFolder(folder, { boot: 'b' }))();
});

test('a holder whose folder was taken over hears of it', async () => {
  const lost = new Promise<void>((resolve) => void lockFolder(folder, { ...SOON, lost: resolve }));
  const sleepingUntilHeld = () => fs.existsSync(lock());
  while (!sleepingUntilHeld()) await new Promise((resolve) => setTimeout(resolve, 5));
  fs.rmSync(lock());
  leave({ name: 'taker', pid: 1, host: 'y', boot: 'z' });
  await lost;
});
