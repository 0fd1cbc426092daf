import { CueIndex, DEFAULT_CUE_RULES, type ResolvedCue } from '#core/cue';
import { measure, type Measured } from './measure';
import { seeded } from '#core/workbench';

const LETTERS = 'abcdefghijklmnopqrstuvwxyz';
const RULES = { ...DEFAULT_CUE_RULES, fires: 'last', letters: 'exact' } as const;

/** So many different cues of three to eight letters after a comma. */
function makeCues(count: number): ResolvedCue[] {
  const random = seeded(7);
  const typed = new Set<string>();
  while (typed.size < count) {
    let cue = ',';
    const length = 3 + Math.floor(random() * 6);
    for (let at = 0; at < length; at += 1) cue += LETTERS[Math.floor(random() * 26)];
    typed.add(cue);
  }
  return [...typed].map((cue) => ({ entry: cue, typed: cue, rules: RULES }));
}

/** A text as it is typed, one string for each key: words, and a cue every twenty. */
function makeLines(cues: readonly ResolvedCue[]): string[] {
  const random = seeded(11);
  const words = 'the hedgehog was weighed and fed by hand at dusk before it went back to its warm pen'.split(
    ' ',
  );
  const lines: string[] = [];
  let line = '';
  for (let count = 0; count < 2000; count += 1) {
    const cue = cues[Math.floor(random() * cues.length)]!.typed;
    const next = count % 20 === 19 ? cue : words[Math.floor(random() * words.length)]!;
    for (const letter of ` ${next}`) {
      line += letter;
      lines.push(line);
    }
    if (line.length > 400) line = '';
  }
  return lines;
}

/** The way most would go: every end of the line looked up in a Map. */
function suffixMap(cues: readonly ResolvedCue[]): (line: string) => ResolvedCue | null {
  const known = new Map(cues.map((cue) => [cue.typed, cue]));
  const longest = cues.reduce((most, { typed }) => Math.max(most, typed.length), 0);
  return (line) => {
    for (let length = Math.min(longest, line.length); length > 0; length -= 1) {
      const found = known.get(line.slice(-length));
      const before = found && line.charAt(line.length - length - 1);
      if (found && (!before || !/[\p{L}\p{N}]/u.test(before))) return found;
    }
    return null;
  };
}

/** Is there a cue before the caret, all firing rules on; one call is one key. */
export function benchCues(): Measured[] {
  return [1000, 60_000, 1_000_000].flatMap((count) => {
    const cues = makeCues(count);
    const lines = makeLines(cues);
    const index = new CueIndex(cues);
    const map = suffixMap(cues);
    const disagreed = lines.filter((line) => (index.find(line)?.cue ?? null) !== map(line));
    if (disagreed.length > 0) throw new Error(`The two do not agree on: ${disagreed[0]}`);
    let at = 0;
    const nextLine = () => lines[(at = (at + 1) % lines.length)]!;
    const work = `a key, ${count.toLocaleString('en-GB')} cues`;
    return [
      measure('cues', work, 'Elderleaf', () => index.find(nextLine())),
      measure('cues', work, 'a Map of all cues, asked for every suffix', () => map(nextLine())),
    ];
  });
}
