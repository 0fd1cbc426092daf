import { describe, expect, test } from '@jest/globals';
import { readSettings } from './settings';

describe('settings', () => {
  test('what is not set is as docs/OPERATING.md says', () => {
    expect(readSettings({}, null)).toMatchObject({
      ...{ port: 4780, demo: null, databaseUrl: null, address: null, smtp: null, mailbox: null },
      ...{ secureCookies: false, proxies: 0, atHand: 5000, fileBytes: 500_000_000 },
    });
  });

  test.each([
    ['first-day', 'first-day'],
    ['lived', 'lived'],
    ['', null],
  ])('ELDERLEAF_DEMO “%s” is %p, in a folder of its own', (value, demo) => {
    const settings = readSettings({ ELDERLEAF_DEMO: value }, null);
    expect(settings.demo).toBe(demo);
    expect(settings.dataFolder).toMatch(demo ? /demo$/ : /team$/);
  });

  test.each([
    [{ ELDERLEAF_DEMO: '1' }, 'ELDERLEAF_DEMO must be first-day or lived, and is "1".'],
    [{ PORT: 'x' }, 'PORT must be a whole number from 0, and is "x".'],
    [{ PORT: '70000' }, 'PORT must be at most 65535, and is "70000".'],
    [{ ELDERLEAF_FILE_MB: '-1' }, 'ELDERLEAF_FILE_MB must be a whole number from 0'],
    [{ SMTP_URL: 'smtp://mail' }, 'SMTP_FROM must be the email address'],
    [{ ELDERLEAF_MAILBOX: 'imap.hollin.example' }, 'ELDERLEAF_MAILBOX must be an address'],
    [{ ELDERLEAF_MAILBOX: 'https://me:pw@hollin.example' }, 'ELDERLEAF_MAILBOX must be an address'],
    [{ ELDERLEAF_URL: 'bank' }, 'ELDERLEAF_URL must be an address'],
  ])('%j cannot be used, and the variable is named', (env, message) => {
    expect(() => readSettings(env, null)).toThrow(message);
  });
});
