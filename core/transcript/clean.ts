import { mapLines, wordsOfInline, type Inline, type Passage } from '#core/passage';

const isDisfluent = ({ marks }: Inline) => marks?.some(({ type }) => type === 'disfluency') ?? false;

const beginsSentence = (before: string) => /(?:^|[.!?…]["”’)]*\s+)$/.test(before);

const withCapital = (text: string) => text.charAt(0).toLocaleUpperCase() + text.slice(1);

/** No more than the end of what stands before is asked for. */
const END = 12;
const endOf = (before: string, words: string): string => (before + words).slice(-END);

/** A line without what is marked: no space is left doubled, at its beginning or before a stop, and a sentence begins as it did. */
function cleanLine(line: readonly Inline[]): Inline[] {
  const kept: Inline[] = [];
  // What went since the last words, and whether it began with a capital.
  let gone: { capital: boolean } | null = null;
  // The end of what is kept: a time that was put there is no word of the sentence.
  let before = '';
  for (const inline of line) {
    if (isDisfluent(inline)) {
      const first = /\p{L}/u.exec(inline.type === 'text' ? inline.text : '')?.[0] ?? '';
      gone ??= { capital: beginsSentence(before) && first !== first.toLocaleLowerCase() };
      continue;
    }
    if (gone && inline.type === 'text') {
      let { text } = inline;
      if (/(?:^|\s)$/.test(before)) text = text.trimStart();
      if (gone.capital) text = withCapital(text);
      if (/^\s*[.,;:!?]/.test(text)) trimLast(kept);
      if (text !== '') kept.push({ ...inline, text });
      before = endOf(before, text);
    } else {
      kept.push(inline);
      if (inline.type !== 'timeCode') before = endOf(before, wordsOfInline(inline));
    }
    gone = null;
  }
  if (gone) trimLast(kept);
  return kept;
}

/** Takes the space at the end of the last words away. */
function trimLast(line: Inline[]): void {
  const last = line.at(-1);
  if (last?.type !== 'text') return;
  const text = last.text.trimEnd();
  if (text === '') line.pop();
  else line[line.length - 1] = { ...last, text };
}

/** A transcript without what is marked as a filler, a stammer or a false start. */
export const cleaned = <P extends Passage>(passage: P): P => ({
  ...passage,
  content: mapLines(passage, (line) => (line.some(isDisfluent) ? cleanLine(line) : line)).content,
});
