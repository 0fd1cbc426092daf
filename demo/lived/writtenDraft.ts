import { clockTime } from '#core/transcript';
import type { CalendarDate } from '#core/calendar';
import {
  DraftDocumentSchema,
  type Answer,
  type Answers,
  type DraftDocument,
  type Placements,
} from '#core/draft';
import type { EntryContent, Field } from '#core/entry';
import { gapsOf, place, readAnswer } from '#core/fill';
import { mapLines, textRun, type Block, type Inline } from '#core/passage';
import type { CaseRecord } from '#core/record';
import type { Writer } from '#core/signing';

/** What a draft of the demo is written with. */
export interface Desk {
  record: CaseRecord;
  today: CalendarDate;
  writer: Writer;
  find: (entry: string) => { revision: number; content: EntryContent } | undefined;
}

const PLACED = /\{\{([^}]*)\}\}/;

function chosenAnswer(field: Field & { kind: 'choice' }, typed: string): Answer {
  const options = typed.split(' + ').map((label) => {
    const option = field.options.find((one) => one.label === label);
    if (!option) throw new Error(`“${field.name}” has no option “${label}”`);
    return option.id;
  });
  return { kind: 'chosen', options };
}

/** An answer as a hand would give it: options by their labels, all else as it is typed. */
function answerTyped(field: Field, typed: string, { today }: Desk): Answer {
  if (field.kind === 'choice') return chosenAnswer(field, typed);
  if (field.kind === 'yes-no') return { kind: 'yes-no', yes: typed === 'yes' };
  if (field.kind === 'person') return { kind: 'person', person: typed as 'they', known: false };
  const { answer, problem } = readAnswer(field, typed, { today, now: '09:30' }, 'en-GB');
  if (!answer || problem?.unread) throw new Error(`“${typed}” is no answer to “${field.name}”`);
  return answer;
}

/** What stands between double braces: an entry, its answers by the names of fields, and what is changed by hand in it. */
function readPlaced(said: string, desk: Desk) {
  const [head, change] = said.split(' ~ ');
  const [entry, ...given] = head!.split('; ').map((one) => one.trim());
  const found = desk.find(entry!);
  if (!found) throw new Error(`There is no entry ${entry} to place`);
  const answers: Answers = {};
  for (const one of given) {
    const [name, typed] = one.split('=');
    const field = found.content.fields.find((each) => each.name === name);
    if (!field) throw new Error(`${entry} has no field “${name}”`);
    answers[field.id] = answerTyped(field, typed!, desk);
  }
  const [from, to] = change?.split(' => ') ?? [];
  return { entry: { id: entry!, ...found }, answers, from, to };
}

/** Where in its recording somebody was who set a time, in milliseconds. */
const SET_AT = 754_000;

function changedBy(inline: Inline, from: string | undefined, to = ''): Inline {
  if (inline.type === 'timeCode')
    return { ...inline, attrs: { ...inline.attrs, at: SET_AT, text: clockTime(SET_AT / 1000) } };
  return inline.type === 'text' && from ? { ...inline, text: inline.text.replace(from, to) } : inline;
}

/**
 * A draft as somebody wrote it: paragraphs parted by " ¶ ", words by hand, and entries between double braces, placed and filled as
 * on a leaf. A finished one has no gap. Throws an Error that says what does not fit.
 */
export function writtenDraft(text: string, desk: Desk, isFinished: boolean): DraftDocument {
  const placements: Placements = {};
  const content: Block[] = [];
  for (const paragraph of text.split(' ¶ ')) {
    let line: Inline[] = [];
    const end = () => {
      if (line.length > 0) content.push({ type: 'paragraph', content: line });
      line = [];
    };
    paragraph.split(PLACED).forEach((words, at) => {
      if (at % 2 === 0) return void line.push(...textRun(words));
      const { entry, answers, from, to } = readPlaced(words, desk);
      const id = `p${Object.keys(placements).length + 1}`;
      const { record, today, writer } = desk;
      const find = (one: string) => desk.find(one)?.content;
      const placed = place({ entry, cue: null, record, today, writer, find, id, answers });
      placements[id] = placed.placement;
      const passage = mapLines(placed.passage, (all) => all.map((one) => changedBy(one, from, to)));
      const [only, ...more] = passage.content;
      if (more.length === 0 && only?.type === 'paragraph') line.push(...(only.content ?? []));
      else {
        end();
        content.push(...passage.content);
      }
    });
    end();
  }
  const document = DraftDocumentSchema.parse({ type: 'doc', attrs: { placements }, content });
  const gaps = isFinished ? gapsOf(document) : [];
  if (gaps.length > 0) throw new Error(`Finished with gaps: ${JSON.stringify(gaps)} in “${text}”`);
  return document;
}
