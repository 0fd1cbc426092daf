import { expect, test } from '@jest/globals';
import { bytesInWords } from './bytesInWords';

test.each([
  [0, '0 bytes'],
  [1, '1 byte'],
  [999, '999 bytes'],
  [1000, '1 kB'],
  [1249, '1.2 kB'],
  [12_300, '12 kB'],
  [999_499, '999 kB'],
  [999_500, '1 MB'],
  [1_250_000, '1.3 MB'],
  [500_000_000, '500 MB'],
  [2_100_000_000, '2.1 GB'],
  [5_000_000_000_000, '5,000 GB'],
])('%d is %s', (bytes, words) => {
  expect(bytesInWords(bytes, 'en-GB')).toBe(words);
});

test('numbers are written as the reader writes them', () => {
  expect(bytesInWords(1_250_000, 'de')).toBe('1,3 MB');
});
