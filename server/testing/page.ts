import { EventEmitter } from 'node:events';
import type { Response } from 'express';
import type { LiveEvent } from '#contracts';
import type { Announcer } from '../events';

/** An open page, as the server sees it: what it was told, until it is closed. */
export class Page extends EventEmitter {
  readonly told: LiveEvent[] = [];
  ended = false;

  /** Opens a page of a member at a server process. */
  static open(hub: Announcer, member: string, session = 'one', askedFor?: number): Page {
    const page = new Page();
    hub.listen(member, session, page as unknown as Response, askedFor);
    return page;
  }

  readonly writableLength = 0;

  get writableEnded(): boolean {
    return this.ended;
  }

  write(line: string): void {
    if (this.ended) throw new Error('Written to a stream that has ended.');
    if (line.startsWith('data: ')) this.told.push(JSON.parse(line.slice(6)) as LiveEvent);
  }

  end(): void {
    this.ended = true;
    this.emit('close');
  }

  get types(): string[] {
    return this.told.map(({ type }) => type);
  }
}

/** Waits until all that was told before has come to these pages: each hears in order, so a last event tells. */
export async function settled(hub: Announcer, pages: readonly Page[]): Promise<void> {
  const last: LiveEvent = { type: 'case-added', case: 'the last' };
  const hasCome = ({ told }: Page) => JSON.stringify(told.at(-1)) === JSON.stringify(last);
  await hub.tellAll(last);
  for (let tries = 0; tries < 1000 && !pages.every((page) => page.ended || hasCome(page)); tries += 1)
    await new Promise((resolve) => setTimeout(resolve, 10));
  for (const page of pages) {
    if (page.ended) continue;
    if (!hasCome(page)) throw new Error('An open page did not hear the last event.');
    page.told.pop();
  }
}
