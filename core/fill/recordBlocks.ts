import type { CalendarDate } from '#core/calendar';
import type { Answers } from '#core/draft';
import type { Field } from '#core/entry';
import {
  isLine,
  linesOf,
  textRun,
  type BlankForm,
  type Block,
  type Inline,
  type Passage,
} from '#core/passage';
import { recordTable, type CaseRecord } from '#core/record';

interface Setting {
  record: CaseRecord;
  today: CalendarDate;
  language: string;
}

const line = (content: Inline[]): Block =>
  content.length ? { type: 'paragraph', content } : { type: 'paragraph' };
const cell = (type: 'tableHeader' | 'tableCell', words: string): Block => ({
  type,
  content: [line(textRun(words))],
});
const row = (type: 'tableHeader' | 'tableCell', words: string[]): Block => ({
  type: 'tableRow',
  content: words.map((word) => cell(type, word)),
});

/** What stands in place of a paragraph that is one blank, to be written as bullets or a table. Null: the blank itself. */
function blocksFor(
  field: Field | undefined,
  form: BlankForm,
  answers: Answers,
  setting: Setting,
): Block[] | null {
  const answer = field && answers[field.id];
  if (field?.kind !== 'detail' || answer?.kind !== 'detail') return null;
  if (form === 'table') {
    const table = recordTable(setting.record, field.path, setting.today, setting.language);
    if (table)
      return [
        {
          type: 'table',
          content: [row('tableHeader', table.heads), ...table.rows.map((cells) => row('tableCell', cells))],
        },
      ];
  }
  if (answer.value.kind !== 'list') return null;
  const { items } = answer.value;
  if (form === 'table') {
    return [
      { type: 'table', content: items.map((item) => row('tableCell', item.split(/: (.*)/s).slice(0, 2))) },
    ];
  }
  const bullets = items.map((item): Block => ({ type: 'listItem', content: [line(textRun(item))] }));
  return form === 'bullets' ? [{ type: 'bulletList', content: bullets }] : null;
}

const isBlockForm = (form: BlankForm) => form === 'bullets' || form === 'table';

function inBlock(block: Block, fields: readonly Field[], answers: Answers, setting: Setting): Block[] {
  if (!isLine(block)) {
    if (!('content' in block)) return [block];
    return [{ ...block, content: block.content.flatMap((one) => inBlock(one, fields, answers, setting)) }];
  }
  const [only, ...others] = block.content ?? [];
  if (only?.type !== 'blank' || others.length > 0) return [block];
  const { form, field: id } = only.attrs;
  if (!isBlockForm(form)) return [block];
  const field = fields.find((one) => one.id === id);
  return blocksFor(field, form, answers, setting) ?? [block];
}

const known = new WeakMap<Passage, boolean>();

/** True when a wording has a blank that is to be written as bullets or a table. */
export function hasRecordBlocks(passage: Passage): boolean {
  let has = known.get(passage);
  if (has === undefined) {
    has = linesOf(passage).some(([only]) => only?.type === 'blank' && isBlockForm(only.attrs.form));
    known.set(passage, has);
  }
  return has;
}

/**
 * A wording with the blanks that stand alone on their line and are written as bullets or a table put out as such, from
 * the record. Where the record has nothing they stay blanks, and ask. The same passage when it has none of these.
 */
export function recordBlocks(
  passage: Passage,
  fields: readonly Field[],
  answers: Answers,
  setting: Setting,
): Passage {
  const content = passage.content.flatMap((block) => inBlock(block, fields, answers, setting));
  const same =
    content.length === passage.content.length && content.every((one, at) => one === passage.content[at]);
  return same ? passage : { ...passage, content };
}
