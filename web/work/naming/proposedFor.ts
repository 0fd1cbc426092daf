import type { SaidBefore } from '#contracts';
import { dateInWords } from '#core/calendar';
import type { Field } from '#core/entry';
import { datesOfPaper, namesOfPaper, numbersOfPaper, searchedWords, type Paper } from '#core/naming';
import type { ProposedAnswer } from '../../writing';

interface Known {
  today: string;
  /** Of the papers and of whoever names them (BCP 47), theirs first. */
  languages: readonly string[];
  /** Numbers of the team's own, as examples. */
  numbers: readonly string[];
  /** What was answered in earlier names, the most frequent first. */
  said: readonly SaidBefore[];
}

const MOST_NAMES = 6;
/** What fields are called that ask for a number, for who sent it, and for what it is about, in the words of the house and of the trade. */
const NUMBER = /\b(?:number|no|nr|ref(?:erence)?|id|account)\b/i;
const SENDER = /\b(?:sender|from|author|who|company|supplier)\b/i;
const SUBJECT = /\b(?:subject|about|title|what)\b/i;

const proposedText = (words: string, context: string): ProposedAnswer => ({
  ...{ words, context },
  answer: { kind: 'text', text: words },
});

function proposedWords(field: Field, paper: Paper, searched: string, known: Known): ProposedAnswer[] {
  const said = known.said.filter((one) => one.field.toLowerCase() === field.name.toLowerCase());
  const found = namesOfPaper(searched, said);
  const all = [
    ...found.map(({ words }) => proposedText(words, 'in this file')),
    ...(NUMBER.test(field.name)
      ? // As no system forbids it in a name: AB/12 is AB-12.
        numbersOfPaper(paper, known.numbers).map(({ number, context }) =>
          proposedText(number.replace(/[/\\:]/g, '-'), context),
        )
      : []),
    ...(SENDER.test(field.name) && paper.from !== '' ? [proposedText(paper.from, 'as the file says')] : []),
    ...(SUBJECT.test(field.name) && paper.title !== ''
      ? [proposedText(paper.title, 'as the file says')]
      : []),
    ...said
      .filter((one) => !found.includes(one))
      .slice(0, MOST_NAMES)
      .map(({ words }) => proposedText(words, 'in an earlier name')),
  ];
  const seen = new Set<string>();
  return all.filter(({ words }) => {
    const key = words.toLowerCase();
    return words.length <= 300 && !seen.has(key) && seen.add(key);
  });
}

/** What a file, and the names of others before it, offer as answers: days for a date, names, numbers and titles for words. None is taken by itself. */
export function proposerFor(paper: Paper, known: Known): (field: Field) => readonly ProposedAnswer[] {
  const searched = searchedWords(paper);
  const [language = 'en-GB'] = known.languages;
  const dates = datesOfPaper(paper, known).map(({ date, context }): ProposedAnswer => ({
    words: dateInWords(date, 'long', language),
    ...{ context, answer: { kind: 'date', date } },
  }));
  const made = new Map<string, readonly ProposedAnswer[]>();
  return (field) => {
    if (field.kind === 'date') return dates;
    if (field.kind !== 'text' || field.long) return [];
    const had = made.get(field.name);
    const proposed = had ?? proposedWords(field, paper, searched, known);
    made.set(field.name, proposed);
    return proposed;
  };
}
