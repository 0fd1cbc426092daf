import { linesOf, lineText, mapLines, type Inline, type Line, type Mark, type Passage } from '#core/passage';

/** A sentence of a line: where it stands (UTF-16), its closing mark with it. */
interface Sentence {
  from: number;
  to: number;
}

const SENTENCE = /[^\s.!?](?:[^.!?]|[.!?](?=\S))*[.!?]?/gu;

const sentencesOf = (text: string): Sentence[] =>
  [...text.matchAll(SENTENCE)].map((match) => ({
    from: match.index,
    to: match.index + match[0].trimEnd().length,
  }));

const STATE =
  'normal|clear|clean|closed|intact|healed|healing|dry|bright|alert|stable|sound|soft|moist|pink|equal|regular|steady|unremarkable|present|absent|full|empty|open|swollen|infected|warm|cold|thin|lame|responsive|unchanged|within normal limits|as expected|in good condition|up to date|well';
const DOES =
  '(?:eats|ate|drinks|drank|walks|walked|breathes|breathed|moves|moved|stands|stood|flies|flew|swims|swam|feeds|fed|sleeps|slept) (?:well|normally|freely|evenly|easily|quietly|by (?:itself|himself|herself|hand)|without)';
/** What is said of how something is in this one case: read again in another, it may be untrue. */
const FINDING = new RegExp(
  `^(?:no|not|nothing|none)(?!\\p{L})|(?<!\\p{L})(?:(?:is|are|was|were|looks?|looked|sounds?|sounded|feels?|felt|appears?|appeared|seems?|seemed|remains?|remained)(?: still| now| not| both| all| quite| fully| well)* (?:${STATE})|${DOES}|without (?:any )?(?:signs?|evidence|trace)|there (?:is|are|was|were) no)(?!\\p{L})`,
  'iu',
);
/** Asked, wished or told to do: nothing is claimed. */
const NO_CLAIM =
  /\?$|^(?:please|if|when|keep|give|make sure|check|let)(?!\p{L})|(?<!\p{L})(?:should|must|may|might|could|would|will|if|whether|until|once)(?!\p{L})/iu;

const isFinding = (sentence: string) => FINDING.test(sentence) && !NO_CLAIM.test(sentence);

const textIn = (line: Line, { from, to }: Sentence): string => lineText(line).slice(from, to);

const findingsOf = (line: Line): Sentence[] =>
  sentencesOf(lineText(line)).filter((sentence) => isFinding(textIn(line, sentence)));

/** Sentences of English wording that claim something of one case, as "No wound is open.": each once, in reading order. A person decides. */
export const findingsIn = (passage: Passage): string[] => [
  ...new Set(linesOf(passage).flatMap((line) => findingsOf(line).map((sentence) => textIn(line, sentence)))),
];

const CONFIRM: Mark = { type: 'confirm' };
const withConfirm = (inline: Inline): Inline =>
  inline.marks?.some(({ type }) => type === 'confirm')
    ? inline
    : { ...inline, marks: [CONFIRM, ...(inline.marks ?? [])] };

/** A line with what stands from one place to another marked as a statement. */
function confirmed(line: Line, { from, to }: Sentence): Line {
  let at = 0;
  return line.flatMap((inline): Inline[] => {
    const start = at;
    const length = inline.type === 'text' ? inline.text.length : 1;
    at += length;
    const [first, last] = [Math.max(0, from - start), Math.min(length, to - start)];
    if (first >= last) return [inline];
    if (inline.type !== 'text') return [withConfirm(inline)];
    const pieces: Inline[] = [
      { ...inline, text: inline.text.slice(0, first) },
      withConfirm({ ...inline, text: inline.text.slice(first, last) }),
      { ...inline, text: inline.text.slice(last) },
    ];
    return pieces.filter((piece) => piece.type !== 'text' || piece.text !== '');
  });
}

/** The passage with those of its findings marked as statements, to be confirmed for each case, that `wanted` holds by their words. */
export const asStatements = (passage: Passage, wanted: ReadonlySet<string>): Passage =>
  mapLines(passage, (line) =>
    findingsOf(line)
      .filter((sentence) => wanted.has(textIn(line, sentence)))
      .reduce(confirmed, line),
  );
