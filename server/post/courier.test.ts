import net from 'node:net';
import { afterEach, expect, test } from '@jest/globals';
import { smtpCourier } from '.';
import { afterFailure } from './courier';

const open: net.Server[] = [];
afterEach(() => open.splice(0).forEach((server) => server.close()));

/** A mail server of a few lines (RFC 5321) that answers each command as it is told; `drop` ends the connection instead. */
async function mailServer(
  answers: Partial<Record<'RCPT' | 'DATA' | 'end', string>>,
): Promise<{ url: string; got: string[] }> {
  const got: string[] = [];
  const server = net.createServer((socket) => {
    let isInMessage = false;
    let buffer = '';
    const say = (line: string) => (line === 'drop' ? socket.destroy() : socket.write(`${line}\r\n`));
    say('220 here');
    socket.on('error', () => undefined);
    socket.on('data', (data) => {
      buffer += data.toString('latin1');
      if (isInMessage) {
        if (!buffer.endsWith('\r\n.\r\n')) return;
        got.push(buffer.slice(0, -5));
        [isInMessage, buffer] = [false, ''];
        return say(answers.end ?? '250 taken');
      }
      for (let at = buffer.indexOf('\r\n'); at >= 0 && !isInMessage; at = buffer.indexOf('\r\n')) {
        const command = buffer.slice(0, at);
        buffer = buffer.slice(at + 2);
        const verb = command.slice(0, 4).toUpperCase();
        if (verb === 'RCPT') say(answers.RCPT && command.includes('nobody') ? answers.RCPT : '250 ok');
        else if (verb === 'DATA') {
          const answer = answers.DATA ?? '354 go on';
          isInMessage = answer.startsWith('354');
          say(answer);
        } else if (verb === 'QUIT') socket.end('221 bye\r\n');
        else say('250 ok');
      }
    });
  });
  open.push(server);
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return { url: `smtp://127.0.0.1:${(server.address() as net.AddressInfo).port}`, got };
}

const MESSAGE =
  'From: a@hollin.example\r\nTo: p@marsh.example\r\nSubject: Owlet\r\n\r\nLeave it.\r\n.\r\nSo.';
const parcel = { from: 'a@hollin.example', to: ['p@marsh.example'], message: MESSAGE };
const courierTo = (url: string) => smtpCourier({ url, from: 'a@hollin.example' });

test('a mail server gets the very message', async () => {
  const { url, got } = await mailServer({});
  expect(await courierTo(url).deliver(parcel)).toEqual({ state: 'gone', reason: '' });
  // A line of one dot would end it: mail has two there (RFC 5321, 4.5.2).
  expect(got.map((one) => one.replace(/\r\n\.\./, '\r\n.').trim())).toEqual([MESSAGE]);
});

test.each([
  [
    'the receiver is not known',
    { RCPT: '550 no such mailbox' },
    ['nobody@marsh.example'],
    'refused',
    /550 no such mailbox/,
  ],
  [
    'one of two is not known',
    { RCPT: '550 no' },
    ['p@marsh.example', 'nobody@marsh.example'],
    'gone',
    /Not taken: nobody@/,
  ],
  ['it wants no message', { DATA: '452 full' }, ['p@marsh.example'], 'refused', /452 full/],
  [
    'it refuses what it read',
    { end: '554 looks like spam' },
    ['p@marsh.example'],
    'refused',
    /554 looks like spam/,
  ],
  ['it is gone before the message', { DATA: 'drop' }, ['p@marsh.example'], 'perhaps-gone', /./],
  ['it is gone before it said that it has it', { end: 'drop' }, ['p@marsh.example'], 'perhaps-gone', /./],
] as const)('where %s', async (_, answers, to, state, reason) => {
  const { url } = await mailServer(answers);
  const delivery = await courierTo(url).deliver({ ...parcel, to });
  expect(delivery).toEqual({ state, reason: expect.stringMatching(reason) });
});

test('where there is no mail server nothing has gone', async () => {
  const { url } = await mailServer({});
  await new Promise((resolve) => open.pop()!.close(resolve));
  expect((await courierTo(url).deliver(parcel)).state).toBe('refused');
});

test.each([
  [{ code: 'ETIMEDOUT', message: 'Greeting never received' }, 'refused'],
  [{ code: 'ETIMEDOUT', message: 'Timeout' }, 'perhaps-gone'],
  [{ code: 'ESOCKET', message: 'read ECONNRESET', syscall: 'read' }, 'perhaps-gone'],
  [{ code: 'EAUTH', message: 'Invalid login', responseCode: 535, response: '535 5.7.8\r\nno' }, 'refused'],
])('%j: %s', (error, state) => expect(afterFailure(Object.assign(new Error(), error)).state).toBe(state));
