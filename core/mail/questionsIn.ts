import { messageParts } from './messageParts';

/** So many are told of one message. */
const MOST = 12;
/** What is shorter asks nothing by itself: "OK?" */
const SHORTEST = 8;

/**
 * The questions that a message asks itself, as they stand in it, in any language that ends them by a question mark; not those that it quotes.
 * A question that is asked twice is told once.
 */
export function questionsIn(text: string): string[] {
  const said = messageParts(text).flatMap((part) => (part.kind === 'said' ? [part.text] : []));
  const paragraphs = said.join('\n\n').split(/\n\s*\n/);
  const questions = paragraphs.flatMap((paragraph) =>
    [...paragraph.replace(/\s+/g, ' ').matchAll(/[^.!?]*\?+/g)].map(([sentence]) => sentence.trim()),
  );
  return [...new Set(questions.filter((question) => question.length >= SHORTEST))].slice(0, MOST);
}
