import { describe, expect, test } from '@jest/globals';
import { readMessage } from './readMessage';
import { wordsOfHtml } from './wordsOfHtml';

const bytes = (mail: string, set: BufferEncoding = 'utf8') =>
  new Uint8Array(Buffer.from(mail.replaceAll('\n', '\r\n'), set));

const HEAD = `From: =?utf-8?q?J=C3=BCrgen_Ried?= <j.ried@ried.example>
To: Hollin <ask@hollin.example>, Desk: a@hollin.example, b@hollin.example;
Subject: =?iso-8859-1?Q?Eule_im_G=E4rtchen?=
Date: Tue, 24 Nov 2026 09:00:00 +0100
`;

describe('a message', () => {
  test('is read with its head, whatever its words are written in', async () => {
    const mail = `${HEAD}Content-Type: text/plain; charset=iso-8859-1
Content-Transfer-Encoding: 8bit

Die Eule sitzt noch im Gärtchen.
`;
    const message = (await readMessage(bytes(mail, 'latin1')))!;
    expect(message).toMatchObject({
      from: { name: 'Jürgen Ried', address: 'j.ried@ried.example' },
      subject: 'Eule im Gärtchen',
      sentAt: new Date('2026-11-24T08:00:00Z'),
      text: 'Die Eule sitzt noch im Gärtchen.',
      attachments: [],
    });
    expect(message.to.map(({ address }) => address)).toEqual([
      'ask@hollin.example',
      'a@hollin.example',
      'b@hollin.example',
    ]);
  });

  test('is its plain text where it has both, and what was sent along is given as it is', async () => {
    const mail = `${HEAD}MIME-Version: 1.0
Content-Type: multipart/mixed; boundary=x

--x
Content-Type: multipart/alternative; boundary=y

--y
Content-Type: text/plain

Plain.
--y
Content-Type: text/html

<p>Rich.</p>
--y--
--x
Content-Type: text/plain; name="notes/of\\\\mine.txt"
Content-Disposition: attachment; filename="../notes.txt"
Content-Transfer-Encoding: base64

SGVsbG8=
--x--
`;
    const { text, attachments } = (await readMessage(bytes(mail)))!;
    expect(text).toBe('Plain.');
    expect(attachments.map(({ name, media, content }) => [name, content.length, media])).toEqual([
      ['.._notes.txt', 5, 'text/plain'],
    ]);
  });

  test('keeps the pictures within its text apart from what was sent along, and none that a page does not show', async () => {
    const part = (type: string, name: string, disposition = 'inline') =>
      `--y\nContent-Type: ${type}; name="${name}"\nContent-ID: <${name}@x>\nContent-Disposition: ${disposition}; filename="${name}"\nContent-Transfer-Encoding: base64\n\niVBORw==\n`;
    const mail = `${HEAD}MIME-Version: 1.0
Content-Type: multipart/related; boundary=y

--y
Content-Type: text/html

<p>See <img src="cid:owl.png@x"></p>
${part('IMAGE/PNG', 'owl.png')}${part('image/svg+xml', 'run.svg')}${part('image/png', 'map.png', 'attachment')}--y--
`;
    const { pictures, attachments } = (await readMessage(bytes(mail)))!;
    expect(pictures.map(({ name, media, content }) => [name, media, content.length])).toEqual([
      ['owl.png', 'image/png', 4],
    ]);
    expect(attachments.map(({ name }) => name)).toEqual(['map.png']);
  });

  test('without a date, a sender’s name or a text is one all the same', async () => {
    const message = (await readMessage(bytes('From: ask@hollin.example\n\n')))!;
    expect(message).toMatchObject({
      from: { name: '', address: 'ask@hollin.example' },
      sentAt: null,
      text: '',
      subject: '',
    });
  });

  test.each(['', 'nothing here', '\u0000\u0001'])('what is none is told: %p', async (mail) => {
    expect(await readMessage(bytes(mail))).toBeNull();
  });
});

describe('the words of HTML', () => {
  test.each([
    ['<p>One</p><p>Two<br>three</p>', 'One\n\nTwo\nthree'],
    ['<div>One</div><div>two  \n words</div>', 'One\ntwo words'],
    ['<ul><li>a</li><li>b</li></ul>', '- a\n- b'],
    ['<p>Yes.</p><blockquote><p>Is it?</p><p>Really?</p></blockquote>', 'Yes.\n\n> Is it?\n>\n> Really?'],
    ['<style>p{}</style><script>alert(1)</script><p onclick="x()">Only <b>this</b></p>', 'Only this'],
    ['<table><tr><td>a</td></tr><tr><td>b</td></tr></table>', 'a\nb'],
    ['&lt;b&gt; &amp; more', '<b> & more'],
    ['', ''],
  ])('%s', (html, words) => {
    expect(wordsOfHtml(html)).toBe(words);
  });
});
