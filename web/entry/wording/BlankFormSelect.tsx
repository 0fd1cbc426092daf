import { useEditorState, type Editor } from '@tiptap/react';
import { DATE_FORMS } from '#core/calendar';
import type { Field } from '#core/entry';
import { PERSON_FORMS } from '#core/language';
import { kindOfDetail } from '#core/record';
import type { BlankForm as Form } from '#core/passage';
import { currentBlank } from '../../editor';

const WORDS: Record<Form, string> = {
  'as-is': 'as it is',
  capital: 'with a Capital',
  upper: 'IN CAPITALS',
  article: 'with a or an before it',
  words: 'number in words',
  'no-unit': 'without its unit',
  'clock-12': '2.05 pm',
  silent: 'not at all: only asked here',
  plural: 'ending of a plural: s',
  lines: 'each on a line of its own',
  bullets: 'as a list with bullets',
  table: 'as a table',
  dated: 'with the day it was measured',
  long: '4 March 2026',
  weekday: 'Wednesday, 4 March 2026',
  'day-month': '4 March',
  'month-year': 'March 2026',
  short: '04/03/2026',
  dots: '04.03.2026',
  hyphens: '04-03-2026',
  iso: '2026-03-04',
  underscores: '2026_03_04',
  month: 'March',
  year: '2026',
  they: 'they',
  them: 'them',
  their: 'their',
  theirs: 'theirs',
  themselves: 'themselves',
  'they are': 'they are',
  'they were': 'they were',
  'they have': 'they have',
  are: 'are',
  were: 'were',
  have: 'have',
  do: 'do',
  'verb-s': 'ending of a verb: s',
};

const FOR_WORDS: Form[] = ['as-is', 'capital', 'upper', 'article', 'silent'];
const FOR_DATES: Form[] = [...DATE_FORMS, 'silent'];
const FOR_NUMBERS: Form[] = ['as-is', 'words', 'no-unit', 'article', 'plural', 'silent'];
const FOR_TIMES: Form[] = ['as-is', 'clock-12', 'silent'];
const FOR_LISTS: Form[] = ['as-is', 'capital', 'lines', 'bullets', 'table', 'plural', 'silent'];

/** The forms that make sense for what a field of the record holds. */
function formsForDetail(path: string): Form[] {
  switch (kindOfDetail(path)) {
    case 'date':
      return FOR_DATES;
    case 'quantity':
      return ['as-is', 'dated', ...FOR_NUMBERS.slice(1), 'table'];
    case 'list':
      return FOR_LISTS;
    default:
      return FOR_WORDS;
  }
}

/** The forms that make sense for what a field holds; the first is what a new blank has. */
function formsFor(field: Field): Form[] {
  switch (field.kind) {
    case 'detail':
      return formsForDetail(field.path);
    case 'date':
      return FOR_DATES;
    case 'person':
      return [...PERSON_FORMS];
    case 'number':
      return FOR_NUMBERS;
    case 'time':
      return FOR_TIMES;
    case 'choice':
      return field.many ? ['as-is', 'capital', 'upper', 'lines', 'plural', 'silent'] : FOR_WORDS;
    case 'computed':
      // What a formula gives, a number or a date, is known only once it is worked out.
      return [...FOR_WORDS.slice(0, -1), 'words', 'no-unit', 'plural', ...DATE_FORMS, 'silent'];
    default:
      return FOR_WORDS;
  }
}

/** While a blank of the wording is selected: how it writes the answer at this place. */
export function BlankFormSelect({ editor, fields }: { editor: Editor; fields: readonly Field[] }) {
  const blank = useEditorState({ editor, selector: ({ editor: { state } }) => currentBlank(state) });
  const field = blank && fields.find(({ id }) => id === blank.attrs.field);
  if (!blank || !field) return null;
  const forms = formsFor(field);
  const { form } = blank.attrs;
  return (
    <label className="flex items-center gap-2 text-[14px] text-soft">
      {field.name} is written
      <select
        className="live-word"
        value={forms.includes(form) ? form : forms[0]}
        onChange={(event) =>
          editor.view.dispatch(editor.state.tr.setNodeAttribute(blank.pos, 'form', event.target.value))
        }
      >
        {forms.map((one) => (
          <option key={one} value={one}>
            {WORDS[one]}
          </option>
        ))}
      </select>
    </label>
  );
}
