/** What of a browser's media element a player needs. */
export type MediaLike = Pick<
  HTMLMediaElement,
  | 'currentTime'
  | 'duration'
  | 'paused'
  | 'playbackRate'
  | 'preservesPitch'
  | 'volume'
  | 'error'
  | 'play'
  | 'pause'
  | 'addEventListener'
  | 'removeEventListener'
>;

/** What is seen of a recording that is heard. Times are in seconds. */
export interface PlayerState {
  at: number;
  /** How long it is; null while that is not known, and of a recording that does not say. */
  length: number | null;
  isPlaying: boolean;
  /** 1 as it was spoken. */
  speed: number;
  /** From 0 to 1. */
  volume: number;
  /** The stretch that is heard again and again; `to` is null while only its beginning is set. */
  loop: { from: number; to: number | null } | null;
  /** Why it cannot be heard; null where it can. */
  failed: 'network' | 'broken' | 'unknown-format' | null;
}

/** Speeds go by a tenth, from half to double. */
export const SPEEDS = { least: 0.5, most: 2, step: 0.1 } as const;
/** A stretch to be heard again is at least so long, in seconds: a shorter one is a slip of the finger. */
const SHORTEST_LOOP = 0.3;

/** In the order of MediaError's codes (HTML, 4.8.11.1), from 2 on. */
const FAILURES = ['network', 'broken', 'unknown-format'] as const;

const EVENTS = [
  ...['timeupdate', 'durationchange', 'play', 'pause', 'ended', 'ratechange', 'volumechange', 'seeked'],
  ...['loadedmetadata', 'error'],
] as const;

/** A recording that is heard while it is written down: played, stepped through, slowed, a stretch of it heard again. */
export class Player {
  private readonly heard = new Set<() => void>();
  private loop: PlayerState['loop'] = null;
  /** Where it was last: by playing on from there, and not by a leap, the end of a stretch is come to. */
  private last = 0;
  private state: PlayerState;

  /**
   * @param media - What plays it.
   * @param stepBack - By how many seconds pausing goes back, asked each time.
   */
  constructor(
    private readonly media: MediaLike,
    private readonly stepBack: () => number,
  ) {
    media.preservesPitch = true;
    this.state = this.read();
    for (const name of EVENTS) media.addEventListener(name, this.changed);
  }

  /** What is seen of it now; another object only where something of it is another. */
  readonly now = (): PlayerState => this.state;

  /** Where it is to the very moment, in whole milliseconds: what is seen of it is told a few times a second. */
  readonly place = (): number => Math.round(this.media.currentTime * 1000);

  /** Hears of each change; gives what ends that. */
  readonly listen = (changed: () => void): (() => void) => {
    this.heard.add(changed);
    return () => void this.heard.delete(changed);
  };

  /** Plays, or pauses and goes back a little: so that one hears again what one has not written yet. */
  toggle(): void {
    if (this.media.paused) {
      // What cannot be played says so by an event of its own.
      void this.media.play().catch(() => undefined);
      return;
    }
    this.media.pause();
    this.goTo(Math.max(this.media.currentTime - this.stepBack(), this.loop?.from ?? 0));
  }

  /** Goes on by so many seconds, or back by as many where they are less than nothing. */
  step(by: number): void {
    this.goTo(this.media.currentTime + by);
  }

  goTo(at: number): void {
    const { length } = this.state;
    this.last = Math.min(Math.max(at, 0), length ?? Infinity);
    this.media.currentTime = this.last;
    this.changed();
  }

  /** Plays from a time on, in seconds. */
  playFrom(at: number): void {
    this.goTo(at);
    void this.media.play().catch(() => undefined);
  }

  /** Goes faster by so many steps of a tenth, or slower. */
  faster(steps: number): void {
    this.setSpeed(this.media.playbackRate + steps * SPEEDS.step);
  }

  setSpeed(speed: number): void {
    const held = Math.min(Math.max(speed, SPEEDS.least), SPEEDS.most);
    this.media.playbackRate = Math.round(held * 10) / 10;
  }

  /** From 0 to 1. */
  setVolume(volume: number): void {
    this.media.volume = Math.min(Math.max(volume, 0), 1);
  }

  /** Begins a stretch to be heard again, then ends it, then lets it go. */
  loopNext(): void {
    const at = this.media.currentTime;
    if (!this.loop) this.loop = { from: at, to: null };
    else if (this.loop.to === null && at >= this.loop.from + SHORTEST_LOOP) {
      this.loop = { ...this.loop, to: at };
      this.goTo(this.loop.from);
    } else this.loop = null;
    this.changed();
  }

  /** Hears no more of what plays it. */
  end(): void {
    for (const name of EVENTS) this.media.removeEventListener(name, this.changed);
    this.heard.clear();
  }

  private readonly changed = (): void => {
    const { loop, media } = this;
    const isAtEnd = loop?.to && media.currentTime >= loop.to && this.last < loop.to;
    if (isAtEnd && !media.paused) media.currentTime = loop.from;
    this.last = media.currentTime;
    const next = this.read();
    const isSame = (Object.keys(next) as (keyof PlayerState)[]).every((key) => next[key] === this.state[key]);
    if (isSame) return;
    this.state = next;
    for (const tell of this.heard) tell();
  };

  private read(): PlayerState {
    const { currentTime, duration, paused, playbackRate, volume, error } = this.media;
    return {
      ...{ at: currentTime, length: Number.isFinite(duration) && duration > 0 ? duration : null },
      ...{ isPlaying: !paused, speed: playbackRate, volume, loop: this.loop },
      failed: error ? (FAILURES[error.code - 2] ?? 'broken') : null,
    };
  }
}
