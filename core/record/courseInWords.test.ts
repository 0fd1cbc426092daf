import { expect, test } from '@jest/globals';
import { courseInWords, type Course } from './index';

const none = { since: null, until: null };

test.each<[Course, string]>([
  [{ status: 'active', ...none }, ''],
  [{ status: 'active', since: '2026-11-16' }, 'since 16 November'],
  [{ status: 'active', since: '2025-11-16' }, 'since 16 November 2025'],
  [{ status: 'planned', ...none }, 'planned'],
  [{ status: 'planned', since: '2026-11-28' }, 'planned from 28 November'],
  [{ status: 'ended', ...none }, 'stopped'],
  [{ status: 'ended', since: '2026-11-16', until: null }, 'stopped, from 16 November'],
  [{ status: 'ended', since: null, until: '2026-11-19' }, 'stopped 19 November'],
  [{ status: 'ended', since: '2026-11-16', until: '2026-11-19' }, 'stopped 19 November, from 16 November'],
  [{ status: 'resolved', since: '2025-10-03' }, 'resolved, from 3 October 2025'],
])('%j: %s', (course, words) => {
  expect(courseInWords(course, '2026-11-27', 'en-GB')).toBe(words);
});
