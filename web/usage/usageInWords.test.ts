import { describe, expect, test } from '@jest/globals';
import type { Usage } from '#contracts';
import { usageInWords } from './usageInWords';

const usage = (weeks: [string, number, number, number][], entries: [string, number][]): Usage => ({
  weeks: weeks.map(([week, times, saved, mineSaved]) => ({ week, times, saved, mine: 0, mineSaved })),
  entries: entries.map(([title, saved]) => ({
    ...{ entry: title, collection: 'ward', title, saved },
    ...{ times: 1, mine: 0, mineSaved: 0 },
  })),
  ...{ kinds: [], people: [], ways: [], collections: [], never: [], neverCount: 0 },
});

describe('usage says what it means', () => {
  test.each([
    [
      'keystrokes, since when, by which entry most, and mine among them',
      usage(
        [
          ['2026-11-16', 300, 900, 200],
          ['2026-11-23', 100, 340, 110],
        ],
        [
          ['Weight today', 400],
          ['Hedgehog admission', 840],
        ],
      ),
      '1,240 keystrokes saved by 400 placements since 16 November 2026, most by “Hedgehog admission”. You saved 310 of them.',
    ],
    [
      'one alone, all of it mine',
      usage([['2026-11-23', 1, 90, 90]], [['Wound cleaned', 90]]),
      '90 keystrokes saved by 1 placement since 23 November 2026, most by “Wound cleaned”. You saved all of them.',
    ],
    [
      'none of it mine',
      usage([['2026-11-23', 4, 90, 0]], [['Wound cleaned', 90]]),
      '90 keystrokes saved by 4 placements since 23 November 2026, most by “Wound cleaned”.',
    ],
    [
      'more keys pressed than characters came',
      usage([['2026-11-23', 2, -3, -3]], [['Laughter', -3]]),
      '2 placements since 23 November 2026. No keystrokes were saved so far.',
    ],
  ])('%s', (_, figures, words) => expect(usageInWords(figures, 'en-GB')).toBe(words));
});
