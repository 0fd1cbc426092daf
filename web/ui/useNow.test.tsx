import { afterEach, beforeEach, describe, expect, it, jest } from '@jest/globals';
import { act, renderHook } from '@testing-library/react';
import { useNow } from './useNow';

describe('the time on a page that is left open', () => {
  beforeEach(() => void jest.useFakeTimers({ now: new Date('2026-03-02T09:00:00Z') }));
  afterEach(() => void jest.useRealTimers());

  it('goes on by itself, and stops with the page', () => {
    const { result, unmount } = renderHook(useNow);
    expect(result.current.toISOString()).toBe('2026-03-02T09:00:00.000Z');
    act(() => jest.advanceTimersByTime(120_000));
    expect(result.current.toISOString()).toBe('2026-03-02T09:02:00.000Z');
    unmount();
    expect(jest.getTimerCount()).toBe(0);
  });
});
