import { repeatedPhrases, worthBanking, type Text } from '#core/phrases';
import { proposedColumns } from './columnRoles';
import type { IntakeShape } from './documentShapes';
import type { IntakeTable } from './intakeTable';

/** A mail that somebody sent: its subject, and all of its text. */
export interface SentMail {
  subject: string;
  text: string;
}

/** So many words are a passage; fewer are put together anew each time. */
const LEAST_WORDS = 6;
const MOST_PASSAGES = 400;
/** Where so few different words are in a place they are a choice; where more, a blank. */
const MOST_OPTIONS = 6;

const SIGNATURE = /^-- ?$/;
/** What mail programs put above a mail that is answered or passed on, in the languages that heads are known in. */
const ABOVE_QUOTED =
  /^(-{2,}\s*(original message|forwarded message|ursprüngliche nachricht|message d'origine|mensaje original|oorspronkelijk bericht)\s*-{2,}|(on|am|le|el|op) .{6,160}(wrote|schrieb.*|a écrit|escribió|schreef.*)\s?:)$/i;

/** What somebody wrote in a mail themselves: without what it answers, and without the signature. */
export function ownText(text: string): string {
  const lines = text.replace(/\r\n?/g, '\n').split('\n');
  const end = lines.findIndex((line) => SIGNATURE.test(line) || ABOVE_QUOTED.test(line.trim()));
  return (end < 0 ? lines : lines.slice(0, end))
    .filter((line) => !/^\s*>/.test(line))
    .join('\n')
    .replace(/\n{3,}/g, '\n\n')
    .trim();
}

const isNumber = (word: string) => /^[\d.,:\s]+$/.test(word);

/** What differs from mail to mail, as a sign that is recognised as a blank or a choice. */
function signFor(differs: readonly string[]): string {
  if (differs.every(isNumber)) return '[number]';
  return differs.length <= MOST_OPTIONS ? `[${differs.join('/')}]` : '[word]';
}

/** Words with the marks around them that the mail has: a phrase is told without the full stop it ends with. */
function withMarks(words: string, texts: readonly Text<number>[]): string {
  for (const { text } of texts) {
    const at = text.indexOf(words);
    if (at < 0) continue;
    const before = /[“"‘'(¿¡]*$/.exec(text.slice(0, at))![0];
    const after = /^[.,:!?…)”"’']*/.exec(text.slice(at + words.length))![0].replace(/,$/, '');
    return `${before}${words}${after}`;
  }
  return words;
}

function run<T>(work: Generator<unknown, T>): T {
  for (;;) {
    const { done, value } = work.next();
    if (done) return value;
  }
}

/** The passages that are in two mails and more, those first that would have saved most keys; null where there is none. */
function repeatedPassages(own: readonly string[]): IntakeTable | null {
  const texts = own.map((text, owner): Text<number> => ({ owner, text }));
  const phrases = run(repeatedPhrases(texts, { least: LEAST_WORDS, inAtLeast: 2, most: 10 * MOST_PASSAGES }));
  const rows = run(worthBanking(texts, phrases))
    .slice(0, MOST_PASSAGES)
    .map(({ pieces, times }) => {
      const plain = pieces.every((piece) => 'text' in piece);
      const words = pieces.map((piece) => ('text' in piece ? piece.text : signFor(piece.differs))).join('');
      return [plain ? withMarks(words, texts) : words, `In ${times} mails`];
    });
  return rows.length === 0 ? null : { name: '', heads: ['Wording', 'Note'], rows, remarks: [] };
}

/** Each mail as a wording under its subject, without those that nothing was written in. */
function eachMail(mails: readonly SentMail[], own: readonly string[]): IntakeTable | null {
  const rows = mails.flatMap(({ subject }, at) =>
    own[at] === '' ? [] : [[subject.replace(/^((re|fwd?|aw|wg|sv|rv|tr)\s*:\s*)+/i, '').trim(), own[at]!]],
  );
  return rows.length === 0 ? null : { name: '', heads: ['Title', 'Wording'], rows, remarks: [] };
}

/**
 * The ways to make entries of mails that somebody sent: of the passages that repeat in them, which is what one would rather not type again,
 * or of each mail. Of two mails of one text the repeated passage is that text.
 */
export function mailShapes(mails: readonly SentMail[]): IntakeShape[] {
  const own = mails.map(({ text }) => ownText(text));
  const shapes: [IntakeShape['id'], IntakeTable | null][] = [
    ['passages', repeatedPassages(own)],
    ['mails', eachMail(mails, own)],
  ];
  return shapes.flatMap(([id, table]) => (table ? [{ id, table, columns: proposedColumns(table) }] : []));
}
