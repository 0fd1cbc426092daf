import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { Player } from '.';

/** What plays, without sound: its time is set by the test. */
class Silent extends EventTarget {
  currentTime = 0;
  duration = 60;
  paused = true;
  playbackRate = 1;
  preservesPitch = false;
  volume = 1;
  error: MediaError | null = null;

  play(): Promise<void> {
    this.paused = false;
    this.tell('play');
    return Promise.resolve();
  }

  pause(): void {
    this.paused = true;
    this.tell('pause');
  }

  tell(name: string): void {
    this.dispatchEvent(new Event(name));
  }

  /** Plays on to a time. */
  playTo(at: number): void {
    this.currentTime = at;
    this.tell('timeupdate');
  }
}

let media: Silent;
let player: Player;
let back = 1;
beforeEach(() => {
  back = 1;
  media = new Silent();
  player = new Player(media, () => back);
});

describe('a recording', () => {
  test('keeps the voice’s pitch at any speed, which goes from half to double by tenths', () => {
    expect(media.preservesPitch).toBe(true);
    player.faster(3);
    expect(media.playbackRate).toBe(1.3);
    player.faster(40);
    expect(media.playbackRate).toBe(2);
    player.faster(-40);
    expect(media.playbackRate).toBe(0.5);
  });

  test.each([
    [1, 9],
    [5, 5],
    [0, 10],
    [20, 0],
  ])('paused it goes back by %d s: from 10 to %d', (seconds, at) => {
    back = seconds;
    player.toggle();
    expect(player.now().isPlaying).toBe(true);
    media.playTo(10);
    player.toggle();
    expect(player.now()).toMatchObject({ isPlaying: false, at });
  });

  test('steps stay within it; of one that does not say how long it is only its beginning is known', () => {
    player.goTo(50);
    player.step(30);
    expect(player.now().at).toBe(60);
    player.step(-300);
    expect(player.now().at).toBe(0);
    media.duration = Infinity;
    media.tell('durationchange');
    player.step(90);
    expect(player.now()).toMatchObject({ at: 90, length: null });
  });

  test('a stretch is begun, ended and heard again, until it is let go; behind it one hears on', () => {
    player.toggle();
    media.playTo(10);
    player.loopNext();
    expect(player.now().loop).toEqual({ from: 10, to: null });
    media.playTo(14);
    player.loopNext();
    expect([player.now().loop, media.currentTime]).toEqual([{ from: 10, to: 14 }, 10]);
    media.playTo(14.1);
    expect(media.currentTime).toBe(10);
    player.goTo(20);
    media.playTo(21);
    expect(media.currentTime).toBe(21);
    player.loopNext();
    expect(player.now().loop).toBeNull();
  });

  test('a stretch of no length is none', () => {
    player.loopNext();
    player.loopNext();
    expect(player.now().loop).toBeNull();
  });

  test.each([
    [2, 'network'],
    [3, 'broken'],
    [4, 'unknown-format'],
  ])('that fails by code %d says that it is %s', (code, failed) => {
    media.error = { code } as MediaError;
    media.tell('error');
    expect(player.now().failed).toBe(failed);
  });

  test('tells of changes alone, and of none once it has ended', () => {
    let told = 0;
    player.listen(() => (told += 1));
    media.tell('timeupdate');
    expect(told).toBe(0);
    media.playTo(3);
    expect(told).toBe(1);
    player.end();
    media.playTo(4);
    expect(told).toBe(1);
  });

  test('whatever is pressed, it stays within its time and its speeds', () => {
    const act = fc.oneof(
      fc.double({ min: -100, max: 100, noNaN: true }).map((by) => () => player.step(by)),
      fc.integer({ min: -9, max: 9 }).map((steps) => () => player.faster(steps)),
      fc.constant(() => player.toggle()),
      fc.constant(() => player.loopNext()),
      fc.double({ min: 0, max: 60, noNaN: true }).map((at) => () => media.playTo(at)),
    );
    fc.assert(
      fc.property(fc.array(act, { maxLength: 30 }), (acts) => {
        for (const one of acts) {
          one();
          const { at, speed, loop } = player.now();
          expect(at >= 0 && at <= 60 && speed >= 0.5 && speed <= 2).toBe(true);
          if (loop?.to) expect(loop.to).toBeGreaterThan(loop.from);
        }
      }),
    );
  });
});
