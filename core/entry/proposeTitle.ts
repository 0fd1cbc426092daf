import { linesOf, textOfInlines, type Line, type Passage } from '#core/passage';

const LONGEST = 48;
const SHORT = 10;
const SMALL =
  'a|an|and|are|as|at|been|by|for|from|has|have|he|her|his|in|is|it|its|of|on|or|she|so|that|the|their|they|to|was|were|which|with';
/** What belongs to a word before it that is left out: a blank's "'s", or letters that it ran into. */
const REST_OF_WORD = /^['’]?\p{L}*(?=[^\p{L}]|$)/u;
const SMALL_FIRST = new RegExp(`^(?:(?:${SMALL})(?![\\p{L}])|[^\\p{L}\\p{N}])+`, 'iu');
const SMALL_LAST = new RegExp(`(?:(?<![\\p{L}])(?:${SMALL})|[^\\p{L}\\p{N})])+$`, 'iu');

/** The words of a line between its blanks, each run without small words at its edges. */
function tellingRuns(line: Line): string[] {
  const text = textOfInlines(
    line.map((inline) => (inline.type === 'blank' ? { type: 'text', text: '\n' } : inline)),
  );
  const sentence = /^.*?(?:[.!?](?=\s*$|\s+\p{Lu})|$)/su.exec(text.trim())?.[0] ?? '';
  const runs = sentence.split('\n').map((run, at) => {
    const whole = at > 0 && /^['’\p{L}]/u.test(run) ? run.replace(REST_OF_WORD, '') : run;
    return whole.replace(SMALL_FIRST, '').replace(SMALL_LAST, '');
  });
  return runs.map((run) => run.replace(/\s+/g, ' ')).filter((run) => run !== '');
}

/**
 * A title for a wording, from the telling words of its first sentence: at most 48 characters, cut at a word.
 * What stood between blanks is parted by commas; the blanks are left out, so that nothing of a case gets
 * into a title. '' when there are no words.
 */
export function proposeTitle(passage: Passage): string {
  const lines = linesOf(passage)
    .map((line) => tellingRuns(line).join(', '))
    .filter((words) => words !== '');
  // A line of one short word, such as the greeting of a letter, tells nothing when there are others.
  let title = lines.find((words) => words.length > SHORT) ?? lines[0] ?? '';
  if (title.length > LONGEST) {
    const cut = title.slice(0, LONGEST + 1);
    const space = cut.lastIndexOf(' ');
    title = cut.slice(0, space > LONGEST / 2 ? space : LONGEST).replace(SMALL_LAST, '');
  }
  return title.replace(/^\p{Ll}/u, (letter) => letter.toLocaleUpperCase());
}
