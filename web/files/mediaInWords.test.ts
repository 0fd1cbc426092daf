import { expect, test } from '@jest/globals';
import { mediaInWords } from './mediaInWords';

test.each([
  ['image/png', 'x', 'a picture'],
  ['audio/ogg; codecs=opus', 'x', 'a sound recording'],
  ['application/vnd.openxmlformats-officedocument.wordprocessingml.document', 'x', 'a document'],
  ['application/vnd.openxmlformats-officedocument.spreadsheetml.sheet', 'x', 'a table'],
  ['text/csv', 'x', 'a table'],
  ['text/plain', 'photo.png', 'a text file'],
  ['application/octet-stream', '', 'a file'],
  ['', 'Owl.PNG', 'a picture'],
  ['', 'letter.eml', 'an email'],
  ['', 'no ending', 'a file'],
  ['application/octet-stream', 'Ringing.xlsx', 'a table'],
])('%j called %j is %s', (media, name, words) => {
  expect(mediaInWords(media, name)).toBe(words);
});
