import type { CalendarDate } from '#core/calendar';
import type { Answers, Placement } from '#core/draft';
import type { EntryContent, Wording } from '#core/entry';
import { mapLines, tidyInlines, type Inline, type Mark, type Passage } from '#core/passage';
import type { CaseRecord } from '#core/record';
import { answersFromRecord } from './answersFromRecord';
import { refillPassage } from './refill';

/** What is needed to put an entry into a draft. `today` is the day in the member's own place. */
export interface PlaceRequest {
  entry: { id: string; revision: number; content: EntryContent };
  cue: string | null;
  wording?: string;
  record: CaseRecord;
  today: CalendarDate;
  /** The id the new placement gets: unique in its draft. */
  id: string;
  /** Answers already known, as when a newer wording takes over those given before. They win over the record. */
  answers?: Answers;
}

/** A placement, and the passage with its blanks filled as far as answers are known. */
export interface Placed {
  passage: Passage;
  placement: Placement;
}

function marked(inline: Inline, placement: string): Inline {
  const placed: Mark = { type: 'placed', attrs: { placement } };
  const marks = [...(inline.marks ?? []), placed];
  return inline.type === 'blank'
    ? { ...inline, attrs: { ...inline.attrs, placement, text: '', state: 'gap', dropped: 'none' }, marks }
    : { ...inline, marks };
}

/** The wording with the id asked for, else the entry's first. */
export function wordingOf(content: EntryContent, id?: string): Wording {
  if (id === undefined) return content.wordings[0]!;
  return content.wordings.find((wording) => wording.id === id) ?? content.wordings[0]!;
}

/** Puts one wording's first part into a draft: details answered from the record, the rest left as blanks. */
export function place({ entry, cue, wording: wordingId, record, today, id, answers }: PlaceRequest): Placed {
  const wording = wordingOf(entry.content, wordingId);
  const { fields } = entry.content;
  const known = new Set(fields.map((field) => field.id));
  const kept = Object.entries(answers ?? {}).filter(([field]) => known.has(field));
  const placement: Placement = {
    entry: entry.id,
    revision: entry.revision,
    title: entry.content.title,
    cue,
    wording: wording.id,
    language: wording.language,
    fields,
    answers: { ...answersFromRecord(fields, record, today), ...Object.fromEntries(kept) },
  };
  const own = mapLines(wording.parts[0]!.passage, (line) =>
    tidyInlines(line).map((inline) => marked(inline, id)),
  );
  return { passage: refillPassage(own, { [id]: placement }), placement };
}
