/** More behind a lead-in is not looked at: it is prose by then. */
const MOST_LETTERS = 40;
const MOST_WORDS = 3;

/** What stands on a line behind a lead-in. */
export interface AfterLeadIn {
  /** Where in the line the lead-in begins. */
  from: number;
  leadIn: string;
  /** What was typed behind it, not empty. */
  words: string;
}

const beginsWord = (line: string, at: number): boolean => at === 0 || /[\s(["'“‘]/.test(line[at - 1]!);
const isMeant = (words: string): boolean =>
  words !== '' &&
  words.length <= MOST_LETTERS &&
  !/^\s/.test(words) &&
  words.trim().split(/\s+/).length <= MOST_WORDS;

/** What a line ends with behind a lead-in that begins a word; null for nothing: then nothing of the line is looked at for offers. */
export function afterLeadIn(line: string, leadIns: readonly string[]): AfterLeadIn | null {
  const longestFirst = [...leadIns].filter((one) => one !== '').sort((a, b) => b.length - a.length);
  for (let from = line.length - 1; from >= 0 && line.length - from <= MOST_LETTERS + 8; from -= 1) {
    if (!beginsWord(line, from)) continue;
    const leadIn = longestFirst.find((one) => line.startsWith(one, from));
    const words = leadIn === undefined ? '' : line.slice(from + leadIn.length);
    if (leadIn !== undefined && isMeant(words)) return { from, leadIn, words };
  }
  return null;
}
