import { readEscape } from './escapes';
import { refuse, type SourceLine } from './sourceLine';

/** Reads one line from the left, and says where it stopped. */
export class Cursor {
  at = 0;

  constructor(readonly source: SourceLine) {}

  get rest(): string {
    return this.source.text.slice(this.at);
  }

  get isDone(): boolean {
    return this.rest.trim() === '';
  }

  spaces(): this {
    while (this.source.text[this.at] === ' ') this.at += 1;
    return this;
  }

  /** Takes what matches at this place; null, and nothing taken, when it does not. */
  take(pattern: RegExp): string | null {
    const found = new RegExp(`^(?:${pattern.source})`, pattern.flags).exec(this.rest);
    if (!found) return null;
    this.at += found[0].length;
    return found[0];
  }

  wanted(wanted: string): never {
    refuse(this.source, this.at, { code: 'wanted', wanted, found: this.rest.slice(0, 30) });
  }

  must(sign: string): void {
    this.spaces();
    if (!this.rest.startsWith(sign)) this.wanted(`“${sign}”`);
    this.at += sign.length;
  }

  end(): void {
    if (!this.isDone) this.spaces().wanted('the end of the line');
  }

  /** Words in double quotes; null when none begin here. */
  quoted(): string | null {
    this.spaces();
    const from = this.at;
    const { text } = this.source;
    if (text[from] !== '"') return null;
    let words = '';
    for (this.at += 1; this.at < text.length;) {
      if (text[this.at] === '"') {
        this.at += 1;
        return words;
      }
      const escape = text[this.at] === '\\' ? readEscape(text, this.at) : null;
      words += escape ? escape.character : text[this.at]!;
      this.at += escape ? escape.length : 1;
    }
    return refuse(this.source, from, { code: 'not-closed', found: '"' });
  }

  /** A name: in double quotes, or as it is up to a sign or the end of the line. */
  name(): string {
    const quoted = this.quoted();
    if (quoted !== null) return quoted;
    const bare = this.take(/[^"():,;=]+/)?.trim() ?? '';
    return bare === '' ? this.wanted('a name') : bare;
  }

  number(): number {
    this.spaces();
    const found = this.take(/-?\d+(\.\d+)?(e[+-]?\d+)?/i);
    return found === null ? this.wanted('a number') : Number(found);
  }
}
