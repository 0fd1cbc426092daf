import type { TimeStyle } from './cast';
import { clockTime } from './clockTime';

type Form = Pick<TimeStyle, 'form' | 'rate'>;

/** A time in milliseconds as it is written: 753400 is 00:12:33, [00:12:33], 753.4 s, or 00:12:33:10 at 25 frames a second. */
export function writtenTime(at: number, { form, rate }: Form): string {
  switch (form) {
    case 'clock':
      return clockTime(at / 1000);
    case 'brackets':
      return `[${clockTime(at / 1000)}]`;
    case 'seconds':
      return `${(Math.round(at / 100) / 10).toFixed(1)} s`;
    case 'frames': {
      const frame = Math.floor(((at % 1000) * rate) / 1000 + 1e-6);
      return `${clockTime(at / 1000)}:${String(frame).padStart(2, '0')}`;
    }
  }
}

const CLOCK = /^(?:(\d{1,3}):)?(\d{1,2}):(\d{2})(?:[.,](\d{1,3})|:(\d{2,3}))?$/;
const SECONDS = /^(\d{1,6})(?:[.,](\d{1,3}))?\s?s$/i;

const fraction = (digits: string | undefined) => Number((digits ?? '').padEnd(3, '0'));

/** A time as somebody writes it, in milliseconds; null for what is none. Frames are counted at the rate given. */
export function readTime(text: string, rate = 25): number | null {
  const bare = text.trim().replace(/^[[(](.*)[\])]$/, '$1');
  const seconds = SECONDS.exec(bare);
  if (seconds) return Number(seconds[1]) * 1000 + fraction(seconds[2]);
  const clock = CLOCK.exec(bare);
  if (!clock) return null;
  const [, hours = '0', minutes, secs, part, frames] = clock;
  if (Number(secs) > 59 || (clock[1] !== undefined && Number(minutes) > 59)) return null;
  const whole = (Number(hours) * 3600 + Number(minutes) * 60 + Number(secs)) * 1000;
  return whole + fraction(part) + Math.ceil((Number(frames ?? 0) * 1000) / rate);
}
