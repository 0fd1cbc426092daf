/** Loudness is told by the loudest sample of so many milliseconds. */
export const STEP_MS = 50;

/** The loudness of a sound as it comes in, from 0 to 1, a number for each stretch of `STEP_MS`: of an hour 72,000 of them. */
export class Loudness {
  private peaks = new Float32Array(4096);
  private count = 0;
  private peak = 0;
  /** How much of the present stretch was heard, in samples. */
  private heard = 0;

  /** Hears samples of one channel, from -1 to 1. */
  hear(samples: Float32Array, sampleRate: number): void {
    const step = Math.round((sampleRate * STEP_MS) / 1000);
    for (const sample of samples) {
      const loud = sample < 0 ? -sample : sample;
      if (loud > this.peak) this.peak = loud;
      this.heard += 1;
      if (this.heard < step) continue;
      this.add(this.peak);
      this.peak = this.heard = 0;
    }
  }

  private add(peak: number): void {
    if (this.count === this.peaks.length) {
      const more = new Float32Array(this.peaks.length * 2);
      more.set(this.peaks);
      this.peaks = more;
    }
    this.peaks[this.count] = Math.min(1, peak);
    this.count += 1;
  }

  /**
   * What was heard in so many columns at the most, each the loudest of its stretch, as whole numbers from 0 to 255 of the loudest of all.
   */
  columns(most: number): number[] {
    const width = Math.max(1, Math.ceil(this.count / most));
    const columns = Array.from({ length: Math.ceil(this.count / width) }, (_, at) =>
      this.peaks
        .subarray(at * width, Math.min(this.count, (at + 1) * width))
        .reduce((a, b) => Math.max(a, b), 0),
    );
    const loudest = columns.reduce((a, b) => Math.max(a, b), 0);
    return columns.map((peak) => (loudest > 0 ? Math.round((peak / loudest) * 255) : 0));
  }
}
