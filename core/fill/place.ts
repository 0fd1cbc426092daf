import { MOST_PLACED_FILES, type Answers, type Placement } from '#core/draft';
import { fullWordings, wordingOnPage, type EntryContent, type Field, type Wording } from '#core/entry';
import {
  joinOf,
  mapLines,
  tidyInlines,
  type Inline,
  type Join,
  type Line,
  type Mark,
  type Passage,
} from '#core/passage';
import type { CaseRecord } from '#core/record';
import { answersFromRecord } from './answersFromRecord';
import { withIncludes } from './includes';
import type { PlaceRequest } from './placeRequest';
import { withQuestions } from './questions';
import { recordBlocks } from './recordBlocks';
import { refillPassage } from './refill';

/** A placement, and the passage with its blanks filled as far as answers are known. */
export interface PlacedWording {
  passage: Passage;
  placement: Placement;
  /** What goes to boxes of its own, such as Subject: all parts but the last, which is the passage. */
  boxes: readonly { name: string; passage: Passage }[];
  /** How it joins what stands beside it. */
  joins: Join;
}

function marked(inline: Inline, placement: string): Inline {
  const placed: Mark = { type: 'placed', attrs: { placement } };
  const own = (inline.marks ?? []).map((mark) =>
    mark.type === 'when' ? { ...mark, attrs: { ...mark.attrs, placement } } : mark,
  );
  const marks = [...own, placed];
  switch (inline.type) {
    case 'blank':
      return {
        ...inline,
        attrs: { ...inline.attrs, placement, text: '', state: 'gap', dropped: 'none' },
        marks,
      };
    case 'number':
      return { ...inline, attrs: { ...inline.attrs, id: `${placement}/${inline.attrs.id}` }, marks };
    case 'reference':
      return { ...inline, attrs: { ...inline.attrs, to: `${placement}/${inline.attrs.to}` }, marks };
    default:
      return { ...inline, marks };
  }
}

/** The wording with the id asked for, else the entry's first. */
export function wordingOf(content: EntryContent, id?: string): Wording {
  if (id === undefined) return fullWordings(content)[0]!;
  return content.wordings.find((wording) => wording.id === id) ?? content.wordings[0]!;
}

/** The wording for a case: in the language its record tells, be it of another region, else the first. */
export function wordingForCase(content: EntryContent, record: CaseRecord): Wording {
  const all = fullWordings(content);
  if (all.length === 1) return all[0]!;
  const detail = record.details.find(({ path }) => path === 'language')?.value;
  if (detail?.kind !== 'text') return all[0]!;
  const language = detail.text.trim().toLowerCase();
  const exact = all.find((wording) => wording.language.toLowerCase() === language);
  const primary = (tag: string) => tag.toLowerCase().split('-')[0];
  const near = all.find((wording) => primary(wording.language) === primary(language));
  return exact ?? near ?? all[0]!;
}

/** An entry ready to be filled in one of its wordings: what it includes put in, everything it needs asked for. */
export function preparedEntry(
  request: Pick<PlaceRequest, 'entry' | 'wording' | 'record' | 'find' | 'page'>,
): {
  content: EntryContent;
  wording: Wording;
} {
  const { entry, record, page, find = () => undefined } = request;
  const onPage = page && wordingOnPage(entry.content, page.address);
  const chosen =
    request.wording === undefined
      ? (onPage ?? wordingForCase(entry.content, record))
      : wordingOf(entry.content, request.wording);
  const content = withQuestions(withIncludes(entry.content, chosen, find, page));
  return { content, wording: wordingOf(content, chosen.id) };
}

/** What was answered last to the fields that offer it again; nothing at all where there is none. */
function offeredTo(fields: readonly Field[], last: Answers = {}): Pick<Placement, 'offered'> {
  const offered = fields.flatMap(({ id, offerLast }) =>
    offerLast && last[id] ? [[id, last[id]] as const] : [],
  );
  return offered.length > 0 ? { offered: Object.fromEntries(offered) } : {};
}

/** Puts one wording into a draft: details answered from the record, the rest left as blanks. */
export function place(request: PlaceRequest): PlacedWording {
  const { entry, cue, record, today, id, answers } = request;
  const { content, wording } = preparedEntry(request);
  const { fields, conditions } = content;
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
    answers: {
      ...answersFromRecord(fields, { ...request, language: wording.language }),
      ...Object.fromEntries(kept),
    },
    day: today,
    ...(conditions?.length ? { conditions } : {}),
    ...(content.files?.length ? { files: content.files.slice(0, MOST_PLACED_FILES) } : {}),
    ...(wording.parts.length > 1 ? { parts: wording.parts.slice(0, -1).map(({ name }) => name) } : {}),
    ...offeredTo(fields, request.last),
  };
  const joins = wording.joins ?? joinOf(wording.parts.at(-1)!.passage);
  const tidied = joins === 'as-is' ? (line: Line) => line : tidyInlines;
  const passages = wording.parts.map(({ name, passage }) => {
    const setting = { record, today, language: wording.language };
    const blocks = recordBlocks(passage, fields, placement.answers, setting);
    const own = mapLines(blocks, (line) => tidied(line).map((inline) => marked(inline, id)));
    return { name, passage: refillPassage(own, { [id]: placement }) };
  });
  return { passage: passages.at(-1)!.passage, placement, boxes: passages.slice(0, -1), joins };
}
