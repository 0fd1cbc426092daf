import { expect, jest, test } from '@jest/globals';
import { loadScreen } from './loadScreen';

const failing = () => Promise.reject(new Error('not fetched'));
const anew = (isThere: boolean, lastAnew = 0) => ({
  isThere: () => Promise.resolve(isThere),
  goAnew: jest.fn(),
  lastAnew: () => lastAnew,
});

test('what can be fetched is, and the page stays', async () => {
  const on = anew(true);
  await expect(loadScreen(() => Promise.resolve('screen'), on)).resolves.toBe('screen');
  expect(on.goAnew).not.toHaveBeenCalled();
});

test('what cannot be fetched though the server is there is fetched by a page opened anew', async () => {
  const on = anew(true);
  const failed = jest.fn();
  void loadScreen(failing, on).catch(failed);
  await new Promise((done) => setTimeout(done));
  expect(on.goAnew).toHaveBeenCalledTimes(1);
  expect(failed).not.toHaveBeenCalled();
});

test.each([
  ['the server is down', anew(false)],
  ['the page was opened anew for it just now', anew(true, Date.now())],
])('where %s it is said, and the page stays', async (_when, on) => {
  await expect(loadScreen(failing, on)).rejects.toThrow('not fetched');
  expect(on.goAnew).not.toHaveBeenCalled();
});
