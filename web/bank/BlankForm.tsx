import { useEditorState, type Editor } from '@tiptap/react';
import { DATE_FORMS } from '#core/calendar';
import type { Field } from '#core/entry';
import { PERSON_FORMS } from '#core/language';
import { DETAILS } from '#core/record';
import type { BlankForm as Form } from '#core/passage';
import { currentBlank } from '../editor/blanks';

const WORDS: Record<Form, string> = {
  'as-is': 'as it is',
  capital: 'with a Capital',
  upper: 'IN CAPITALS',
  article: 'with a or an before it',
  words: 'number in words',
  'no-unit': 'without its unit',
  'clock-12': '2.05 pm',
  long: '4 March 2026',
  weekday: 'Wednesday, 4 March 2026',
  'day-month': '4 March',
  'month-year': 'March 2026',
  short: '04/03/2026',
  dots: '04.03.2026',
  iso: '2026-03-04',
  underscores: '2026_03_04',
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

const FOR_WORDS: Form[] = ['as-is', 'capital', 'upper', 'article'];
const FOR_DATES: Form[] = [...DATE_FORMS];
const FOR_NUMBERS: Form[] = ['as-is', 'words', 'no-unit', 'article'];
const FOR_TIMES: Form[] = ['as-is', 'clock-12'];

/** The forms that make sense for what a field holds. */
function formsFor(field: Field): Form[] {
  const detail = field.kind === 'detail' ? DETAILS.find(({ path }) => path === field.path)?.kind : undefined;
  if (field.kind === 'date' || detail === 'date') return FOR_DATES;
  if (field.kind === 'person') return [...PERSON_FORMS];
  if (field.kind === 'number' || detail === 'quantity') return FOR_NUMBERS;
  return field.kind === 'time' ? FOR_TIMES : FOR_WORDS;
}

/** While a blank of the wording is selected: how it writes the answer at this place. */
export function BlankForm({ editor, fields }: { editor: Editor; fields: readonly Field[] }) {
  const blank = useEditorState({ editor, selector: ({ editor: { state } }) => currentBlank(state) });
  const field = blank && fields.find(({ id }) => id === blank.attrs.field);
  if (!blank || !field) return null;
  const forms = formsFor(field);
  const { form } = blank.attrs;
  return (
    <label className="ml-auto flex items-center gap-2 text-[13px] text-soft">
      {field.name} is written
      <select
        className="input w-auto bg-page text-ink"
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
