/** What answers and forwarded messages put before a subject: in English, German and Welsh, and with a number as some programs do. */
const BEFORE = /^\s*(?:(?:re|fwd?|aw|wg|antw|ateb|yml|ymlaen)(?:\s*\[\d+\])?\s*:\s*)+/i;

/** What a message is about: its subject without what answering has put before it. */
export const plainSubject = (subject: string): string =>
  subject.replace(BEFORE, '').replace(/\s+/g, ' ').trim();
