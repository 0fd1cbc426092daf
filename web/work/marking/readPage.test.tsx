import { beforeEach, expect, test } from '@jest/globals';
import { KEYS, queryClient } from '../../api';
import { readPage } from './readPage';

beforeEach(() => {
  queryClient.setQueryData(KEYS.fileLimits, { mostBytes: 1000 });
});

test('a page that was changed on disk meanwhile, or is too large, is told in words', async () => {
  const changed = new File(['%PDF-1.7'], 'plan.pdf');
  changed.arrayBuffer = () => Promise.reject(new DOMException('', 'NotReadableError'));
  await expect(readPage(changed)).rejects.toThrow(/plan\.pdf could not be read: it was moved, changed/);
  await expect(readPage(new File(['x'.repeat(1001)], 'film.pdf'))).rejects.toThrow(/film\.pdf has/);
});
