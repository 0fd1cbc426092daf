const MODIFIERS = ['Shift', 'Control', 'Alt', 'AltGraph', 'Meta', 'CapsLock'];

interface Counted {
  /** Keys pressed for each placement: to bring, fill and mend it. */
  keys: Record<string, number>;
  /** Placements whose savings were counted already. */
  done: string[];
}

const PREFIX = 'elderleaf.keys.';

/**
 * Counts the keys pressed for each placement of a draft, on this computer, until the draft is finished. Numbers only;
 * a browser without room for them counts for as long as the page is open.
 */
export class PressedKeys {
  private readonly counted: Counted;
  /** All keys pressed on this page so far, for telling how many a search took. */
  total = 0;

  constructor(private readonly draft: string) {
    this.counted = this.read();
  }

  /** Hears a key; `placement` is the one it was pressed in, null for none. */
  hear(event: Pick<KeyboardEvent, 'key'>, placement: string | null): void {
    if (MODIFIERS.includes(event.key)) return;
    this.total += 1;
    if (placement !== null) this.add(placement, 1);
  }

  /** Adds the keys it took to bring a placement. */
  add(placement: string, keys: number): void {
    this.counted.keys[placement] = (this.counted.keys[placement] ?? 0) + keys;
  }

  /** The keys pressed for a placement whose savings are counted now; null when they were counted before, or nothing is known of it. */
  take(placement: string): number | null {
    const keys = this.counted.keys[placement];
    if (keys === undefined || this.counted.done.includes(placement)) return null;
    this.counted.done.push(placement);
    return keys;
  }

  /** Keeps the counts on this computer. */
  keep(): void {
    try {
      localStorage.setItem(PREFIX + this.draft, JSON.stringify(this.counted));
    } catch {
      // No room: the counts end with the page.
    }
  }

  private read(): Counted {
    try {
      const kept = JSON.parse(localStorage.getItem(PREFIX + this.draft) ?? 'null') as Counted | null;
      return kept ?? { keys: {}, done: [] };
    } catch {
      return { keys: {}, done: [] };
    }
  }
}
