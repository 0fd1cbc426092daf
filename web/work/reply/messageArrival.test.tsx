import { expect, test } from '@jest/globals';
import { messageArrival } from './messageArrival';

test.each([
  ['letter.eml', 'x', true],
  ['LETTER.EML', 'x', true],
  ['saved', 'Return-Path: <a@b.example>\r\nReceived: from x\r\n\tby y\r\nSubject: Owl\r\n\r\nHello', true],
  ['notes.txt', 'From: me\nto you', false],
  ['notes.txt', 'Dear all,\nfrom now on: no dogs.', false],
])('%s is known for what it is', (name, text, is) => {
  const file = new File([text], name);
  expect(messageArrival.isOf({ file, bytes: new Uint8Array(), text })).toBe(is);
});
